# frozen_string_literal: true

require_relative "hands"

module Kippen
  # Trials as a file, how each is scored, and what the command tells.
  class TrialsTest < CoreTest
    include Hands

    TIMING = Fitting::Timing::SETTINGS.values.to_h { |setting| [setting.name, setting.default] }.freeze

    def press(*edges) = edges.each_with_index.map { |ms, index| [ms * 1000, index.even? ? "down" : "up"] }

    def score(intended, trace, offered: %w[tap double_tap long_press], timing: {}, **more)
      file = { "kippen" => "trials/1", "offered" => offered,
               "trials" => [{ "intended" => intended, "trace" => trace }] }.merge(more.transform_keys(&:to_s))
      series = Formats::TrialsJson.read(JSON.generate(file))
      Tuning::Replays.new(series).score(series.trials.first, TIMING.merge(timing)).to_a
    end

    def test_a_gesture_is_right_missed_extra_or_another
      { ["tap", press(0, 100)] => ["right", "tap", 400_000], ["tap", press(0, 700)] => ["other", "long_press", nil],
        ["tap", press(0, 100, 200, 260)] => ["other", "double_tap", nil],
        ["tap", press(0, 100, 600, 700)] => ["extra", "extra", nil],
        ["tap", []] => ["missed", "missed", nil], ["double_tap", press(0, 100, 200, 300)] => ["right", "double_tap", 200_000],
        ["long_press", press(0, 700)] => ["right", "long_press", 500_000], ["rest", []] => ["right", "rest", nil],
        ["rest", press(0, 40)] => ["unwanted", "tap", nil] }
        .each { |(intended, trace), expected| assert_equal expected, score(intended, trace), "#{intended} #{trace}" }
    end

    def test_clicks_go_through_and_the_host_makes_the_double_click
      more = { offered: %w[click double_click drag], host: { "double_click_ms" => 500 } }
      { ["click", press(0, 100)] => ["right", "click", 0], ["click", press(0, 100, 110, 140)] => ["extra", "extra", nil],
        ["double_click", press(0, 100, 300, 400)] => ["right", "double_click", 0],
        ["double_click", press(0, 100, 500, 600)] => ["missed", "missed", nil],
        ["double_click", press(0, 100)] => ["missed", "missed", nil], ["drag", press(0, 3000)] => ["right", "drag", 0] }
        .each { |(intended, trace), expected| assert_equal expected, score(intended, trace, **more), "#{intended} #{trace}" }
      assert_equal ["right", "click", 0], score("click", press(0, 100, 110, 140), timing: { "bounce_guard_ms" => 200 }, **more)
    end

    def test_a_bad_file_is_refused_with_every_fault
      file = { "kippen" => "trials/1", "button" => { "kind" => "wheel" }, "offered" => %w[tap click],
               "timing" => { "tap_gap_ms" => 9 },
               "settable" => { "tap_gap_ms" => { "from" => 1 }, "hum" => {}, "long_press_ms" => { "values" => [500, 9] } },
               "trials" => [{ "intended" => "tap", "trace" => [[5, "down"], [4, "up"]] }, 7,
                            { "intended" => "sing", "trace" => [], "weight" => 0 }] }
      found = faults { Formats::TrialsJson.read(JSON.generate(file)) }.map(&:first)
      assert_equal %w[/button/kind /offered /settable/hum /settable/long_press_ms /settable/tap_gap_ms /timing/tap_gap_ms
                      /trials/0/trace /trials/1 /trials/2/intended /trials/2/weight],
                   found.sort
      assert_equal([["/kippen", "must be trials/1"]], faults { Formats::TrialsJson.read('{"kippen":"trials/2"}') })
    end

    def test_one_that_does_not_count_is_not_used
      file = trials(STEADY, 4, 1)
      file["trials"][0]["counted"] = false
      assert_equal 3, Formats::TrialsJson.read(JSON.generate(file)).trials.size
    end

    def test_the_command_tells_all_of_it_twice_the_same
      text = JSON.generate(trials(TREMOR, 24, 2))
      # With most of it fixed less is looked for.
      fixed = { "tap_gap_ms" => 450, "gap_bridge_ms" => 0, "brush_guard_ms" => 0 }.flat_map do |setting, value|
        ["--fix", "#{setting}=#{value}"]
      end
      status, output, errors = command("tune", "--trials", "-", *fixed, input: text)
      assert_equal [0, ""], [status, errors]
      told = JSON.parse(output)
      assert_equal %w[compared confusion expected notes rests_on risks seen sweeps timing unsaved], told.keys.sort
      assert_equal 450, told["timing"]["tap_gap_ms"]
      unfitted = ["unfitted", "unfitted, as GTK 3.24 has it", "unfitted, as Qt 5.15 has it",
                  "unfitted filters, as X server 21.1 has them"]
      assert_equal(["today's", *unfitted, "found by hand", "fitted"], told["compared"].map { |one| one["name"] })
      assert_equal 24, told["expected"]["n"]
      assert_operator told["expected"]["low"], :<=, told["expected"]["right"]
      assert(told["notes"].any? { |note| note.start_with?("6 of tap: few") })
      assert_equal output, command("tune", "--trials", "-", *fixed, input: text)[1]
    end

    def test_presses_beside_are_read_from_files_of_the_same_kind
      text = JSON.generate(trials(SLOW, 8, 2))
      Tempfile.create("beside") do |file|
        file.write(JSON.generate(trials(SLOW, 40, 9)))
        file.flush
        beside = JSON.parse(command("tune", "--trials", "-", "--beside", file.path, input: text)[1])["rests_on"]
        assert_equal [8, 40], [beside["own"], beside.dig("beside", "presses")]
        force = JSON.generate({ "kippen" => "trials/1", "button" => { "kind" => "force" }, "offered" => %w[tap], "trials" => [] })
        assert_match(/--beside: of a contact button; these trials are of a force one/,
                     command("tune", "--trials", "-", "--beside", file.path, input: force)[2])
      end
    end

    def test_what_the_command_refuses
      assert_equal [2, ""], command("tune").first(2)
      assert_match(/unknown setting hum/, command("tune", "--trials", "-", "--fix", "hum=1")[2])
      %w[dear -1 11 NaN].each do |price|
        assert_match(/takes a number from 0 to 10, not #{price}/, command("tune", "--trials", "-", "--price=#{price}")[2])
      end
      text = JSON.generate(trials(STEADY, 4, 1, settable: { "bounce_guard_ms" => { "values" => [0, 250] } }))
      fixed = ->(said) { command("tune", "--trials", "-", "--fix", said, input: text)[2] }
      assert_match(/bounce_guard_ms can't be 100; the nearest that can be set is 0/, fixed["bounce_guard_ms=100"])
      assert_match(/release_at must be below press_at/, fixed["press_at=0.3"])
      assert_match(%r{/kippen: must be trials/1}, command("tune", "--trials", "-", input: "{}")[2])
    end
  end
end
