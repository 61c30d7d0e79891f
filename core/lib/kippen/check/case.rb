# frozen_string_literal: true

module Kippen
  module Check
    # A fitting that is looked through, and what several findings ask of it, worked out once.
    class Case
      attr_reader :fitting, :knowledge, :presses, :contacts, :figures, :deadline

      # trials – [Tuning::Series], or what gives them, see Presses
      # figures – Reach::Figures: how often what must come out has to
      def initialize(fitting, knowledge, trials: [], contacts: {}, figures: Reach::Figures.from, deadline: Deadline::NEVER)
        @fitting = fitting
        @knowledge = knowledge.of(fitting)
        @presses = Presses.new(fitting, trials.is_a?(Array) ? Presses::Given.new(trials) : trials, deadline:)
        @contacts = contacts
        @figures = figures
        @deadline = deadline
      end

      def catalogue = @knowledge.catalogue
      def kinds = @knowledge.kinds
      def buttons = @buttons ||= @fitting.buttons.reject { |button| button.off || @fitting.device(button.device).off }
      def buttons_of(host) = buttons.select { |button| button.host == host.id }

      # What is known of a button, empty where nothing is.
      def data(button) = kinds.button(@fitting.device(button.device), button) || {}

      # [Reach::Wants::Way] in which an action comes about, shortlists and modes walked. hosts – ids, empty for any
      # by_list – also by a line of a shortlist
      def ways(action, place: Fitting::EVERYWHERE, hosts: [], by_list: true)
        return [] unless action

        found = direct(action, place) + all_the_same(action) + (by_list ? through(action, place, []) : [])
        found.uniq.select { |way| hosts.empty? || hosts.include?(way.button.host) }
      end

      # Does anything on a host do it, anywhere?
      def done_on?(host, action) = places.any? { |place| ways(action, place:, hosts: [host.id]).any? }

      # The assignments that win somewhere, in a mode that can be come into.
      def winners = @winners ||= Reach::NeverHappens.new(@fitting, @knowledge, deadline: @deadline).winners

      # [[Press::Lane, place, mode]…] of a button that are worth looking at: as usual everywhere, and where it has its own.
      def lanes(button)
        @deadline.check
        own = @fitting.assigned(button.ref).map { |one| [one.place, one.mode] }
        [[Fitting::EVERYWHERE, Fitting::BASE], *own].uniq.map { |place, mode| Press::Lane.new(@fitting, button, place:, mode:) }
      end

      private

      def places = @places ||= [Fitting::EVERYWHERE, *@fitting.places.reject(&:off).map(&:id)]

      # What can't be held back happens whatever is assigned.
      def all_the_same(action)
        plain = catalogue.plain(action)
        same = buttons.select do |button|
          own = data(button)["builtin_action"]
          data(button)["held_back"] == false && own && catalogue.plain(own) == plain
        end
        same.map do |button|
          Reach::Wants::Way.new(button:, gesture: "tap", place: Fitting::EVERYWHERE, mode: Fitting::BASE, builtin: true).freeze
        end
      end

      def direct(action, place)
        want = Fitting::Want.new(place:, hosts: [], action:)
        Reach::Wants.of(@fitting, @knowledge).ways(want)
      end

      # By a line of a shortlist that something opens; one may open another.
      def through(action, place, opened)
        lists = @fitting.shortlists.reject { |list| opened.include?(list.id) }.select { |list| line?(list, action) }
        lists.flat_map do |list|
          open = Catalogue::OwnActions.opens(@fitting, list)
          direct(open, place) + through(open, place, [*opened, list.id])
        end
      end

      def line?(list, action)
        plain = catalogue.plain(action)
        list.items.any? { |item| Steps.parts(item.action).any? { |part| catalogue.plain(part) == plain } }
      end
    end
  end
end
