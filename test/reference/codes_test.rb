# frozen_string_literal: true

require_relative "helper"
require_relative "real_screen"

module Kippen
  # The code tables against what others publish: the kernel's header (linux-libc-dev), usb.ids
  # (lines HUT), Android's header (android-platform-frameworks-native-headers), and the W3C codes
  # that Chromium gives for real keys (X key code = Linux code + 8, as in xkb-data's evdev rules).
  class CodesTest < ReferenceTest
    include RealScreen

    LINUX = "/usr/include/linux/input-event-codes.h"
    USB = "/usr/share/misc/usb.ids"
    ANDROID = "/usr/include/android/android/keycodes.h"
    DATA = File.expand_path("../../core/data/codes", __dir__)
    KEYS = JSON.parse(File.read(File.join(DATA, "keys.json")))["keys"]
    BUTTONS = JSON.parse(File.read(File.join(DATA, "buttons.json")))["buttons"]
    ROWS = (KEYS + BUTTONS).freeze
    # X has key codes up to 255; what Chromium or the window takes for itself is left out.
    X_LAST = 255
    TAKEN = %w[MetaLeft MetaRight].freeze

    def linux
      defined = File.read(LINUX).scan(/^#define\s+((?:KEY|BTN)_\w+)\s+(\w+)/).to_h
      resolve = ->(value) { value.match?(/\A(0x\h+|\d+)\z/) ? Integer(value) : resolve.call(defined.fetch(value)) }
      defined.transform_values { |value| defined.key?(value) || value.match?(/\A(0x\h+|\d+)\z/) ? resolve.call(value) : nil }
    end

    def test_linux_names_and_numbers_are_the_kernels
      numbers = linux
      checked = ROWS.filter_map { |row| row["linux"] }
      assert_operator checked.size, :>, 150
      checked.each { |code| assert_equal numbers.fetch(code["name"]), code["number"], code["name"] }
    end

    # What a recording of a kind's buttons and seats is said to hold.
    def test_what_kinds_say_of_recordings_the_kernel_knows
      known = File.read(LINUX).scan(/^#define\s+((?:KEY|BTN|REL|ABS)_\w+)/).flatten
      Dir[File.expand_path("../../core/data/kinds/*.json", __dir__)].each do |file|
        kind = JSON.parse(File.read(file))
        said = kind["buttons"].flat_map { |button| button["heard"]["recording"] } + kind.fetch("seats", []).flat_map do |seat|
          seat.fetch("recording", [])
        end
        assert_empty said - known, File.basename(file)
      end
    end

    def test_android_names_and_numbers_are_its_headers
      numbers = File.read(ANDROID).scan(/^\s+A(KEYCODE_\w+)\s*=\s*(\d+)/).to_h.transform_values { |value| Integer(value, 10) }
      checked = ROWS.filter_map { |row| row["android"] }
      assert_operator checked.size, :>, 100
      checked.each { |code| assert_equal numbers.fetch(code["name"]), code["number"], code["name"] }
    end

    # { [page, usage] => name }
    def usages
      page = nil
      File.readlines(USB, encoding: "UTF-8").each_with_object({}) do |line, all|
        page = line[/\AHUT (\h\h)  /, 1]&.then { |text| Integer(text, 16) } if line.start_with?(/[A-Z]/)
        usage = line.match(/\A\t(\h{3})  (.+)/)
        all[[page, Integer(usage[1], 16)]] = usage[2] if page && usage
      end
    end

    # A name in usb.ids that has nothing to do with the key would be a wrong number.
    def test_usb_usages_name_the_same_keys
      all = usages
      rows = KEYS.select { |row| row["hid"] && row["w3c"] }
      letters = rows.select { |row| row["w3c"].match?(/\A(Key[A-Z]|F\d+)\z/) }
      assert_operator letters.size, :>, 40
      letters.each do |row|
        assert_equal row["w3c"].delete_prefix("Key"), all.fetch(row["hid"].values_at("page", "usage")), row["w3c"]
      end
      digits = rows.select { |row| row["w3c"].start_with?("Digit") }
      digits.each { |row| assert_match(/\A#{row["w3c"][-1]} and /, all.fetch(row["hid"].values_at("page", "usage"))) }
      { "Enter" => "Return (Enter)", "ArrowUp" => "Up Arrow", "PageDown" => "Page Down",
        "NumLock" => "Num Lock and Clear" }.each do |code, name|
        row = rows.find { |one| one["w3c"] == code }
        assert_equal name, all.fetch(row["hid"].values_at("page", "usage"))
      end
    end

    def test_usb_usages_of_buttons_and_media_keys_are_there
      all = usages
      { [9, 1] => "Button 1 (Primary)", [13, 0x42] => "Tip Switch", [13, 0x44] => "Barrel Switch",
        [13, 0x45] => "Eraser" }.each do |code, name|
        assert_equal name, all.fetch(code)
        assert(BUTTONS.any? { |row| row["hid"]&.values_at("page", "usage") == code }, name)
      end
      media = KEYS.select { |row| row.dig("hid", "page") == 12 && row["w3c"] }
      assert_operator media.size, :>, 8
      media.each { |row| assert all.key?(row["hid"].values_at("page", "usage")), row["w3c"] }
    end

    # xdotool takes one digit for the key that has it printed on.
    def x_name(row) = row["w3c"] == "Escape" ? "Escape" : (row["linux"]["number"] + 8).to_s

    # Real key presses (XTEST) into a real Chromium: what it calls the key whose Linux number the table has.
    def test_chromium_calls_each_key_as_the_table_does
      on_a_real_screen do |browser, environment|
        rows = KEYS.select do |row|
          row["w3c"] && row["linux"] && row["linux"]["number"] + 8 <= X_LAST && !row["kept"] && !TAKEN.include?(row["w3c"])
        end
        browser.get("data:text/html,<body style='height:900px'>keys")
        browser.execute_script(<<~JS)
          window.heard = []
          addEventListener("keydown", (event) => { event.preventDefault(); heard.push(event.code) }, true)
        JS
        system(environment, "xdotool", "mousemove", "400", "450", "click", "1")
        rows.each { |row| system(environment, "xdotool", "key", x_name(row)) }
        heard = browser.execute_script("return heard")
        assert_operator rows.size, :>, 100
        assert_equal rows.map { |row| row["w3c"] }, heard
      end
    end
  end
end
