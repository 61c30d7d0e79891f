# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Wants: read, changed, and whether a button does them.
  class WantsTest < CoreTest
    include KindsData

    ANSWER = { "kind" => "app", "app" => "hearthcall", "command" => "answer" }.freeze
    WANT = { "what" => "Answer the call", "times_a_day" => 6, "wrong" => "serious", "asked_by" => "the client",
             "importance" => "must",
             "action" => ANSWER }.freeze
    MOUSE = "mouse-with-five-buttons"

    def put(fitting, want) = made(fitting, "want", want:)

    def wanting(want = WANT) = put(with_devices("mouse-five"), want)

    def ways(fitting)
      Reach::Wants.of(fitting, KNOWLEDGE).ways(fitting.wants.first).map { |way| [way.button.ref, way.gesture, way.builtin] }
    end

    def assign(fitting, **more) = made(fitting, "assign", button: "#{MOUSE}/back", gesture: "long_press", action: ANSWER, **more)

    def test_a_want_is_put_changed_and_removed
      fitting = wanting
      assert_equal ["answer-the-call", "everywhere", [], 6, "serious", "must"],
                   fitting.wants.first.to_h.values_at(:id, :place, :hosts, :times_a_day, :wrong, :importance)
      changed = put(fitting, WANT.merge("id" => "answer-the-call", "wrong" => "dangerous"))
      assert_equal ["dangerous"], changed.wants.map(&:wrong)
      assert_equal %w[answer-the-call answer-the-call-2], put(fitting, WANT).wants.map(&:id)
      assert_empty made(changed, "remove_want", id: "answer-the-call").wants
    end

    # What is wanted in an app as a whole makes it a place, once.
    def test_an_app_is_a_place_for_a_want
      in_rookery = { "place" => { "app" => "rookery" } }
      fitting = put(wanting(WANT.merge(in_rookery)), WANT.merge(in_rookery, "what" => "Page on"))
      assert_equal [%w[rookery rookery], [%w[rookery rookery Rookery]]],
                   [fitting.wants.map(&:place), fitting.places.map { |place| [place.id, place.app, place.name] }]
      assert_equal wanting.list("apps"), fitting.list("apps")
      named = put(fitting, WANT.merge("place" => { "app" => { "name" => "Heron’s eye" } }))
      assert_equal ["Heron’s eye", "Heron’s eye"], [named.list("apps").last["name"], named.places.last.name]
      assert_equal named.list("apps").last["id"], named.places.last.app
      part = amended(wanting, "places" => [{ "id" => "log", "app" => "rookery", "part" => "log" }])
      assert_equal %w[log rookery], put(part, WANT.merge(in_rookery)).places.map(&:id)
    end

    # An action that asks is wanted with all that it asks; one that stood there before may stay as it is.
    def test_an_action_that_asks_must_be_whole
      call = { "kind" => "call", "do" => "call", "contact" => "Wenna" }
      assert_equal [call], wanting(WANT.merge("action" => call)).wants.map(&:action)
      nobody = call.merge("contact" => "")
      assert_equal(["/change/want/action/contact"], faults { wanting(WANT.merge("action" => nobody)) }.map(&:first))
      odd = amended(wanting, "wants" => [{ "id" => "w", "what" => "Call", "action" => nobody }])
      assert_equal "Call Wenna", put(odd, odd.list("wants").first.merge("what" => "Call Wenna")).wants.first.what
      open = { "kind" => "app", "command" => "open", "app" => { "name" => "Heron" } }
      assert_equal "heron", wanting(WANT.merge("action" => open)).wants.first.action["app"]
    end

    def test_every_fault_of_a_want_is_told
      wrong = { "what" => " ", "hosts" => ["attic"], "times_a_day" => -1, "wrong" => "terrible", "importance" => 3,
                "action" => [], "place" => "moon" }
      assert_equal([["/wants/0/what", "must be text of 1 to 120 characters"],
                    ["/wants/0/place", 'unknown place "moon"'], ["/wants/0/hosts", 'unknown host "attic"'],
                    ["/wants/0/times_a_day", "is -1, must be a whole number from 0 to 1000"],
                    ["/wants/0/wrong", 'is "terrible", must be one of nothing, nuisance, serious, dangerous'],
                    ["/wants/0/importance", "is 3, must be one of must, should, could"],
                    ["/wants/0/action", "must be an object with a kind"]],
                   faults { wanting(wrong) })
    end

    def test_a_want_shows_whether_a_button_does_it
      assert_empty ways(wanting)
      assert_equal "open", Reach::Wants.of(wanting, KNOWLEDGE).state(wanting.wants.first)
      done = assign(wanting)
      assert_equal [["#{MOUSE}/back", "long_press", false]], ways(done)
      assert_equal "done", Reach::Wants.of(done, KNOWLEDGE).state(done.wants.first)
    end

    def test_without_an_action_nobody_can_say
      fitting = wanting(WANT.except("action"))
      assert_equal "no_action", Reach::Wants.of(fitting, KNOWLEDGE).state(fitting.wants.first)
    end

    def test_what_is_off_or_on_another_host_does_not_count
      off = assign(wanting)
      assert_empty ways(made(off, "device", device: MOUSE, set: { "off" => true }))
      assert_empty ways(assign(wanting(WANT.merge("hosts" => ["tv"]))))
    end

    def test_an_assignment_in_one_app_does_not_do_a_want_everywhere
      places = [{ "id" => "reading", "app" => "rookery" }]
      everywhere = put(add(bare("places" => places), "mouse-five"), WANT)
      assert_empty ways(assign(everywhere, place: "reading"))
      there = put(add(bare("places" => places), "mouse-five"), WANT.merge("place" => "reading"))
      assert_equal 1, ways(assign(there, place: "reading")).size
      assert_equal 1, ways(assign(there)).size, "everywhere holds in each app too"
    end

    def test_what_a_button_does_by_itself_counts_until_it_is_taken_away
      loud = { "kind" => "volume", "direction" => "up" }
      fitting = put(add(bare, "remote", host: "tv"), "what" => "Louder", "action" => loud)
      assert_equal [["television-remote/volume-up", "tap", true]], ways(fitting)
      kept = made(fitting, "assign", button: "television-remote/volume-up", gesture: "long_press", action: { "kind" => "help" })
      assert_equal [["television-remote/volume-up", "tap", true]], ways(kept)
      assert_empty ways(made(fitting, "assign", button: "television-remote/volume-up", gesture: "tap",
                                                action: { "kind" => "help" }))
    end

    def test_what_is_open_is_counted
      assert_equal({ "wants" => 1, "steps" => 1, "devices" => 1 }, Standing.open(wanting, KNOWLEDGE))
      contact = Kinds::Ready::Contact.new(button: "left", held_us: 90_000, at: NOON)
      assert_equal({ "wants" => 0, "steps" => 0, "devices" => 0 },
                   Standing.open(assign(wanting), KNOWLEDGE, { MOUSE => [contact] }))
    end
  end
end
