# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # A kind of device that somebody made is read whole or refused with all that is wrong.
  class KindReaderTest < CoreTest
    include KindsData

    FILES = Dir[File.join(DATA, "kinds",
                          "*.json")].to_h { |file| [File.basename(file, ".json"), JSON.parse(File.read(file))] }.freeze
    TOUCHPAD = FILES.fetch("touchpad")

    def told(data)
      found = Faults.new
      kind = Kinds::Reader.read(data, found)
      [kind, found.to_a.map(&:where)]
    end

    def with(*path, value)
      copy = JSON.parse(JSON.generate(TOUCHPAD))
      holder = path[0...-1].reduce(copy) { |at, step| at.fetch(step) }
      value == :gone ? holder.delete(path.last) : holder[path.last] = value
      copy
    end

    def test_every_kind_that_ships_is_one
      FILES.each do |name, data|
        kind, where = told(data)
        assert_empty where, name
        assert_equal data["id"], kind.id
      end
    end

    def test_what_it_can_do_and_how_much_it_holds_may_be_said
      kind, where = told(with("hosts", "computer", FILES.fetch("touchpad")["hosts"]["computer"]
        .merge("bytes" => 0, "assignments" => 4, "actions" => %w[keys], "mode_ways" => [])))
      assert_empty where
      assert_equal [0, 4, %w[keys], []], kind.carries("computer").values_at("bytes", "assignments", "actions", "mode_ways")
    end

    # What is wrong, and where that is told.
    WRONG = [
      [["kippen"], "kind/2", "/kippen"], [["id"], "Big One", "/id"], [["name"], " ", "/name"], [["colour"], "red", "/colour"],
      [["words"], 7, "/words"],
      [["box"], [1], "/box"], [["box"], [0, 5], "/box"], [["outline"], [], "/outline"],
      [["outline"], [{ "rect" => [1] }], "/outline"],
      [["outline"], [{ "path" => "M1 1\"/><script>" }], "/outline"],
      [["outline"], [{ "rect" => [1, 1, 1, 1, 1], "path" => "M1" }], "/outline"],
      [["belongs"], "toaster", "/belongs"], [["takes"], ["Ä"], "/takes"], [["buttons"], :gone, "/buttons"],
      [["buttons"], 5, "/buttons"],
      [["buttons", 0, "id"], nil, "/buttons/0/id"], [["buttons", 0, "id"], "right", "/buttons"],
      [["buttons", 0, "mirror"], "nobody", "/buttons/0/mirror"],
      [["buttons", 0, "kind"], "magnet", "/buttons/0/kind"], [["buttons", 0, "at"], {}, "/buttons/0/at"],
      [["buttons", 0, "is"], :gone, "/buttons/0/is"],
      [["buttons", 0, "why"], :gone, "/buttons/0/why"], [["buttons", 0, "builtin"], { "wave" => "x" }, "/buttons/0/builtin"],
      [["buttons", 0, "builtin_action"], { "kind" => "help" }, "/buttons/0/builtin_action"],
      [["buttons", 0, "held_back"], "yes", "/buttons/0/held_back"],
      [["buttons", 0, "heard"], [], "/buttons/0/heard"],
      [["buttons", 0, "heard", "browser"], ["mouse:1"], "/buttons/0/heard/browser"],
      [["buttons", 0, "heard", "recording"], ["rm -rf"], "/buttons/0/heard/recording"],
      [["buttons", 0, "signals"], [], "/buttons/0/signals"],
      [["buttons", 0, "counts"], "force", "/buttons/0/counts"], [["buttons", 0, "claims"], :gone, "/buttons/0/claims"],
      [["buttons", 0, "gestures"], %w[wave], "/buttons/0/gestures"],
      [["buttons", 3, "gestures"], %w[hold], "/buttons/3/gestures"],
      [["hosts"], {}, "/hosts"], [["hosts"], { "toaster" => {} }, "/hosts"],
      [%w[hosts computer gestures], [], "/hosts/computer/gestures"],
      [%w[hosts computer modes], -1, "/hosts/computer/modes"],
      [%w[hosts computer bytes], -1, "/hosts/computer/bytes"], [%w[hosts computer bytes], "9", "/hosts/computer/bytes"],
      [%w[hosts computer assignments], 1.5, "/hosts/computer/assignments"],
      [%w[hosts computer actions], "keys", "/hosts/computer/actions"],
      [%w[hosts computer actions], ["rm -rf"], "/hosts/computer/actions"],
      [%w[hosts computer actions], [7], "/hosts/computer/actions"],
      [%w[hosts computer mode_ways], ["held"] * 51, "/hosts/computer/mode_ways"],
      [%w[hosts computer settable long_press_ms], { "fixed" => 1 }, "/hosts/computer/settable/long_press_ms"],
      [%w[hosts computer settable long_press_ms], { "from" => 100, "to" => 5000, "step" => 0 },
       "/hosts/computer/settable/long_press_ms"],
      [%w[hosts computer settable long_press_ms], { "values" => [] }, "/hosts/computer/settable/long_press_ms"],
      [%w[hosts computer settable warmth], { "fixed" => 1 }, "/hosts/computer/settable/warmth"],
      [%w[hosts computer double_click_ms], { "usual" => 500 }, "/hosts/computer/double_click_ms"],
      [%w[hosts computer double_click_ms usual], 9_999_999, "/hosts/computer/double_click_ms"],
      [%w[hosts phone unsure], " ", "/hosts/phone/unsure"],
      [["ready"], :gone, "/ready"], [["ready", 0, "needs"], ["nothing"], "/ready/0/needs"],
      [["ready", 0, "title"], "", "/ready/0/title"],
      [["ready", 0, "how"], "", "/ready/0/how"],
      [["ready", 1, "check"], { "held" => { "button" => "nobody", "ms" => 5 } }, "/ready/1/check"],
      [["ready", 1, "check"], {}, "/ready/1/check"], [["ready", 0, "hosts"], ["attic"], "/ready/0/hosts"]
    ].freeze

    def test_each_thing_wrong_is_told_where_it_is
      WRONG.each do |path, value, where|
        kind, told = told(with(*path, value))
        assert_nil kind, path.inspect
        assert_includes told, where, "#{path.inspect} = #{value.inspect}"
      end
    end

    def test_what_is_no_object_at_all
      [nil, 7, "kind", [], true].each { |data| assert_equal [nil, ["/"]], told(data) }
    end

    # Whatever stands anywhere in it, it is read or refused: nothing else happens, and what was read makes a device.
    def test_a_hostile_kind_is_refused_and_nothing_worse
      random = Random.new(20_261_129)
      taken = 0
      2_000.times do
        data = JSON.parse(JSON.generate(FILES.values.sample(random:)))
        spoil(data, random)
        kind, where = told(data)
        assert_equal kind.nil?, where.any?
        next unless kind

        taken += 1
        kind.systems.each { |system| kind.carries(system).fetch("gestures") }
        kind.variants.map { |one| one["id"] }.push(nil).each { |variant| kind.fitting_buttons(variant) }
      end
      assert_operator taken, :>, 20, "some of it does no harm"
    end

    # A step called as the group it is in, steps that need each other: a device of it is got ready all the same.
    def test_steps_that_go_round_in_circles
      data = with("ready", TOUCHPAD["ready"].each_with_index.map do |step, index|
        step.merge("id" => "s#{index}", "one_of" => "s#{1 - index}", "needs" => %w[s0 s1])
      end)
      kind, where = told(data.merge("id" => "round", "name" => "Round"))
      assert_empty where
      fitting = made(made(bare, "kind", document: kind.data), "add_device", of: "round", host: "desk")
      device = fitting.devices.first
      steps = Kinds::Ready.new(KINDS.of(device), device, fitting.host(device.host)).steps
      assert_equal %w[later later], steps.map(&:state)
      ticked = made(fitting, "ready", device: device.id, step: "s0", done: true)
      assert_equal %w[done], Kinds::Ready.new(KINDS.of(device), ticked.devices.first,
                                              ticked.host(device.host)).steps.map(&:state).uniq & %w[done]
    end

    # Whatever a button is said to do by itself, a stand-in does it or leaves it.
    def test_odd_actions_of_a_button_itself_break_no_screen
      [{ "kind" => "click" }, { "kind" => "click", "button" => "seventh" }, { "kind" => "volume" },
       { "kind" => "media", "do" => "dance" },
       { "kind" => "system" },
       { "kind" => "keys" }, { "kind" => "keys", "keys" => "Enter" }, { "kind" => "scroll" },
       { "kind" => "system", "do" => "sleep-timer" },
       { "kind" => "scroll", "by" => "lines" }].each do |action|
        document = with("buttons", 0, "builtin_action", action).merge("id" => "odd", "name" => "Odd")
        fitting = made(made(bare, "kind", document:), "add_device", of: "odd", host: "desk")
        outcome = Press::Outcome.new(0, "odd/left", 0, "base").coming_to("builtin", "start")
        screen = Standins::Screen.new(fitting, KNOWLEDGE, fitting.hosts.first)
        assert_kind_of Standins::Screen,
                       screen.did(outcome, KINDS.button(fitting.devices.first, fitting.buttons.first)["builtin_action"])
        Reach::MainJob.new(KNOWLEDGE).buttons(fitting, fitting.hosts.first)
        Cautions.new(fitting, KNOWLEDGE).of(fitting.buttons.first)
      end
    end

    ODD = [nil, true, -1, 1e308, 0, "", " ", "x" * 5_000, "key:F1", [], [nil], {}, { "id" => nil }, [[]], "../../etc", "tap",
           2**70].freeze

    # Puts something odd into one place.
    def spoil(value, random)
      loop do
        keys = value.is_a?(Hash) ? value.keys : (0...value.size).to_a
        return if keys.empty?

        key = keys.sample(random:)
        inside = value[key]
        return value[key] = ODD.sample(random:) unless inside.is_a?(Enumerable) && inside.any? && random.rand(4).positive?

        value = inside
      end
    end
  end
end
