# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads the assignments of a fitting against its buttons, modes and places.
    class AssignmentReader
      include Members

      HOW = %w[held latch lock clear].freeze
      REPEAT_MS = { "after_ms" => 50..5000, "every_ms" => 10..2000 }.freeze
      CAN_REPEAT = %w[hold long_press].freeze

      # buttons – { ref => Button }; modes, places – of the same fitting
      def initialize(document, faults, buttons:, modes:, places:)
        @document = document
        @faults = faults
        @buttons = buttons
        @modes = modes.to_set(&:id) << BASE
        @places = places.to_set(&:id) << EVERYWHERE
      end

      def assignments
        items = @document.fetch("assignments", [])
        return @faults.add("/assignments", Words.say(:must_be_an_array)) || [] unless items.is_a?(Array)
        if items.size > Limits::ASSIGNMENTS
          return @faults.add("/assignments",
                             Words.say(:has_items_most_are_taken, items: items.size, most: Limits::ASSIGNMENTS)) || []
        end

        found = items.each_with_index.filter_map { |item, index| assignment(item, index) }
        one_at_a_spot(found)
        found.freeze
      end

      private

      def assignment(item, index)
        pointer = "/assignments/#{index}"
        return @faults.add(pointer, Words.say(:must_be_an_object)) unless item.is_a?(Hash)

        button = one_of(item, "button", @buttons, pointer)
        gesture = one_of(item, "gesture", GESTURES, pointer)
        mode = one_of(item, "mode", @modes, pointer, default: BASE)
        place = one_of(item, "place", @places, pointer, default: EVERYWHERE)
        action = action(item, gesture, pointer)
        at_once = flag(item, "at_once", pointer)
        off = flag(item, "off", pointer)
        repeat = repeat(item, gesture, pointer)
        @faults.add("#{pointer}/at_once", Words.say(:only_tap_can_act_once)) if at_once && gesture != "tap"
        notch_can(gesture, button, pointer)
        return unless button && gesture && mode && place && action

        Assignment.new(button:, gesture:, place:, mode:, action:, at_once:, repeat:, off:, index:).freeze
      end

      def action(item, gesture, pointer)
        action = item["action"]
        return @faults.add("#{pointer}/action", Words.say(:must_object_with_kind)) unless action.is_a?(Hash)
        unless action["kind"].is_a?(String) && action["kind"] != ""
          return @faults.add("#{pointer}/action/kind", Words.say(:is_must_be_text, kind: Faults.show(action["kind"])))
        end

        mode_action(action, gesture, pointer) if action["kind"] == "mode"
        action
      end

      def mode_action(action, gesture, pointer)
        how = action["how"]
        unless HOW.include?(how)
          return @faults.add("#{pointer}/action/how", Words.say(:must_be_one_of, value: Faults.show(how), values: HOW.join(", ")))
        end

        @faults.add("#{pointer}/action/how", Words.say(:only_hold_can_keep_mode)) if how == "held" && gesture != "hold"
        mode_named(action, how, pointer)
      end

      def mode_named(action, how, pointer)
        if how == "clear"
          @faults.add("#{pointer}/action/mode", Words.say(:clear_names_no_mode)) if action.key?("mode")
        elsif action["mode"] == BASE || !@modes.include?(action["mode"])
          @faults.add("#{pointer}/action/mode", Words.say(:unknown_mode, mode: Faults.show(action["mode"])))
        end
      end

      def repeat(item, gesture, pointer)
        return unless item.key?("repeat")

        given = item["repeat"]
        return @faults.add("#{pointer}/repeat", Words.say(:must_be_an_object)) unless given.is_a?(Hash)

        @faults.add("#{pointer}/repeat", Words.say(:only_hold_long_press_can)) unless CAN_REPEAT.include?(gesture)
        after, every = REPEAT_MS.keys.map { |key| repeat_us(given[key], key, pointer) }
        Repeat.new(after_us: after, every_us: every).freeze if after && every
      end

      def repeat_us(value, key, pointer)
        setting = Timing::Setting.new(name: key, range: REPEAT_MS.fetch(key))
        fault = Timing.fault(setting, value)
        return Timing.microseconds(value) unless fault

        @faults.add("#{pointer}/repeat/#{key}", fault)
      end

      def notch_can(gesture, button, pointer)
        return unless gesture && gesture != "tap" && button && @buttons[button].kind == "notch"

        @faults.add("#{pointer}/gesture", Words.say(:notch_can_only_make_tap, gesture:))
      end

      # One assignment a button, gesture, place and mode; hold and long_press share a spot.
      def one_at_a_spot(found)
        spots = found.group_by { |a| [a.button, a.place, a.mode, a.gesture == "hold" ? "long_press" : a.gesture] }
        spots.each_value do |same|
          next if same.size == 1

          where = "#{same[0].button}, #{same[0].place}, #{same[0].mode}"
          what = Words.list(same.map(&:gesture).uniq)
          @faults.add("/assignments/#{same[1].index}", Words.say(:assigned_times_one_spot, what:, same: same.size, where:))
        end
      end
    end
  end
end
