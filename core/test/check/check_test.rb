# frozen_string_literal: true

require_relative "checking"

module Kippen
  # What can't be done, or can't be left: each finding by a case that has it and one that hasn't; what is offered mends it.
  class CheckTest < CoreTest
    include Checking

    def test_a_fitting_that_is_right_has_none_and_says_what_was_looked_for
      result = check(desk)
      assert_equal %w[help_unreliable], result.findings.map(&:id), "no press was asked for yet"
      assert_equal %w[no_primary_click no_help help_unreliable dangerous_press no_way_back impossible never want_undone
                      built_in_gone claimed way_around_taken late print_differs list_too_long not_settable guard_never_ends
                      not_ready trials_old thin_road], result.looked_for
      assert_equal({ "serious" => 0, "look" => 1 }, result.counts)
    end

    # What was not looked for in time may be there: nothing is offered on it.
    def test_no_fix_is_offered_that_was_not_tried_to_the_end
      without = with_devices("mouse-five")
      finding = found(without, "no_help").first
      asked = 0
      limit = Float::INFINITY
      deadline = Object.new.tap { |one| one.define_singleton_method(:check) { (asked += 1) > limit && raise(Deadline::Passed) } }
      fixes = Check::Fixes.new(without, KNOWLEDGE, at: NOON, deadline:)
      limit = asked + 20
      assert_raises(Deadline::Passed) { fixes.of(finding) }
    end

    def test_no_primary_click
      taken = assign(desk, LEFT, "tap", LOUDER)
      assert_equal [["serious", { "host" => "desk" }]], told(taken, "no_primary_click")
      assert_equal ["Nothing makes a primary click at Computer."], found(taken, "no_primary_click").map(&:what)
      refute_found assign(taken, RIGHT, "tap", CLICK), "no_primary_click"
      assert_equal "Take “Louder” off", mended(taken, "no_primary_click")
      # Nor is a line of a shortlist, nor a long-press that clicks, a click of a tap.
      listed = shortlist(taken, [CLICK])
      opens = { "kind" => "shortlist", "shortlist" => listed.shortlists[0].id }
      assert_equal 1, told(assign(listed, "#{MOUSE}/middle", "tap", opens), "no_primary_click").size
      assert_equal 1, told(assign(taken, "#{MOUSE}/middle", "long_press", CLICK), "no_primary_click").size
    end

    def test_on_a_host_without_a_pointer_what_chose_before
      television = assign(add(bare, "remote", host: "tv"), "television-remote/ok", "tap", LOUDER)
      assert_equal [["serious", { "host" => "tv" }]], told(television, "no_primary_click")
      assert_equal "At Television nothing chooses what is marked any more.", found(television, "no_primary_click")[0].what
      # Switches never chose anything.
      refute_found with_devices("switch"), "no_primary_click"
    end

    def test_a_touch_that_cannot_be_given_anything_clicks
      slate = Fitting.read("kippen" => "fitting/1", "hosts" => [{ "id" => "slate", "system" => "tablet" }])
      pen = add(slate, "pen", host: "slate")
      taken = assign(pen, "pen-on-a-tablet/tip", "tap", LOUDER)
      assert_equal [["serious", { "host" => "slate" }]], told(taken, "no_primary_click")
      refute_found add(taken, "tablet", host: "slate"), "no_primary_click"
    end

    def test_no_help
      without = with_devices("mouse-five")
      assert_equal [["serious", {}]], told(without, "no_help")
      refute_found Fitting.read("kippen" => "fitting/1"), "no_help"
      # A line of a shortlist is a way, once something opens it.
      listed = shortlist(without, [HELP])
      assert_equal 1, told(listed, "no_help").size
      opens = { "kind" => "shortlist", "shortlist" => listed.shortlists[0].id }
      refute_found assign(listed, RIGHT, "long_press", opens), "no_help"
      assert_equal "Put “Ask for help” on the long-press of Mouse with five buttons, Right button", mended(without, "no_help")
    end

    def test_help_in_a_mode_that_nothing_takes_is_no_way
      moded = made(with_devices("mouse-five"), "mode", mode: { "name" => "Quiet" })
      mode = moded.modes[0].id
      given = assign(moded, RIGHT, "tap", HELP, mode:)
      assert_equal 1, told(given, "no_help").size
      taken = assign(given, "#{MOUSE}/middle", "long_press", { "kind" => "mode", "mode" => mode, "how" => "lock" })
      refute_found taken, "no_help"
    end

    def test_no_way_back
      moded = made(desk, "mode", mode: { "name" => "Quiet", "otherwise" => "nothing" })
      taken = assign(moded, "#{MOUSE}/middle", "tap", { "kind" => "mode", "mode" => moded.modes[0].id, "how" => "lock" })
      assert_equal [["serious", { "host" => "desk", "mode" => moded.modes[0].id, "place" => "everywhere" }]],
                   told(taken, "no_way_back")
      assert_equal "Add the way back", mended(taken, "no_way_back")
      refute_found moded, "no_way_back"
    end

    def test_impossible_and_hardly
      twice = assign(desk, LEFT, "double_tap", LOUDER)
      counted = made(twice, "timing", button: LEFT, setting: "bounce_guard_from", value: "release")
      guarded = made(counted, "timing", button: LEFT, setting: "bounce_guard_ms", value: 300)
      assert_equal [["serious", { "button" => LEFT, "gesture" => "double_tap" }]], told(guarded, "impossible")
      assert_equal "Bounce guard off, for Mouse with five buttons, Left button", mended(guarded, "impossible")
      refute_found twice, "impossible"
      hardly = made(counted, "timing", button: LEFT, setting: "bounce_guard_ms", value: 250)
      assert_equal [["look", { "button" => LEFT, "gesture" => "double_tap" }]], told(hardly, "impossible")
    end

    # The host takes two clicks within half a second for a double-click.
    def test_the_own_double_click_with_a_guard_as_long_as_the_hosts_time
      guarded = made(desk, "timing", button: LEFT, setting: "bounce_guard_ms", value: 500)
      assert_equal [["serious", { "button" => LEFT, "gesture" => "double_click" }]], told(guarded, "impossible")
      refute_found made(desk, "timing", button: LEFT, setting: "bounce_guard_ms", value: 100), "impossible"
    end

    def test_never
      placed = made(desk, "place", place: { "app" => "rookery" })
      place = placed.places[0].id
      given = assign(placed, RIGHT, "tap", NEXT, place:)
      refute_found given, "never"
      off = made(given, "place", place: { "id" => place, "off" => true })
      assert_equal [["look", { "button" => RIGHT, "gesture" => "tap", "place" => place, "mode" => "base" }]], told(off, "never")
      assert_equal "Take “Next page” off", mended(off, "never")
      # What was switched off on purpose isn't told.
      switched = made(off, "switch", button: RIGHT, gesture: "tap", place:, off: true)
      refute_found switched, "never"
    end

    def want(fitting, action, importance: "must", **more)
      made(fitting, "want", want: { "what" => "Turn the page", "action" => action, "importance" => importance }
                                .merge(more.transform_keys(&:to_s)).compact)
    end

    def test_want_undone
      wanted = want(desk, NEXT)
      assert_equal [["serious", { "want" => "turn-the-page" }]], told(wanted, "want_undone")
      assert_equal [["look", { "want" => "turn-the-page" }]], told(want(desk, NEXT, importance: "should"), "want_undone")
      assert_equal ["Nobody said yet which action the want “Turn the page” is."],
                   found(want(desk, nil), "want_undone").map(&:what)
      refute_found assign(wanted, RIGHT, "tap", NEXT), "want_undone"
      assert_match(/\APut “Next page” on the/, mended(wanted, "want_undone"))
    end

    # An app's command for which no place was said is meant in that app; another place is no way.
    def test_where_a_want_is_done
      placed = made(want(desk, NEXT), "place", place: { "app" => "rookery" })
      other = made(placed, "place", place: { "app" => "tidebook" })
      in_app, elsewhere = other.places.map(&:id)
      refute_found assign(other, RIGHT, "tap", NEXT, place: in_app), "want_undone"
      assert_equal 1, told(assign(other, RIGHT, "tap", NEXT, place: elsewhere), "want_undone").size
    end

    # Then it is told once, as that.
    def test_a_want_for_help_that_nothing_does_is_no_help
      wanted = made(with_devices("mouse-five"), "want", want: { "what" => "Call", "action" => HELP, "importance" => "must" })
      assert_equal %w[no_help], check(wanted).findings.map(&:id)
    end
  end
end
