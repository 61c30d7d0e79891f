# frozen_string_literal: true

module Kippen
  module Server
    # A bench view as the JSON of the contract: one tile a burst or ignored contact.
    class RenderBench
      MOST_TILES = 40
      MOST_HEARD = 20

      def initialize(fitting)
        @fitting = fitting
        @telling = Press::Telling.new(fitting, CATALOGUE)
      end

      # stream – its row; messages – those the view was made of; from_us – tiles that messages
      # before this time have settled are left out; nil: none is
      def view(stream, view, messages, from_us)
        id = stream[:id]
        { "stream" => id, "from_us" => from_us, "received" => messages.size, "heard_through" => heard_through(messages),
          "next_us" => view.next_us, "now_us" => view.now_us,
          "waiting" => view.waiting.map { |item| { "button" => item.button, "for" => item.for, "due_us" => item.due_us } },
          "tiles" => open_after(view.stories, from_us).last(MOST_TILES).reverse.map { |story| tile(id, story) } }
      end

      # Which sources were heard, the latest first, and the button each stands for.
      # reader – a Store::RawMessages; nil where the sources are buttons already
      def self.heard(messages, reader, fitting)
        heard = messages.reject { |message| message.source.empty? }.sort_by { |message| [message.time_us, message.number] }
        last = heard.to_h { |message| [message.source, message] }.values.sort_by(&:time_us).last(MOST_HEARD)
        last.reverse.map do |message|
          button = reader ? reader.button(message.source) : fitting.button(message.source)
          { "source" => message.source, "name" => reader ? CODES.describe(message.source).name : button&.name || message.source,
            "down" => message.kind == "down", "button" => button&.ref }
        end
      end

      private

      def open_after(stories, from_us)
        from_us ? stories.reject { |story| story.over && story.settled_us < from_us } : stories
      end

      # The highest number up to which no message is missing.
      def heard_through(messages)
        messages.map(&:number).sort.each_with_index.take_while { |number, index| number == index + 1 }.size
      end

      def tile(stream, story)
        repeats, rows = story.rows.partition { |row| row.outcome.phase == "repeat" }
        { "key" => key(stream, story), "button" => story.button.ref, "button_name" => button_name(story.button),
          "began_us" => story.began_us, "over" => story.over, "long_us" => story.choice&.long && @fitting.timing(story.button).long_press_us,
          "touches" => story.touches.map { |touch| touch(touch) },
          "results" => rows.map { |row| result(story, row) }, "repeats" => repeats.size, "sentences" => @telling.sentences(story) }
      end

      # Of several devices a button's own name may not be enough.
      def button_name(button)
        name = button.name || button.id
        return name if @fitting.devices.size == 1

        device = @fitting.device(button.device)
        "#{device.name || device.id}, #{name}"
      end

      # The same for the same press, however it is decided.
      def key(stream, story)
        [stream, story.button.ref, story.began_us, story.touches.first.verdict == "stray" ? "stray" : "press"].join("/")
      end

      def touch(touch)
        { "began_us" => touch.began_us, "ended_us" => touch.ended_us, "gaps" => touch.gaps, "verdict" => touch.verdict }
      end

      def result(story, row)
        outcome = row.outcome
        wait = @telling.wait_us(story, row)
        { "at_us" => outcome.at_us, "phase" => outcome.phase, "gesture" => outcome.gesture,
          "gesture_name" => outcome.gesture ? Words::GESTURES.fetch(outcome.gesture) : "ignored",
          "action_name" => @telling.action_name(outcome), "effect" => effect(outcome), "reason" => outcome.reason,
          "wait_us" => wait, "wait" => wait && (wait.zero? ? Words.say(:wait_now) : Words.say(:wait_release, ms: Words.ms(wait))) }
      end

      def effect(outcome)
        return unless %w[fire start].include?(outcome.phase)
        return CATALOGUE.effect(outcome.action) unless outcome.action.nil? || outcome.action["kind"] == "builtin"

        @fitting.button(outcome.button).builtin&.then { |builtin| "#{builtin}: the button's own doing." }
      end
    end
  end
end
