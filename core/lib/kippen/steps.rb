# frozen_string_literal: true

module Kippen
  # Several actions by one press, one after another, as the JSON object of an action has them:
  # { "kind" => "steps", "steps" => [{ "action", "pause_ms" }…], "stop" => the ref of a button or "itself" }.
  # pause_ms – what is waited before the step; the first is done at once.
  module Steps
    KIND = "steps"
    BACK = "steps_back"
    COUNT = 2..8
    PAUSE_MS = 0..60_000
    # They are broken off by the next press of the button that began them.
    ITSELF = "itself"
    # What can't be a step: it is the engine's matter, or isn't one thing.
    NEVER = ["mode", "builtin", KIND, BACK].freeze

    Step = Struct.new(:action, :pause_ms)

    module_function

    # Can an action be one of several?
    def can_be?(action) = !NEVER.include?(action["kind"])

    # [Step] of an action, or nil where it isn't several, or they can't be made out.
    def of(action)
      list = action["steps"]
      return unless action["kind"] == KIND && list.is_a?(Array) && COUNT.cover?(list.size) && faults(list).empty?

      list.map { |step| Step.new(step["action"], pause(step)) }
    end

    # [JSON object] of what an action consists of: of the actions of its steps, or of itself.
    def parts(action) = of(action)&.map(&:action) || [action]

    # The action with what the block makes of each of its parts.
    def map(action)
      return yield action unless of(action)

      action.merge("steps" => action["steps"].map { |step| step.merge("action" => yield(step["action"])) })
    end

    # The ref of the button that breaks them off; where the chosen one is not there any more, that is the one that
    # began them. ref – of that one
    def stop(action, ref, fitting)
      chosen = action["stop"]
      chosen.is_a?(String) && fitting.button(chosen) ? chosen : ref
    end

    # [[where, what is wrong]…] of the value of "steps".
    def faults(value)
      unless value.is_a?(Array) && COUNT.cover?(value.size)
        return [["", Words.say(:steps_count, from: COUNT.first, to: COUNT.last)]]
      end

      value.each_with_index.flat_map { |step, index| of_step(step, index).map { |where, fault| ["/#{index}#{where}", fault] } }
    end

    def of_step(step, index)
      return [["", Words.say(:must_be_an_object)]] unless step.is_a?(Hash)
      unless step["action"].is_a?(Hash) && step["action"]["kind"].is_a?(String)
        return [["/action", Words.say(:must_object_with_kind)]]
      end
      return [["/action", Words.say(:no_step)]] unless can_be?(step["action"])
      return [] if pause(step).is_a?(Integer) && PAUSE_MS.cover?(pause(step)) && (index.positive? || pause(step).zero?)

      # The first is done at once.
      [["/pause_ms", Words.say(:is_must_be_whole_from_to, value: Faults.show(pause(step)), from: 0,
                                                          to: index.zero? ? 0 : PAUSE_MS.last)]]
    end

    def pause(step) = step.fetch("pause_ms", 0)
    private_class_method :of_step, :pause
  end
end
