# frozen_string_literal: true

module Kippen
  module Tuning
    # What is asked of a button: what it counts, or what goes on to the host as clicks.
    module Offer
      module_function

      # [gesture…] in use on a Fitting::Button anywhere, or PASS_THROUGH where its clicks go to the host.
      def of(fitting, button, kinds)
        return PASS_THROUGH if pass_through?(fitting, button, kinds)

        used = fitting.assigned(button.ref).reject(&:off).map { |one| one.gesture == "hold" ? "long_press" : one.gesture }
        GESTURES & ["tap", *used]
      end

      # The whole trials/1 document of a button. offered – see .of; trials – as the file has them
      def document(fitting, button, kinds, offered:, trials:)
        device = fitting.device(button.device)
        host = fitting.host(button.host)
        { "kippen" => Formats::TrialsJson::FORMAT, "button" => { "id" => button.ref, "kind" => button.kind },
          "offered" => offered,
          "timing" => fitting.timing(button).settings, "settable" => round.merge(kinds.settable(device, host)),
          "host" => { "double_click_ms" => kinds.double_click_ms(device, host) }, "trials" => trials }
      end

      # Where a device can be set to anything, nobody types 859 ms.
      def round
        durations = Fitting::Timing::SETTINGS.values.select(&:duration?)
        durations.to_h do |setting|
          [setting.name, { "from" => setting.range.begin, "to" => setting.range.end, "step" => Kinds::Settable::STEP }]
        end
      end

      # Only what clicks by itself, untouched or down as long as it is held.
      def pass_through?(fitting, button, kinds)
        return false unless kinds.button(fitting.device(button.device), button)&.dig("builtin_action", "kind") == "click"

        choice = Press::Resolver.of(fitting).choice(button, Fitting::BASE, Press::Resolver.of(fitting).spot(""))
        choice.kind == :builtin || (choice.lone_hold? && choice.long.action["kind"] == "builtin")
      end
      private_class_method :pass_through?, :round
    end
  end
end
