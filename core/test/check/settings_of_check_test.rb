# frozen_string_literal: true

require_relative "checking"

module Kippen
  # What is taken, late, wrongly set or not ready; and the order in which it is told.
  class SettingsOfCheckTest < CoreTest
    include Checking

    def test_claimed
      phone = Fitting.read("kippen" => "fitting/1", "hosts" => [{ "id" => "pocket", "system" => "phone" }])
      given = assign(assign(add(phone, "phone", host: "pocket"), EDGE, "double_tap", HELP), EDGE, "triple_tap", LOUDER)
      assert_equal [["serious", { "button" => EDGE, "gesture" => "triple_tap" }]], told(given, "claimed")
      assert_match(/the phone's emergency call takes it too. To free it: Phone settings, safety: off/,
                   found(given, "claimed")[0].what)
      assert_equal "Take “Louder” off", mended(given, "claimed")
      claim = { "gesture" => "triple_tap", "by" => "it", "free_by" => "off", "freed" => true }
      freed = made(given, "correct", button: EDGE, set: { "claims" => [claim] })
      refute_found freed, "claimed"
      refute_found assign(add(phone, "phone", host: "pocket"), EDGE, "long_press", HELP), "claimed"
    end

    # A switch that wakes the tablet, given something else: then nothing can be done any more.
    def test_without_waking_nothing_else_can_be_done
      document = KINDS.find("switch").data
      button = document["buttons"][0].merge("builtin" => { "tap" => "Wakes it" },
                                            "builtin_action" => { "kind" => "system",
                                                                  "do" => "wake" })
      kind = document.merge("id" => "waker", "name" => "Waker", "buttons" => [button, *document["buttons"].drop(1)])
      tablet = bare("hosts" => [{ "id" => "tablet", "name" => "Tablet", "system" => "tablet" }])
      waker = add(made(tablet, "kind", document: kind), "waker")
      ref = "waker/#{button["id"]}"
      refute_found waker, "built_in_gone"
      taken = assign(waker, ref, "tap", HELP)
      assert_equal [["serious", { "host" => "tablet", "button" => ref, "gesture" => "tap" }]], told(taken, "built_in_gone")
      refute_found assign(taken, ref, "long_press", { "kind" => "system", "do" => "wake" }), "built_in_gone"
      refute_found add(taken, "tablet"), "built_in_gone"
    end

    def test_built_in_gone
      television = assign(add(bare, "remote", host: "tv"), "television-remote/back", "tap", HELP)
      assert_equal [["look", { "host" => "tv", "button" => "television-remote/back", "gesture" => "tap" }]],
                   told(television, "built_in_gone")
      refute_found assign(television, "television-remote/up", "long_press", { "kind" => "system", "do" => "back" }),
                   "built_in_gone"
      # To take the only call for help off would be worse.
      assert_match(/\APut “One step back” on the/, mended(television, "built_in_gone"))
      # What can't be held back happens all the same; a mouse never had it.
      refute_found assign(add(bare, "remote", host: "tv"), "television-remote/home", "tap", HELP), "built_in_gone"
      refute_found desk, "built_in_gone"
    end

    def test_the_own_double_click_and_dragging_gone
      counted = assign(desk, LEFT, "double_tap", LOUDER)
      assert_equal(%w[double_click drag].map { |gesture| ["look", { "host" => "desk", "button" => LEFT, "gesture" => gesture }] },
                   told(counted, "built_in_gone"))
      doubled = assign(counted, RIGHT, "double_tap", CLICK.merge("times" => 2))
      assert_equal(%w[drag], told(doubled, "built_in_gone").map { |_, where| where["gesture"] })
      refute_found assign(doubled, "#{MOUSE}/middle", "hold", CLICK.merge("how" => "held")), "built_in_gone"
      assert_match(/\APut “Double-click as one press” on the/, mended(counted, "built_in_gone"))
      # What a timing makes impossible is told as that.
      refute_found made(desk, "timing", button: LEFT, setting: "bounce_guard_ms", value: 500), "built_in_gone"
    end

    def test_way_around_taken
      television = assign(add(bare, "remote", host: "tv"), "television-remote/ok", "tap", HELP)
      assert_equal [["look", { "host" => "tv", "button" => "television-remote/ok" }]], told(television, "way_around_taken")
      refute_found assign(television, "television-remote/channel-up", "tap", { "kind" => "system", "do" => "choose" }),
                   "way_around_taken"
      # To take the only call for help off would be worse.
      assert_equal "Put “Choose what is marked” on the long-press of Television remote, Up",
                   mended(television, "way_around_taken")
      loud = assign(assign(television, "television-remote/ok", "tap", LOUDER), "television-remote/up", "long_press", HELP)
      assert_equal "Take “Louder” off", mended(loud, "way_around_taken")
    end

    def test_late
      slow = made(assign(desk, RIGHT, "double_tap", LOUDER), "timing", button: RIGHT, setting: "tap_gap_ms", value: 600)
      assert_equal [["look", { "button" => RIGHT }]], told(slow, "late")
      assert_equal({ "tap" => 600.0 }, found(slow, "late")[0].figures)
      refute_found made(slow, "timing", button: RIGHT, setting: "tap_gap_ms", value: 400), "late"
      patient = made(slow, "bears", ms: 600)
      assert_equal ["The client bears waits of up to 600 ms."], Changes::Differences.new(slow, patient, KNOWLEDGE).words
      assert_equal([["/client/bears_ms", "is 49, must be a whole number from 50 to 5000"]],
                   faults { amended(slow, "client" => { "bears_ms" => 49 }) })
      assert_equal "How long a wait the client bears: as usual.", Changes::Differences.new(patient, slow, KNOWLEDGE).words[0]
      refute_found patient, "late"
      impatient = amended(made(slow, "timing", button: RIGHT, setting: "tap_gap_ms", value: 300),
                          "client" => { "bears_ms" => 299 })
      assert_equal 1, told(impatient, "late").size
    end

    def test_print_differs
      remote = assign(add(bare, "remote", host: "tv"), "television-remote/branded-one", "long_press", HELP)
      refute_found remote, "print_differs"
      other = assign(remote, "television-remote/ok", "tap", LOUDER)
      assert_equal [["look", { "button" => "television-remote/ok", "gesture" => "tap" }]], told(other, "print_differs")
      # Put on again as an action it is as it was.
      refute_found assign(remote, "television-remote/ok", "tap", { "kind" => "system", "do" => "choose" }), "print_differs"
    end

    def test_list_too_long
      most = KNOWLEDGE.host_kinds.of("computer").most
      full = shortlist(desk, Array.new(most) { |index| { "kind" => "text", "text" => "Line #{index}" } })
      refute_found full, "list_too_long"
      longer = amended(full, "shortlists" => full.list("shortlists").map do |list|
        list.merge("items" => [*list["items"], { "action" => HELP }])
      end)
      assert_equal [["serious", { "host" => "desk", "shortlist" => "often" }]], told(longer, "list_too_long")
      assert_equal "Take the last line out of Often", mended(longer, "list_too_long")
    end

    # The remote's press can't be held back for so long.
    def test_not_settable
      remote = assign(add(bare, "remote", host: "tv"), "television-remote/up", "long_press", HELP)
      wrong = amended(remote, "button_timing" => { "television-remote/up" => { "long_press_ms" => 777 } })
      assert_equal [["serious", { "button" => "television-remote/up", "setting" => "long_press_ms" }]],
                   told(wrong, "not_settable")
      assert_match(/\ALong-press of Television remote, .*: \d+ ms\z/, mended(wrong, "not_settable"))
      # A setting that nothing assigned there uses may be whatever it is.
      refute_found amended(remote, "button_timing" => { "television-remote/up" => { "tap_gap_ms" => 777 } }), "not_settable"
    end

    def test_not_ready
      remote = add(bare, "remote", host: "tv")
      assert_equal [["look", { "device" => "television-remote" }]], told(remote, "not_ready")
      ready = %w[pair permission firmware].reduce(remote) do |fitting, step|
        made(fitting, "ready", device: "television-remote", step:, done: true)
      end
      refute_found ready, "not_ready"
      # That it was not pressed yet alone is not told.
      refute_found with_devices("switch"), "not_ready"
    end

    def test_what_took_too_long_is_missing_from_what_was_looked_for
      passed = Object.new.tap { |deadline| deadline.define_singleton_method(:check) { raise Deadline::Passed } }
      assert_equal [[], []], check(desk, deadline: passed).to_a
    end

    def test_the_worst_first_and_the_same_each_time
      many = made(assign(desk, LEFT, "tap", LOUDER), "want", want: { "what" => "Lights", "importance" => "could" })
      results = [many, Fitting.read(many.document)].map { |fitting| JSON.generate(check(fitting).plain) }
      assert_equal results[0], results[1]
      assert_equal %w[serious look look look look look], check(many).findings.map(&:bad)
    end
  end
end
