# frozen_string_literal: true

module Kippen
  module Standins
    # Several steps on their way on the screen of a stand-in host: each is done when it is due, until the next press
    # of their stop. Kept as the member "course" of the screen's state:
    # { "steps", "done", "due_ms" => when the next is due, or nil where none is left, "stop" => ref, "off" => [ref, µs] or nil }
    # off – the press that broke them off: what it would have done is not done.
    class Course
      def initialize(screen)
        @screen = screen
        @course = screen.state["course"]
      end

      # When the next step is due, in ms on the clock of whoever asks, or nil.
      def due_ms = @course&.fetch("due_ms", nil)
      def underway? = !due_ms.nil?

      # Is something under way that the press of one of these breaks off?
      def stop?(refs) = underway? && refs.include?(@course["stop"])

      # Did the burst of an outcome break something off? Then it does nothing else.
      def spent?(outcome) = @course&.fetch("off", nil) == [outcome.button, outcome.began_us]

      # The Screen with an action of several steps begun; the first is done at once. action – with all its values
      def begin(action)
        course = { "steps" => action["steps"], "done" => 0, "due_ms" => @screen.moment.ms,
                   "stop" => Steps.stop(action, @screen.moment.ref, @screen.fitting), "off" => nil }
        now = Course.new(@screen.with(course:)).go_on
        underway? ? now.with(said: [Words.say(:steps_replaced), now.state["said"]].join(" ")) : now
      end

      # The Screen with what is due by its moment done, in order.
      def go_on
        return @screen unless underway? && due_ms <= @screen.moment.ms

        done = @course["done"] + 1
        following = @course["steps"][done]
        due = following && (due_ms + following.fetch("pause_ms", 0))
        further = @screen.with(course: @course.merge("done" => done, "due_ms" => due))
        Course.new(further.does(@course["steps"][done - 1]["action"])).go_on
      end

      # The Screen after a press that counts: where it is the stop of what is under way, that is broken off.
      # began_us – when the burst that the press is of began
      def press(ref, began_us)
        return @screen unless stop?([ref])

        @screen.with(course: @course.merge("due_ms" => nil, "off" => [ref, began_us]),
                     said: Words.say(:steps_broken_off, done: @course["done"], count: @course["steps"].size))
      end

      # The Screen with what was done of the last steps taken back, the last one first, as far as each can be.
      def back
        actions = @course ? @course["steps"].first(@course["done"]).map { |step| step["action"] } : []
        return @screen.with(said: Words.say(:steps_none_to_take_back)) if actions.empty?

        back = actions.to_h { |action| [action, inverse(action)] }
        taken = actions.reverse.filter_map { |action| back[action] }.reduce(@screen.with(course: nil), :does)
        taken.with(said: told_back(actions, back))
      end

      # Is it a state that can be taken up?
      def self.state?(value)
        return true if value.nil?

        value.is_a?(Hash) && !Steps.of({ "kind" => Steps::KIND, "steps" => value["steps"] }).nil? &&
          value["done"].is_a?(Integer) && value["done"].between?(0, value["steps"].size) && value["stop"].is_a?(String) &&
          due?(value)
      end

      # What is due is one of the steps.
      def self.due?(value)
        value["due_ms"].nil? || (value["due_ms"].is_a?(Integer) && value["done"] < value["steps"].size)
      end
      private_class_method :due?

      private

      def told_back(actions, back)
        left = actions.reject { |action| back[action] }.map { |action| @screen.knowledge.catalogue.name(action) }
        [Words.say(:steps_taken_back, count: actions.size - left.size, of: actions.size),
         *(Words.say(:steps_stay, names: left.join(", ")) if left.any?)].join(" ")
      end

      # The action that takes one back: with what the one was asked, where it asks the same.
      def inverse(action)
        catalogue = @screen.knowledge.catalogue
        undone_by = catalogue.entry(action)&.facts&.fetch("undone_by", nil) or return
        entry = catalogue.find(undone_by)
        catalogue.whole(action.slice(*entry.asks.map(&:member)).merge(entry.action))
      end
    end
  end
end
