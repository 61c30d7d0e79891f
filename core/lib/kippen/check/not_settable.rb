# frozen_string_literal: true

module Kippen
  module Check
    # A value that a gesture assigned there uses and that its device or host can't be set to; the nearest is offered.
    class NotSettable < Finder
      ID = "not_settable"

      def findings = @case.buttons.flat_map { |button| of(button) }

      def candidates(finding)
        button = @fitting.button(finding.where["button"])
        name, nearest = finding.figures.values_at("setting", "nearest")
        [[Words.say(:fix_set_to, setting: Words.setting(name), value: Words.value(name, nearest), button: name(button)),
          { "kind" => "timing", "button" => button.ref, "setting" => name, "value" => nearest }]]
      end

      private

      def of(button)
        settable = @case.kinds.settable(@fitting.device(button.device), @fitting.host(button.host))
        given = @fitting.timing(button).settings
        UsedSettings.of(@case, button).filter_map do |name|
          nearest = Kinds::Settable.nearest(settable[name], given[name])
          next if nearest == given[name]

          unsettable(button, name, given[name], nearest)
        end
      end

      def unsettable(button, name, value, nearest)
        device = @fitting.device(button.device)
        words = Words.say(:check_not_settable, button: name(button), setting: Words.setting(name),
                                               value: Words.value(name, value),
                                               device: device.name || device.id, nearest: Words.value(name, nearest))
        found("serious", words, where: { "button" => button.ref, "setting" => name },
                                figures: { "setting" => name, "value" => value, "nearest" => nearest },
                                rests_on: timing_of(button))
      end
    end
  end
end
