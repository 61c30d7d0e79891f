# frozen_string_literal: true

module Kippen
  module Standins
    # What a screen shows besides its windows, in words, for whoever can't see it or sees it from afar.
    module Facts
      module_function

      # Takes a Screen; returns [sentence…].
      def of(screen)
        state = screen.state
        [course(screen), call(state), help(state), volume(state), (Words.say(:screen_playing) if state["playing"]),
         (Words.say(:screen_light) if state["light"]), (Words.say(:screen_dark) unless state["lights"]), *turned(screen),
         *state["modifiers"].map { |key| Words.say(:screen_modifier, key:) },
         (Words.say(:screen_text, text: state["text"]) unless state["text"].empty?)].compact
      end

      def course(screen)
        return unless Course.new(screen).underway?

        course = screen.state["course"]
        stop = screen.fitting.button(course["stop"])
        told = Words.say(:steps_going_on, done: course["done"], count: course["steps"].size)
        stop ? "#{told} #{Words.say(:steps_stop, stop: Words.button(screen.fitting.device(stop.device), stop))}" : told
      end

      def call(state) = { "ringing" => Words.say(:screen_ringing), "on" => Words.say(:screen_call_on) }[state["call"]]
      def help(state) = state["help"].positive? ? Words.say(:screen_help, count: state["help"]) : nil

      def volume(state)
        state["muted"] ? Words.say(:screen_muted) : Words.say(:screen_volume, volume: state["volume"], most: Effects::LOUDEST)
      end

      # How often an app was told something: the page that was turned, the line that was begun.
      def turned(screen)
        screen.state["counts"].filter_map do |what, count|
          app, command = what.split("/", 2)
          next Words.say(:screen_scrolled, count:) if what == "scroll"

          command && Words.say(:screen_told,
                               command: screen.knowledge.catalogue.name({ "kind" => "app", "app" => app, "command" => command }),
                               count:)
        end
      end
      private_class_method :course, :call, :help, :volume, :turned
    end
  end
end
