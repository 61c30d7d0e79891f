# frozen_string_literal: true

module Kippen
  module Check
    # Steps of getting ready are open, once a device. That it was not pressed yet alone is not told.
    class NotReady < Finder
      ID = "not_ready"

      def self.kept? = false

      def findings
        @fitting.devices.reject(&:off).filter_map do |device|
          open = steps(device)
          next if open.empty?

          titles = open.map { |step| "“#{step.title}”" }.join(", ")
          found("look", Words.say(:check_not_ready, count: open.size, device: device.name || device.id, steps: titles),
                where: { "device" => device.id }, figures: { "steps" => open.size },
                rests_on: [RestsOn.pointer("devices", device.id, "ready")])
        end
      end

      private

      def steps(device)
        ready = Kinds::Ready.new(@case.kinds.of(device), device, @fitting.host(device.host),
                                 contacts: @case.contacts.fetch(device.id, []))
        # What hearing any press settles.
        pressed = (@case.kinds.of(device)&.steps || []).select { |step| step.dig("check", "heard") }.map { |step| step["id"] }
        ready.open.reject { |step| pressed.include?(step.id) }
      end
    end
  end
end
