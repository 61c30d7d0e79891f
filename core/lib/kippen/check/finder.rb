# frozen_string_literal: true

module Kippen
  module Check
    # What one kind of finding needs. A finder has an ID and findings; candidates – changes that may mend one, the best first.
    class Finder
      # Does it go by the fitting alone, so that it is found once for as long as that is?
      def self.kept? = true

      # asked – Case
      def initialize(asked)
        @case = asked
        @fitting = asked.fitting
      end

      # [[words, change as it is sent]…] that might mend a finding; see Fixes, which tries them.
      def candidates(_finding) = []

      # Did what a finding is told with get better than where it is told, after those figures and before now? Then who knew of
      # it knows of another. Fittings change what it rests on; this is for what is heard.
      # figures – as they were
      def crossed?(_finding, _figures) = false

      private

      # figures – what it is told with, by name; rests_on – JSON pointers by id, never by index
      def found(bad, what, where:, figures: {}, rests_on: [])
        Finding.new(id: self.class::ID, bad:, what:, where:, figures:, rests_on:)
      end

      # Pointers: what is assigned to a button; what is known of it; what its timing is made of.
      def assigned(ref) = RestsOn.pointer("assignments", ref)
      def itself(button) = RestsOn.pointer("devices", button.device, "buttons", button.id)

      def timing_of(button)
        ["/timing", RestsOn.pointer("devices", button.device, "timing"), RestsOn.pointer("button_timing", button.ref)]
      end

      def name(button) = Words.button(@fitting.device(button.device), button)
      def host_name(host) = host.name || host.id
      def action_name(action) = @case.catalogue.name(action)

      # Everywhere and as usual go without saying.
      def where_of(assignment)
        { "button" => assignment.button, "gesture" => assignment.gesture,
          "place" => (assignment.place unless assignment.place == Fitting::EVERYWHERE),
          "mode" => (assignment.mode unless assignment.mode == Fitting::BASE) }
      end

      # Where an action could go that does nothing else yet: what costs nothing comes first.
      def free_places(action, hosts: [], place: Fitting::EVERYWHERE)
        free = Reach::FreePlaces.new(@fitting, @case.knowledge, deadline: @case.deadline).of(action, hosts:, place:)
        free.sort_by.with_index { |one, index| [one.loses.size, one.costs.size, index] }.map do |one|
          change = { "kind" => "assign", "button" => one.button.ref, "gesture" => one.gesture, "action" => action,
                     "place" => place, "mode" => Fitting::BASE }
          [Words.say(:fix_put_on, action: action_name(action), gesture: Words.gesture(one.gesture), button: name(one.button)),
           change]
        end
      end

      # To take off what stands on the tap of a button, as usual everywhere: then it does what it does by itself.
      def giving_back(ref)
        tapped = @fitting.assigned(ref).select do |one|
          !one.off && [one.gesture, one.place, one.mode] == ["tap", Fitting::EVERYWHERE, Fitting::BASE]
        end
        tapped.map { |one| take_off(one) }
      end

      def take_off(assignment)
        spot = %w[button gesture place mode].to_h { |name| [name, assignment[name]] }
        [Words.say(:fix_take_off, action: action_name(assignment.action)), { "kind" => "clear" }.merge(spot)]
      end
    end
  end
end
