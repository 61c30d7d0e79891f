# frozen_string_literal: true

require_relative "helper"
require_relative "../../core/data_folder"
require "open3"
require "tempfile"

module Kippen
  # What Kippen writes is read by the programs whose forms these are: python3-evemu and `libinput analyze recording`, of Debian's
  # packages; and the kernel's struct by its size in linux/input.h of linux-libc-dev, as its compiler has it.
  class RecordingsTest < ReferenceTest
    CODES = Knowledge.read(DataFolder.texts(File.expand_path("../../core/data", __dir__))).codes
    ROWS = [[0, "a/b", "down"], [120_000, "a/b", "up"], [300_000, "a/c", "down"], [950_001, "a/c", "up"]].freeze
    STANDS = { "KEY_F13" => "a/b", "BTN_SIDE" => "a/c" }.freeze
    PYTHON = "/usr/bin/python3"

    def events = Formats::RecordedTrace.new(CODES).events(ROWS, STANDS)

    def with_file(text, name)
      Tempfile.create(["kippen", name]) do |file|
        file.write(text)
        file.flush
        yield file.path
      end
    end

    def run_outside(*command)
      said, ended = Open3.capture2e({ "PATH" => "/usr/bin:/bin" }, *command)
      assert ended.success?, said
      said
    end

    def test_evemu_reads_what_is_written_for_it
      script = <<~PY
        import evemu, sys
        d = evemu.Device(sys.argv[1], create=False)
        print(d.name, d.has_event("EV_KEY", "KEY_F13"), d.has_event("EV_KEY", "BTN_SIDE"), d.has_event("EV_KEY", "KEY_A"))
        for e in d.events():
            print(e.sec, e.usec, e.type, e.code, e.value)
      PY
      said = with_file(Formats::Recording.to_evemu(events, name: "A switch"), ".evemu") do |path|
        run_outside(PYTHON, "-c", script, path).lines(chomp: true)
      end
      assert_equal "A switch True True False", said.first
      assert_equal(events.map { |one| [*one.time_us.divmod(1_000_000), one.type, one.code, one.value].join(" ") }, said.drop(1))
    end

    # A recording as libinput writes it, made of these events, comes out of its own analysis with the keys by name.
    def test_libinput_analyses_the_recording_that_is_read_here
      text = yaml
      assert_equal(ROWS, Formats::RecordedTrace.new(CODES).rows(Formats::Recording.read(text), STANDS).map { |row| row.first(3) })
      said = with_file(text, ".yml") { |path| run_outside("libinput", "analyze", "recording", path) }
      %w[KEY_F13 BTN_SIDE].each { |name| assert_includes said, name }
    end

    def yaml
      frames = events.slice_after { |one| one.type == Formats::Recording::SYN }
      lines = frames.map do |frame|
        rows = frame.map { |one| "      - [#{[*one.time_us.divmod(1_000_000), one.type, one.code, one.value].join(", ")}]" }
        "    - evdev:\n#{rows.join("\n")}"
      end
      <<~YAML
        version: 1
        ndevices: 1
        libinput:
          version: "1.22.1"
          git: "unknown"
        system:
          os: "debian:12"
          kernel: "6.1.0"
          dmi: "none"
        devices:
          - node: /dev/input/event0
            evdev:
              name: "A switch"
              id: [3, 0, 0, 0]
              codes:
                0: [0]
                1: [183, 275]
              properties: []
            hid: []
            udev:
              properties: []
            quirks: []
            events:
        #{lines.join("\n")}
      YAML
    end

    def test_the_kernels_struct_is_as_long_as_it_is_taken_for
      size = with_file("#include <stdio.h>\n#include <linux/input.h>\nint main(){printf(\"%zu\",sizeof(struct input_event));}",
                       ".c") do |path|
        run_outside("cc", "-o", "#{path}.out", path)
        run_outside("#{path}.out").tap { File.unlink("#{path}.out") }
      end
      assert_equal Formats::Recording::BYTES.to_s, size
    end
  end
end
