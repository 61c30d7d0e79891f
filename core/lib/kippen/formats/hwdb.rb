# frozen_string_literal: true

module Kippen
  module Formats
    # What one device's buttons do, as a fragment for udev's hardware database: where one code in place of another is all that is
    # needed. Nothing waits, filters or counts there, so whatever needs that is listed with why. Source: hwdb(7) and the comments
    # of 60-keyboard.hwdb of Debian's udev 252: KEYBOARD_KEY_<scan code>=<name>; the scan code of an HID device is its usage.
    class Hwdb
      # Bus, vendor and product of a device, each as four hexadecimal digits.
      ID = /\A\h{4}\z/
      FILTERS = %w[gap_bridge_ms bounce_guard_ms brush_guard_ms].freeze
      # Actions by what is heard when a keyboard or mouse does the same: { kind => { which => source } }.
      SAME = {
        "click" => { "left" => "pointer:0", "middle" => "pointer:1", "right" => "pointer:2" },
        "volume" => { "up" => "key:AudioVolumeUp", "down" => "key:AudioVolumeDown", "mute" => "key:AudioVolumeMute" },
        "media" => { "play-pause" => "key:MediaPlayPause", "stop" => "key:MediaStop", "next" => "key:MediaTrackNext",
                     "previous" => "key:MediaTrackPrevious" },
        "system" => { "home" => "key:BrowserHome", "back" => "key:BrowserBack" }
      }.freeze
      WHICH = { "click" => "button", "volume" => "direction", "media" => "do", "system" => "do" }.freeze

      # text – the fragment, empty of lines where nothing can be said; said – refs of buttons in it;
      # left – [[ref, why]…] in words
      Fragment = Struct.new(:text, :said, :left, keyword_init: true)

      # stands – { Linux name of what a button sends => ref }, where it is another than its kind says
      def initialize(fitting, device, knowledge, stands: {})
        @fitting = fitting
        @device = device
        @knowledge = knowledge.of(fitting)
        @stands = stands
        rows = [*@knowledge.codes.keys, *@knowledge.codes.buttons]
        @by_linux = rows.reverse.select { |row| row["linux"] }.to_h { |row| [row["linux"]["name"], row] }
        @by_source = rows.to_h { |row| [row["source"] || "key:#{row["w3c"]}", row] }
      end

      # bus, vendor, product – see ID. Raises Invalid.
      def fragment(bus:, vendor:, product:)
        { "bus" => bus, "vendor" => vendor, "product" => product }.each do |name, value|
          raise Invalid.at("/#{name}", Words.say(:four_digits, value: Faults.show(value))) unless ID.match?(value)
        end
        found = @device.buttons.to_h { |button| [button, lines(button)] }
        said, left = found.partition { |_, lines| lines.is_a?(Array) }
        match = "evdev:input:b#{bus.upcase}v#{vendor.upcase}p#{product.upcase}*"
        Fragment.new(text: text(match, said.flat_map(&:last), left), said: said.map { |button, _| button.ref },
                     left: left.map { |button, why| [button.ref, why] }).freeze
      end

      private

      # Each with what is on it; a comment is one line.
      def text(match, lines, left)
        notes = left.map { |button, why| "# #{plain("#{name(button)}: #{why}")}" }
        body = lines.empty? ? [] : [match, *lines.map { |line| " #{line}" }]
        "#{["# #{plain(Words.say(:hwdb_head, client: @fitting.name, device: @device.name || @device.id))}", *notes,
            *body].join("\n")}\n"
      end

      def plain(words) = words.gsub(/[[:cntrl:]]+/, " ")
      def name(button) = Words.button(@device, button)

      # The lines of a button, or in words why it has none.
      def lines(button)
        own = @fitting.assigned(button.ref).reject(&:off)
        why = cant(button, own)
        return why if why

        target = target(own.first.action) or return Words.say(:hwdb_action, action: @knowledge.catalogue.name(own.first.action))
        codes = sent(button)
        return Words.say(:hwdb_no_code) if codes.empty?

        codes.map { |hid| format("KEYBOARD_KEY_%x=%s", (hid["page"] << 16) | hid["usage"], target) }
      end

      def cant(button, own)
        return Words.say(:hwdb_off) if @device.off || button.off
        return Words.say(:hwdb_nothing) if own.empty?
        return Words.say(:hwdb_gestures) unless own.map { |one| [one.gesture, one.place, one.mode] } == [PLAIN]

        set = FILTERS.reject { |setting| @fitting.timing(button).settings[setting].zero? }
        Words.say(:hwdb_filter, settings: set.map { |one| Words.setting(one) }.join(", ")) if set.any?
      end

      PLAIN = ["tap", Fitting::EVERYWHERE, Fitting::BASE].freeze
      private_constant :PLAIN

      # What it becomes: a name of the kernel's as the hardware database writes it, or nil.
      def target(action)
        source = action["kind"] == "keys" ? single(action["keys"]) : SAME.dig(action["kind"], action[WHICH[action["kind"]]])
        return unless source && (action.keys - ["kind", "keys", WHICH[action["kind"]]]).empty?

        @by_source.dig(source, "linux", "name")&.delete_prefix("KEY_")&.downcase
      end

      def single(keys) = keys.is_a?(Array) && keys.one? ? "key:#{keys.first}" : nil

      # HID usages of what it sends.
      def sent(button)
        said = @stands.select { |_, ref| ref == button.ref }.keys
        said = @knowledge.kinds.button(@device, button)&.dig("heard", "recording") || [] if said.empty?
        said.filter_map { |linux| @by_linux[linux]&.fetch("hid", nil) }.uniq
      end
    end
  end
end
