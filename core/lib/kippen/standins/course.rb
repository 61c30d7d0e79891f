# frozen_string_literal: true

module Kippen
  module Standins
    # Several steps on their way on the screen of a stand-in host: each is done when it is due, until the next press
    # of their stop. Kept as the member "course" of the screen's state:
    # { "steps", "done", "due_ms" => when the next is due, or nil where none is left, "stop" => ref, "off" => [ref, µs] or nil }
    # off – the press that broke them off: what it would have done is not done.
    module Course
      module_function

      # Takes a Screen. The first step is done at once. action – with all its values
      def begin(screen, action)
        steps = action["steps"]
        broken = underway?(screen) ? Words.say(:steps_replaced) : nil
        course = { "steps" => steps, "done" => 0, "due_ms" => screen.moment.ms,
                   "stop" => Steps.stop(action, screen.moment.ref, screen.fitting), "off" => nil }
        now = go_on(screen.with(course:))
        broken ? now.with(said: [broken, now.state["said"]].join(" ")) : now
      end

      # The Screen with what is due by its moment done, in order.
      def go_on(screen)
        while (due = due_ms(screen)) && due <= screen.moment.ms
          course = screen.state["course"]
          done = course["done"] + 1
          following = course["steps"][done]
          screen = screen.with(course: course.merge("done" => done,
                                                    "due_ms" => following && (due + following.fetch("pause_ms", 0))))
            .does(course["steps"][course["done"]]["action"])
        end
        screen
      end

      # Takes a press that counts: where it is the stop of what is under way, that is broken off.
      # began_us – when the burst that the press is of began
      def press(screen, ref, began_us)
        return screen unless stop?(screen, [ref])

        course = screen.state["course"]
        screen.with(course: course.merge("due_ms" => nil, "off" => [ref, began_us]),
                    said: Words.say(:steps_broken_off, done: course["done"], count: course["steps"].size))
      end

      # Is something under way that the press of one of these breaks off?
      def stop?(screen, refs) = underway?(screen) && refs.include?(screen.state["course"]["stop"])

      # Did the burst of an outcome break something off? Then it does nothing else.
      def spent?(screen, outcome) = screen.state.dig("course", "off") == [outcome.button, outcome.began_us]

      def due_ms(screen) = screen.state.dig("course", "due_ms")
      def underway?(screen) = !due_ms(screen).nil?

      # The Screen with what was done of the last steps taken back, the last one first, as far as each can be.
      def back(screen)
        course = screen.state["course"]
        done = course ? course["steps"].first(course["done"]) : []
        return screen.with(said: Words.say(:steps_none_to_take_back)) if done.empty?

        actions = done.map { |step| step["action"] }
        back = actions.to_h { |action| [action, inverse(screen, action)] }
        taken = actions.reverse.filter_map { |action| back[action] }.reduce(screen.with(course: nil), :does)
        taken.with(said: told_back(screen, actions, back))
      end

      def told_back(screen, actions, back)
        left = actions.reject { |action| back[action] }.map { |action| screen.knowledge.catalogue.name(action) }
        [Words.say(:steps_taken_back, count: actions.size - left.size, of: actions.size),
         *(Words.say(:steps_stay, names: left.join(", ")) if left.any?)].join(" ")
      end

      # The action that takes one back: with what the one was asked, where it asks the same.
      def inverse(screen, action)
        catalogue = screen.knowledge.catalogue
        undone_by = catalogue.entry(action)&.facts&.fetch("undone_by", nil) or return
        entry = catalogue.find(undone_by)
        catalogue.whole(action.slice(*entry.asks.map(&:member)).merge(entry.action))
      end

      # Is it a state that can be taken up?
      def state?(value)
        return true if value.nil?

        value.is_a?(Hash) && !Steps.of({ "kind" => Steps::KIND, "steps" => value["steps"] }).nil? &&
          value["done"].is_a?(Integer) &&
          value["done"].between?(0, value["steps"].size) && value["stop"].is_a?(String) && due?(value)
      end

      # What is due is one of the steps.
      def due?(value) = value["due_ms"].nil? || (value["due_ms"].is_a?(Integer) && value["done"] < value["steps"].size)
      private_class_method :told_back, :inverse, :due?
    end
  end
end
