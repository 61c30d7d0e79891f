# frozen_string_literal: true

module Kippen
  module Reach
    # Modes that can be come into and not left again, with a change that puts it right.
    class NoWayBack
      ID = "no_way_back"
      CLEAR = { "kind" => "mode", "how" => "clear" }.freeze
      # So many free places are tried for a way back.
      TRIED = 5

      # A mode that can't be left: places – ids, where
      Trap = Struct.new(:host, :mode, :places) do
        def everywhere? = places.include?(Fitting::EVERYWHERE)
        # Where it is to be mended first.
        def place = everywhere? ? Fitting::EVERYWHERE : places.first
        def same?(other) = [host.id, mode.id] == [other.host.id, other.mode.id]
      end

      def initialize(fitting, knowledge, deadline: Deadline::NEVER)
        @fitting = fitting
        @knowledge = knowledge
        @deadline = deadline
      end

      # [Finding]. Raises Deadline::Passed.
      def findings = traps.map { |trap| finding(trap) }

      # The same without what would mend them, which takes longer.
      def unmended = traps.map { |trap| finding(trap, fixes: []) }

      # Those that another state of the fitting, before this one, had not.
      def new_since(before)
        return [] if @fitting.modes.empty? || before.document == @fitting.document

        known = NoWayBack.new(before, @knowledge, deadline: @deadline).traps
        traps.reject { |trap| known.any? { |other| other.same?(trap) } }.map { |trap| finding(trap) }
      end

      protected

      def traps
        return [] if @fitting.modes.empty?

        @fitting.recall(:no_way_back) { @fitting.hosts.flat_map { |host| of_host(host) }.freeze }
      end

      private

      def of_host(host)
        walk = ModeWalk.new(@fitting, host, deadline: @deadline)
        @fitting.modes.map { |mode| Trap.new(host, mode, walk.no_way_back(mode.id)).freeze }.reject { |trap| trap.places.empty? }
      end

      def finding(trap, fixes: [fix(trap)].compact)
        Finding.new(id: ID, bad: "serious", what: words(trap),
                    where: { "host" => trap.host.id, "mode" => trap.mode.id, "place" => trap.place },
                    fixes:)
      end

      def words(trap)
        places = trap.places.map { |id| Words.place(@fitting, id) }.join(", ")
        where = trap.everywhere? ? Words.say(:no_way_back_everywhere) : Words.say(:no_way_back_in, places:)
        Words.say(:no_way_back, mode: trap.mode.name || trap.mode.id, where:)
      end

      # Where it was taken, the same press ends it; else wherever there is room.
      def fix(trap)
        change = (taking(trap) + free(trap)).map { |button, gesture| clearing(trap, button, gesture) }.find do |sent|
          works?(trap, sent)
        end
        change && Fix.new(Words.say(:add_way_back), change)
      end

      def clearing(trap, button, gesture)
        { "kind" => "assign", "button" => button, "gesture" => gesture, "action" => CLEAR, "place" => trap.place,
          "mode" => trap.mode.id }
      end

      # [[button, gesture]…] that take the mode and have nothing in it.
      def taking(trap)
        on = @fitting.assignments.reject(&:off)
        takes = on.select do |one|
          one.mode_action? && one.action["mode"] == trap.mode.id && @fitting.button(one.button).host == trap.host.id
        end
        taken = on.select { |one| one.mode == trap.mode.id }.map { |one| [one.button, one.gesture] }
        takes.map { |one| [one.button, one.gesture == "hold" ? "long_press" : one.gesture] } - taken
      end

      def free(trap)
        places = FreePlaces.new(@fitting, @knowledge.of(@fitting), deadline: @deadline)
        places.of(CLEAR, place: trap.place, mode: trap.mode.id, hosts: [trap.host.id]).first(TRIED).map do |one|
          [one.button.ref, one.gesture]
        end
      end

      def works?(trap, sent)
        made = Changes.make(@fitting, Changes.read(sent), knowledge: @knowledge, by: nil, at: nil).fitting
        !ModeWalk.new(made, made.host(trap.host.id), deadline: @deadline).no_way_back(trap.mode.id).include?(trap.place)
      rescue Invalid
        false
      end
    end
  end
end
