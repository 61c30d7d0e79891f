# frozen_string_literal: true

module Kippen
  module Server
    # A bench view as the JSON of the contract: one tile a burst or ignored contact.
    class RenderBench
      def initialize(fitting)
        @fitting = fitting
        @catalogue = CATALOGUE.of(fitting)
        @telling = Press::Telling.new(fitting, CATALOGUE)
      end

      # A stream as it stands. stream – its row; seen – a Store::Benches::Seen
      def self.view(stream, seen)
        bench = seen.bench
        { "stream" => stream[:id], "listener" => stream[:name], "listener_id" => stream[:listener_id],
          "revision" => seen.revision,
          "from_us" => seen.from_us, "received" => seen.standing[:received], "heard_through" => seen.standing[:heard_through],
          "next_us" => bench.next_us, "now_us" => bench.now_us, "heard" => heard(seen),
          "waiting" => bench.waiting.map { |item| { "button" => item.button, "for" => item.for, "due_us" => item.due_us } },
          "tiles" => tiles(stream, seen) }
      end

      # The last ones, the newest first.
      def self.tiles(stream, seen)
        render = new(seen.fitting)
        seen.stories.last(Store::Benches::SHOWN).reverse.map { |story| render.tile(stream[:id], story) }
      end

      # Which sources were heard, the latest first, and the button each stands for.
      def self.heard(seen)
        seen.standing[:heard].sort_by { |_, (time_us, number)| [time_us, number] }.reverse.map do |source, (_, _, kind)|
          button = seen.reader ? seen.reader.button(source) : seen.fitting.button(source)
          { "source" => source, "name" => seen.reader ? CODES.describe(source).name : button&.name || source,
            "down" => kind == "down",
            "button" => button&.ref }
        end
      end
      private_class_method :heard, :tiles

      # One burst or ignored contact; story – a Press::Stories::Story
      def tile(stream, story)
        rows = story.rows.reject { |row| row.outcome.phase == "repeat" }
        { "key" => Store::Benches.key(stream, story), "button" => story.button.ref, "button_name" => button_name(story.button),
          "began_us" => story.began_us, "over" => story.over, "long_us" => long_us(story),
          "touches" => story.touches.map { |one| one.to_h.slice(:began_us, :ended_us, :gaps, :verdict).transform_keys(&:to_s) },
          "results" => rows.map { |row| result(story, row) }, "repeats" => story.repeats,
          "sentences" => @telling.sentences(story) }
      end

      private

      # When it would become long, or nil.
      def long_us(story) = story.choice&.long && @fitting.timing(story.button).long_press_us

      def button_name(button) = Words.button(@fitting.device(button.device), button)

      def result(story, row)
        outcome = row.outcome
        wait = @telling.wait_us(story, row)
        { "at_us" => outcome.at_us, "phase" => outcome.phase, "gesture" => outcome.gesture,
          "gesture_name" => outcome.gesture ? Words.gesture(outcome.gesture) : Words.say(:gesture_ignored),
          "action_name" => @telling.action_name(outcome), "effect" => effect(outcome), "does" => does(story, outcome),
          "reason" => outcome.reason, "wait_us" => wait, "wait" => wait &&
            (wait.zero? ? Words.say(:waited_nothing) : Words.say(:wait_release, ms: Words.ms(wait))) }
      end

      # What happens as data: on which host, in which app, which action with all its values.
      def does(story, outcome)
        return unless %w[fire start].include?(outcome.phase)

        own = KINDS.button(@fitting.device(story.button.device), story.button)&.fetch("builtin_action", nil)
        action = outcome.action.nil? || outcome.action["kind"] == "builtin" ? own : outcome.action
        action && { "host" => story.button.host, "app" => action["app"], "action" => @catalogue.whole(action) }
      end

      def effect(outcome)
        return unless %w[fire start].include?(outcome.phase)
        return @catalogue.effect(outcome.action) unless outcome.action.nil? || outcome.action["kind"] == "builtin"

        @fitting.button(outcome.button).builtin&.then { |builtin| Words.say(:own_doing, builtin:) }
      end
    end
  end
end
