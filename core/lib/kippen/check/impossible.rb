# frozen_string_literal: true

module Kippen
  module Check
    # An assigned gesture that no press can bring about with the timing, or hardly; the same of a double-click that the host
    # makes of a button's own presses.
    class Impossible < Finder
      ID = "impossible"

      def findings = @case.buttons.flat_map { |button| (limits(button) + own(button)).uniq(&:where) }

      def candidates(finding)
        button = @fitting.button(finding.where["button"])
        given = @fitting.timing(button).settings
        %w[bounce_guard_ms gap_bridge_ms brush_guard_ms].select { |name| given[name].positive? }.map do |name|
          change = { "kind" => "timing", "button" => button.ref, "setting" => name, "value" => 0 }
          [Words.say(:fix_setting_off, setting: Words.setting(name), button: name(button)), change]
        end
      end

      private

      def limits(button)
        @case.lanes(button).flat_map do |lane|
          lane.limits.map do |limit|
            found(limit.how == "hardly" ? "look" : "serious", told(button, Words.limit(limit, lane.timing)),
                  where: { "button" => button.ref, "gesture" => limit.gesture,
                           "place" => (lane.place unless lane.place == Fitting::EVERYWHERE),
                           "mode" => (lane.mode unless lane.mode == Fitting::BASE) },
                  figures: { "room_ms" => limit.room_us && (limit.room_us / 1000.0) }.compact, rests_on: timing_of(button))
          end
        end
      end

      def own(button)
        lane = @case.lanes(button).first
        OwnDoing.on(@fitting, @case.kinds, lane).select { |one| one.gesture == "double_tap" && one.by_timing }.map do |one|
          found(one.lost ? "serious" : "look", told(button, one.trouble),
                where: { "button" => button.ref, "gesture" => "double_click" }, rests_on: timing_of(button))
        end
      end

      def told(button, words) = Words.say(:own_of_button, button: name(button), told: words)
    end
  end
end
