# frozen_string_literal: true

require_relative "helper"
require "minitest/mock"

module Kippen
  # Everything that can be done to a button's assignments, tried out first and saved.
  class AssigningTest < ServerTest
    REMOTE = JSON.parse(File.read(File.join(Server::ROOT, "demo", "ottoline.fitting.json")))
    LEFT = "mouse/left"
    RIGHT = "mouse/right"
    HELP = { "kind" => "help" }.freeze
    NEXT = { "kind" => "app", "app" => "rookery", "command" => "next-page" }.freeze

    def setup
      super
      add_client(REMOTE)
      @parent = 1
    end

    def save(kind, **change)
      change(spoken(kind, change), parent: @parent)
      @parent += 1 if status == 201
      status
    end

    def spoken(kind, change) = { "kind" => kind }.merge(change.transform_keys(&:to_s))

    def preview(kind, **change) = send_json(:post, "/api/clients/#{@client}/previews", "change" => spoken(kind, change))

    def on(ref)
      ask("/api/clients/#{@client}/fitting")["assignments"].select { |item| item["button"] == ref }.map do |item|
        item.except("button")
      end
    end

    def lane(ref, **query) = ask("/api/clients/#{@client}/lanes", query)["lanes"].find { |one| one["button"]["ref"] == ref }

    def test_beside_a_built_in_that_can_not_be_held_back_the_tap_acts_at_once
      save("assign", button: "remote/branded-one", gesture: "double_tap", action: HELP)
      assert_equal [{ "gesture" => "tap", "action" => { "kind" => "builtin" }, "at_once" => true },
                    { "gesture" => "double_tap", "action" => HELP }],
                   on("remote/branded-one")
      assert_equal ["at_once", "The device does it at once, whatever is set."],
                   lane("remote/branded-one")["tap_choice"].values_at("chosen", "only")
    end

    def test_an_untouched_button_keeps_its_tap_unless_told_otherwise_and_able
      save("assign", button: "remote/left", gesture: "long_press", action: HELP, keep: false)
      assert_equal(%w[long_press], on("remote/left").map { |item| item["gesture"] })
      save("assign", button: "remote/branded-one", gesture: "long_press", action: HELP, keep: false)
      assert_equal(%w[tap long_press], on("remote/branded-one").map { |item| item["gesture"] })
    end

    def test_a_tap_waits_or_acts_at_once_each_with_its_price
      save("assign", button: "remote/left", gesture: "double_tap", action: HELP)
      assert_equal({ "chosen" => "waits", "waits" => "The tap comes +450 ms: a second press may still follow.",
                     "at_once" => "The tap comes now; it also happens before every double-tap.", "only" => nil },
                   lane("remote/left")["tap_choice"])
      save("tap_at_once", button: "remote/left", at_once: true)
      assert_equal "at_once", lane("remote/left")["tap_choice"]["chosen"]
      assert_nil lane("remote/right")["tap_choice"]
    end

    def test_what_can_not_be_put_there_is_refused_with_the_reason
      {
        { button: "remote/power", gesture: "tap", action: HELP } => /This button can’t be given anything/,
        { button: "remote/left", gesture: "triple_tap", action: HELP } => /Remote can’t carry a triple-tap here/,
        { button: "remote/left", gesture: "tap",
          action: { "kind" => "system", "do" => "light-on" } } => /does not exist on a television/,
        { button: RIGHT, gesture: "tap",
          action: { "kind" => "modifier", "key" => "Alt", "how" => "held" } } => /only a hold can do it/,
        { button: RIGHT, gesture: "tap",
          action: { "kind" => "day", "do" => "timer", "minutes" => 0 } } => /must be a whole number from 1 to 720/,
        { button: RIGHT, gesture: "long_press", action: HELP,
          repeat: { "after_ms" => 500, "every_ms" => 100 } } => /can't be repeated/
      }.each do |given, message|
        save("assign", **given)
        assert_equal 422, status, given
        assert_match message, answer["faults"].map { |fault| fault["message"] }.join
      end
      assert_equal 201, save("assign", button: RIGHT, gesture: "long_press", action: { "kind" => "volume", "direction" => "up" },
                                       repeat: { "after_ms" => 500, "every_ms" => 100 })
    end

    def test_carried_and_copied
      save("carry", button: "mouse/forward", gesture: "tap", to: { "button" => "mouse/back", "gesture" => "long_press" },
                    copy: true)
      assert_equal [{ "gesture" => "tap", "action" => NEXT }], on("mouse/forward")
      assert_equal(%w[tap long_press], on("mouse/back").map { |item| item["gesture"] })
      save("carry", button: "mouse/forward", gesture: "tap", to: { "button" => "remote/power", "gesture" => "tap" }, copy: false)
      assert_problem 422
      preview("carry", button: "mouse/forward", gesture: "tap", to: { "button" => RIGHT, "gesture" => "tap" }, copy: false)
      assert_equal(%w[mouse/forward mouse/right], answer["buttons"].map { |one| one["lane"]["button"]["ref"] })
    end

    def test_several_buttons_are_changed_as_one
      changes = %w[mouse/back mouse/middle].map { |button| spoken("assign", { button:, gesture: "long_press", action: HELP }) }
      preview("several", changes:)
      assert_equal(%w[mouse/back mouse/middle], answer["buttons"].map { |one| one["lane"]["button"]["ref"] })
      save("several", changes: [*changes, { "kind" => "button", "button" => RIGHT, "set" => { "off" => true } }])
      assert_equal [2, %w[tap long_press], true],
                   [@parent, on("mouse/middle").map { |item| item["gesture"] }, lane(RIGHT)["button"]["off"]]
      save("several", changes: [changes.first.merge("action" => NEXT),
                                spoken("clear", { button: "mouse/forward", gesture: "hold" })])
      assert_problem 422, ["/change/changes/1", "Forward side button: no hold is assigned to mouse/forward there"]
      assert_equal HELP, on("mouse/back").last["action"], "all of it or nothing"
    end

    def test_before_it_is_done_what_it_does
      preview("assign", button: RIGHT, gesture: "tap", action: NEXT)
      assert_equal(["“Context menu” no longer happens on a tap: it must be had from another button."],
                   answer["buttons"].first["displaced"].map { |one| one["what"] })
      preview("assign", button: "remote/volume-up", gesture: "tap", action: HELP)
      assert_includes answer["buttons"].first["displaced"].map { |one| one["id"] }, "other_print"
      assert_equal ["Make it louder"], answer["loses"]
      preview("clear", button: "mouse/forward", gesture: "tap")
      assert_equal ["Turn to the next page"], answer["loses"]
      assert_equal 1, ask("/api/clients/#{@client}")["revision"]["number"], "a preview saves nothing"
    end

    def test_an_arrangement_is_shown_and_put_on
      found = ask("/api/clients/#{@client}/arrangements")["arrangements"].to_h { |one| [one["id"], one] }
      assert_equal ["mouse"], found["left-handed-mouse"]["devices"]
      preview("arrange", arrangement: "left-handed-mouse", device: "mouse")
      assert_equal ["Mouse, Left button, tap: Right click.", "Mouse, Right button, tap: Click."], answer["words"]
      assert_match(/wrong side/, answer["notes"].join)
      assert_equal [{ "host" => "Computer", "lost" => ["Mouse, Left button"], "now" => ["Mouse, Right button"] }], answer["moves"]
      save("save_arrangement", device: "mouse", name: "Reading")
      preview("arrange", arrangement: "own-reading", device: "remote")
      assert_problem 422
      assert_match(/Forward side button, tap, Next page: Remote has no such button/, answer["faults"].join)
      save("remove_arrangement", id: "own-reading")
      refute(ask("/api/clients/#{@client}/arrangements")["arrangements"].any? { |one| one["own"] })
    end

    def test_settings_are_listed_and_set
      mouse = ask("/api/clients/#{@client}/settings")["of"].find { |one| one["id"] == "mouse" }
      assert_includes mouse["settings"].map { |one| one["id"] }, "wheel_lines"
      save("setting", of: "device", id: "mouse", setting: "wheel_lines", value: 1)
      value = ask("/api/clients/#{@client}/settings")["of"].find { |one| one["id"] == "mouse" }["settings"]
        .find { |one| one["id"] == "wheel_lines" }["value"]
      assert_equal 1, value
      save("setting", of: "host", id: "computer", setting: "pointer_speed_percent", value: 999)
      assert_problem 422, ["/change/value", "is 999, must be a whole number from 10 to 400, in steps of 5"]
    end

    def test_a_device_back_to_how_it_came_and_a_note_beside_a_state
      save("reset", device: "mouse")
      assert_empty on("mouse/forward")
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => @parent, "note" => "Before the visit",
                                                            "change" => { "kind" => "note" })
      assert_equal [201, "Before the visit"], [status, answer["revision"]["note"]]
    end

    def test_lanes_of_an_earlier_revision
      save("clear", button: "mouse/forward", gesture: "tap")
      names = [1, 2].map { |revision| lane("mouse/forward", revision:)["chips"].first["name"] }
      assert_equal ["Next page", "Page after"], names
      ask("/api/clients/#{@client}/lanes", revision: 99)
      assert_problem 404
    end

    def test_a_combination_is_described
      found = ask("/api/clients/#{@client}/combinations", keys: "KeyC+Control")
      assert_equal [%w[Control KeyC], "Ctrl + C", "Copy", [], nil], found.values_at("keys", "label", "command", "apps", "kept")
      assert_equal(["packetry/mark"],
                   ask("/api/clients/#{@client}/combinations", keys: "Control+KeyM")["apps"].map { |one| one["id"] })
      ask("/api/clients/#{@client}/combinations", keys: "a+b")
      assert_problem 422
    end

    def test_an_app_is_added_and_can_be_opened
      save("app", app: { name: "Letterbox", hosts: ["computer"], commands: [{ name: "Post it", keys: %w[Control KeyP] }] })
      app = ask("/api/clients/#{@client}")["apps"].find { |one| one["id"] == "letterbox" }
      assert_equal({ "id" => "letterbox", "name" => "Letterbox", "hosts" => ["computer"], "written" => true, "offered" => false,
                     "commands" => [{ "id" => "post-it", "name" => "Post it", "keys" => %w[Control KeyP] }] }, app)
      assert_equal(["letterbox/post-it"],
                   ask("/api/clients/#{@client}/combinations", keys: "Control+KeyP")["apps"].map { |one| one["id"] })
      save("remove_app", id: "letterbox")
      refute_includes ask("/api/clients/#{@client}")["apps"].map { |one| one["id"] }, "letterbox"
    end

    def test_the_catalogue_tells_what_an_action_asks_and_does
      entries = ask("/api/clients/#{@client}/actions")["actions"].to_h { |one| [one["id"], one] }
      assert_equal "On a computer an area must then be drawn with the pointer, or the whole screen chosen.",
                   entries["screenshot"]["after"]
      assert_equal "Quieter", entries["volume-up"]["undo"]
      assert_includes entries["app-open"]["asks"].first["choices"].map { |choice| choice["words"] }, "Rookery"
    end

    def test_a_look_that_takes_too_long_is_refused_and_an_older_one_gives_up
      add_client(DEMO)
      look = -> { preview("assign", button: EDGE, gesture: "tap", action: MARK) }
      Deadline.stub(:new, Server.deadline(-1)) { look.call }
      assert_problem 413
      assert_match(/do it in parts/, answer["detail"])
      Server::RevisionRoutes::LOOKS.stub(:take, ->(_, &block) { block.call(-> { true }) }) { look.call }
      assert_problem 429
      look.call
      assert_equal 200, status
    end
  end
end
