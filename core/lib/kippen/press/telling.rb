# frozen_string_literal: true

module Kippen
  module Press
    # Tells a story in sentences: raw contact, filter, gesture, rule that won, wait.
    class Telling
      def initialize(fitting, catalogue)
        @fitting = fitting
        @catalogue = catalogue.of(fitting)
      end

      # Takes a Stories::Story; returns an Array of sentences. rules – with what is assigned and why it won
      def sentences(story, rules: true)
        [*touches(story), *story.rows.flat_map { |row| row(story, row, rules) }, pending(story)].compact
      end

      # In words what an outcome did, or nil where nothing happened.
      def action_name(outcome)
        return if %w[ignored unassigned].include?(outcome.phase)

        @catalogue.name(outcome.action, @fitting.button(outcome.button).builtin)
      end

      # Microseconds that an outcome waited, or nil; see WaitParts.
      def wait_us(story, row) = wait(story, row).total_us

      private

      def wait(story, row) = WaitParts.new(story, row, @fitting.timing(story.button))

      def long(story) = Words.ms(@fitting.timing(story.button).long_press_us)

      def touches(story)
        story.touches.each_with_index.map do |touch, index|
          index.zero? ? first_touch(touch, story.button) : further_touch(touch, story.touches[index - 1])
        end
      end

      def first_touch(touch, button)
        return if touch.verdict == "stray"
        return Words.say(:notch) if button.kind == "notch"
        return Words.say(:closed_still) unless touch.ended_us

        length = Words.measured(touch.ended_us - touch.began_us)
        return Words.say(:closed, length:) if touch.gaps.empty?

        gaps = touch.gaps.map { |from, to| Words.measured(to - from) }
        Words.say(:closed_gaps, count: gaps.size, length:, gaps: Words.list(gaps))
      end

      def further_touch(touch, before)
        apart = Words.measured(touch.began_us - before.ended_us)
        return Words.say(:again_still, apart:) unless touch.ended_us

        Words.say(:again, apart:, length: Words.measured(touch.ended_us - touch.began_us))
      end

      def row(story, row, rules)
        return [ignored(story, row)] if row.outcome.phase == "ignored"
        return [] if %w[repeat end].include?(row.outcome.phase)

        [*why(story, row), *(rule(story, row.outcome) if rules), waited(story, row)]
      end

      def ignored(story, row)
        touch = story.touches.find { |one| one.began_us == row.outcome.began_us }
        case row.why
        when :bounce then Words.say(:bounce, since: Words.measured(touch.bounce[0]), needed: Words.ms(touch.bounce[1]))
        when :brush then Words.say(:brush, needed: Words.ms(touch.brush_us))
        else Words.say(row.why)
        end
      end

      def why(story, row)
        gesture = Words.gesture(row.outcome.gesture)
        long = long(story)
        case row.why
        when :let_go then let_go(story, row, gesture, long)
        when :long_reached then Words.say(:long_reached, long:, gesture:)
        when :top_reached then Words.say(:top_reached, count: Words.say(:"nth_#{story.choice.top}"), gesture:)
        when :gap_over then gap_over(story, row, gesture, long)
        when :closed then Words.say(:closed_count, gesture:)
        when :hold_over then Words.say(:hold_over, gesture:)
        when :other_pressed then Words.say(:other_pressed)
        when :press_known then known_at_once(story, row)
        end
      end

      def let_go(story, row, gesture, long)
        not_long = Words.say(:let_go, long:, gesture:)
        story.choice.top > 1 && row.outcome.phase == "fire" ? [not_long, Words.say(:at_once)] : not_long
      end

      def gap_over(story, row, gesture, long)
        first = Words.say(:not_long, long:) if story.choice.long
        [first, row.outcome.gesture == "tap" ? Words.say(:gap_over_tap) : Words.say(:gap_over_more, gesture:)]
      end

      def known_at_once(story, row)
        case row.outcome.gesture
        when "builtin" then Words.say(story.choice.kind == :blocked ? :blocked : :untouched)
        when "hold" then Words.say(:lone_hold)
        else Words.say(story.choice.top > 1 ? :at_once : :lone_tap)
        end
      end

      # The mode that was on, which assignment won, and why those closer did not.
      def rule(story, outcome)
        return mode(story) if outcome.gesture == "builtin"

        gesture = Words.gesture(outcome.gesture)
        candidates = Candidates.new(@fitting, story.mode, story.spot).of(story.button, outcome.gesture)
        from_base = story.mode != Fitting::BASE && candidates.any? do |one|
          one.result == "won" && one.assignment.mode == Fitting::BASE
        end
        [mode(story), *(Words.say(:from_base) if from_base), *passed(story, outcome, candidates),
         outcome.place ? won(outcome, gesture) : Words.say(:rule_none, gesture:)].compact
      end

      def mode(story)
        return if story.mode == Fitting::BASE

        name = @fitting.mode(story.mode).name || story.mode
        Words.say({ "held" => :mode_held, "latch" => :mode_latch }.fetch(story.origin, :mode_lock), mode: name)
      end

      def won(outcome, gesture)
        key = outcome.action["kind"] == "builtin" ? :rule_kept : :rule
        Words.say(key, place: place_name(outcome.place), gesture:, action: action_name(outcome))
      end

      # Closer places that had nothing, and what is kept there but switched off. A place whose
      # assignment was covered by the mode's own has something, and nothing is said of it.
      def passed(story, outcome, candidates)
        at = candidates.group_by { |one| one.assignment.place }.transform_values { |list| list.map(&:result) }
        story.spot.places.take_while { |place| place != outcome.place }.filter_map do |place|
          results = at.fetch(place, [])
          next if results.include?("covered")
          next Words.say(:switched_off, place: place_name(place)) if results.include?("off")

          Words.say(:fell_through, place: place_name(place)) if outcome.place
        end
      end

      def place_name(id)
        return Words.say(:everywhere) if id == Fitting::EVERYWHERE

        place = @fitting.place(id)
        Words.say(:in_place, place: place.name || [@catalogue.app(place.app), place.part].compact.join(", "))
      end

      def waited(story, row)
        wait = wait(story, row)
        total = wait.total_us or return
        return Words.say(:waited_none) if total.zero?

        parts = wait.parts
        return Words.say(:waited_for, wait: Words.ms(total), what: Words.say(:"part_#{parts.keys.first}")) if parts.size == 1

        list = parts.map { |name, us| Words.say(:part_waited, ms: Words.ms(us), what: Words.say(:"part_#{name}")) }
        Words.say(:waited_parts, wait: Words.ms(total), parts: Words.list(list))
      end

      # What an undecided burst is waiting for.
      def pending(story)
        return if story.over || story.choice.nil? || story.rows.any?
        return Words.say(story.unhurried? ? :pending_held : :pending_more) if story.touches.last.ended_us

        Words.say(:pending_long, long: long(story)) if story.choice.long
      end
    end
  end
end
