# frozen_string_literal: true

module Kippen
  module Reach
    # Modes that can be come into and not left again, with a change that puts it right.
    module Traps
      # mode – Fitting::Mode; host – Fitting::Host; places – ids; fix – a change as it is sent, or nil
      Trap = Struct.new(:mode, :host, :places, :fix, keyword_init: true)

      CLEAR = { "kind" => "mode", "how" => "clear" }.freeze

      module_function

      # Takes a Fitting and the Knowledge. Returns [Trap]. Raises Deadline::Passed.
      def of(fitting, knowledge, deadline: Deadline::NEVER, fixes: true)
        without(fitting, deadline).map do |host, mode, places|
          Trap.new(mode:, host:, places:, fix: (fix(fitting, knowledge, host, mode, places, deadline) if fixes)).freeze
        end
      end

      # Those of one state of a fitting that another had not.
      def new_ones(before, after, knowledge, deadline: Deadline::NEVER)
        return [] if modes_alike?(before, after)

        known = without(before, deadline).map { |host, mode, _| [host.id, mode.id] }
        of(after, knowledge, deadline:).reject { |trap| known.include?([trap.host.id, trap.mode.id]) }
      end

      def words(fitting, trap)
        where = trap.places.include?(Fitting::EVERYWHERE) ? Words.say(:no_way_back_everywhere) : Words.say(:no_way_back_in, places: names(fitting, trap.places))
        Words.say(:no_way_back, mode: trap.mode.name || trap.mode.id, where:)
      end

      def names(fitting, places) = places.map { |id| Words.place(fitting, id) }.join(", ")

      # [[Host, Mode, places]…]
      def without(fitting, deadline)
        return [] if fitting.modes.empty?

        fitting.recall(:no_way_back) { fitting.hosts.flat_map { |host| of_host(fitting, host, deadline) }.freeze }
      end

      def of_host(fitting, host, deadline)
        walk = ModeWalk.new(fitting, host, deadline:)
        fitting.modes.map { |mode| [host, mode, walk.no_way_back(mode.id)] }.reject { |_, _, places| places.empty? }
      end

      # Nothing about modes can have changed where no assignment of one is another, and none is there.
      def modes_alike?(before, after) = after.modes.empty? || (before.document == after.document)

      # Where it was taken, the same press ends it; else wherever there is room.
      def fix(fitting, knowledge, host, mode, places, deadline)
        place = places.include?(Fitting::EVERYWHERE) ? Fitting::EVERYWHERE : places.first
        tries = taking(fitting, host, mode) + free(fitting, knowledge, host, mode, place, deadline)
        tries.map { |button, gesture| change(button, gesture, place, mode) }.find { |sent| works?(fitting, knowledge, host, mode, place, sent, deadline) }
      end

      def change(button, gesture, place, mode)
        { "kind" => "assign", "button" => button, "gesture" => gesture, "action" => CLEAR, "place" => place, "mode" => mode.id }
      end

      def taking(fitting, host, mode)
        takes = fitting.assignments.select { |one| one.action["mode"] == mode.id && one.mode_action? && fitting.button(one.button).host == host.id && !one.off }
        takes.map { |one| [one.button, one.gesture == "hold" ? "long_press" : one.gesture] }.reject do |button, gesture|
          fitting.assigned(button).any? { |one| one.mode == mode.id && one.gesture == gesture && !one.off }
        end
      end

      def free(fitting, knowledge, host, mode, place, deadline)
        FreePlaces.new(fitting, knowledge.of(fitting), deadline:).of(CLEAR, place:, mode: mode.id, hosts: [host.id]).first(5).map do |one|
          [one.button.ref, one.gesture]
        end
      end

      def works?(fitting, knowledge, host, mode, place, sent, deadline)
        made = Changes.make(fitting, Changes.read(sent), knowledge:, by: nil, at: nil).fitting
        !ModeWalk.new(made, made.host(host.id), deadline:).no_way_back(mode.id).include?(place)
      rescue Invalid
        false
      end
      private_class_method :names, :without, :of_host, :modes_alike?, :fix, :change, :taking, :free, :works?
    end
  end
end
