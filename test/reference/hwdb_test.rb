# frozen_string_literal: true

require_relative "helper"
require_relative "../../core/data_folder"
require "open3"
require "tmpdir"

module Kippen
  # udev itself compiles the fragment and finds the device in it (systemd-hwdb of Debian's package udev); the scan code of a key
  # and its name are those of Debian's own hardware database where that has them.
  class HwdbReferenceTest < ReferenceTest
    KNOWLEDGE = Knowledge.read(DataFolder.texts(File.expand_path("../../core/data", __dir__)))
    KEYS = %w[Enter Escape F13 ArrowUp Space PageDown KeyA Digit1 Slash].freeze

    def hwdb(*arguments)
      said, ended = Open3.capture2e("systemd-hwdb", *arguments)
      assert ended.success?, said
      said
    end

    # Made for one device; returns what udev says of it, and of another.
    def query(text)
      Dir.mktmpdir do |root|
        FileUtils.mkdir_p(File.join(root, "etc/udev/hwdb.d"))
        File.write(File.join(root, "etc/udev/hwdb.d/70-kippen.hwdb"), text)
        hwdb("--root=#{root}", "update")
        %w[p0001e0111-0,1 p0002e0111-0,1].map do |rest|
          hwdb("--root=#{root}", "query", "evdev:input:b0003v1209#{rest}").lines(chomp: true).reject(&:empty?)
        end
      end
    end

    def test_udev_finds_each_key_for_this_device_alone
      ids = KEYS.to_h { |key| [key, "d/#{key.downcase}"] }
      assigned = ids.map { |key, ref| { "button" => ref, "gesture" => "tap", "action" => { "kind" => "keys", "keys" => [key] } } }
      document = { "kippen" => "fitting/1", "timing" => Formats::Hwdb::FILTERS.to_h { |name| [name, 0] },
                   "devices" => [{ "id" => "d", "buttons" => KEYS.map { |key| { "id" => key.downcase } } }],
                   "assignments" => assigned }
      fitting = Fitting.read(document)
      stands = KEYS.each_index.to_h { |index| ["KEY_F#{index + 1}", "d/#{KEYS[index].downcase}"] }
      made = Formats::Hwdb.new(fitting, fitting.devices.first, KNOWLEDGE, stands:)
        .fragment(bus: "0003", vendor: "1209", product: "0001")
      assert_empty made.left
      found, other = query(made.text)
      names = %w[enter esc f13 up space pagedown a 1 slash]
      assert_equal names.each_with_index.map { |name, index|
        format("KEYBOARD_KEY_%x=%s", 0x7003a + index, name)
      }.sort, found.sort
      assert_empty other
    end

    # What is written there is what udev's own data write for keys of HID devices.
    def test_names_and_scan_codes_are_those_of_udevs_own_data
      ours = KNOWLEDGE.codes.keys.filter_map { |row| row.dig("linux", "name")&.delete_prefix("KEY_")&.downcase }
      text = File.read("/usr/lib/udev/hwdb.d/60-keyboard.hwdb", encoding: "UTF-8")
      own = text.scan(/^\s+KEYBOARD_KEY_\h+=!?(\w+)/).flatten.uniq
      assert_operator (own & ours).size, :>, 60, "keys that both name"
    end
  end
end
