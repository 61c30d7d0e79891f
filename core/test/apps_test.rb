# frozen_string_literal: true

require_relative "kinds_data"

module Kippen
  # Apps belong to the client: written down, or spoken of.
  class AppsTest < CoreTest
    include KindsData

    ROOKERY = { "id" => "rookery", "name" => "Rookery", "hosts" => %w[computer],
                "commands" => [{ "id" => "next-page", "name" => "Next page", "keys" => %w[Control PageDown],
                                 "shelf" => 1 }] }.freeze
    LETTERBOX = { "kind" => "open", "app" => "letterbox" }.freeze
    MARK = { "kind" => "app", "app" => "packetry", "command" => "mark" }.freeze
    BACK = "mouse-with-five-buttons/back"

    def client(apps: [ROOKERY], **members)
      add(bare("apps" => apps, **members.transform_keys(&:to_s)), "mouse-five", host: "desk")
    end

    def assign(fitting, action, gesture = "tap") = made(fitting, "assign", button: BACK, gesture:, action:)
    def catalogue(fitting) = KNOWLEDGE.catalogue.of(fitting)
    def named(fitting) = fitting.apps.to_h { |app| [app.id, app.commands.map(&:name)] }

    def test_without_apps_it_has_those_that_are_spoken_of
      spoken = client(apps: [], places: [{ "id" => "log", "app" => "tide-book" }],
                      wants: [{ "id" => "w", "what" => "Mark it", "action" => MARK }])
      assert_equal({ "tide-book" => [], "packetry" => ["Mark"], "letterbox" => [] }, named(assign(spoken, LETTERBOX)))
      assert_equal ["Tide book", %w[computer tablet phone television]], spoken.apps.first.to_a.values_at(1, 2)
    end

    def test_any_app_can_be_opened_by_name
      opened = assign(client, LETTERBOX)
      assert_equal ["Open Letterbox", "Letterbox is open."],
                   [catalogue(opened).name(LETTERBOX), catalogue(opened).effect(LETTERBOX)]
      assert_includes catalogue(opened).apps, "letterbox"
      assert_equal(["/change/action/app"], faults { assign(client, LETTERBOX.merge("app" => "Letter box")) }.map(&:first))
    end

    def named_app(name) = { "kind" => "open", "app" => { "name" => name } }
    def opening(fitting, name) = assign(fitting, named_app(name))
    def last_action(fitting) = fitting.list("assignments").last["action"]

    # As it is typed: what the client has is found however it is written, another is written down.
    def test_an_app_is_named_as_people_call_it
      assert_equal({ "kind" => "open", "app" => "rookery" }, last_action(opening(client, " rooKERY ")))
      assert_equal client.apps, opening(client, "rookery").apps
      named = opening(client, "Wenna’s E\u0301cho")
      assert_equal [{ "kind" => "open", "app" => "wennas-echo" }, "Open Wenna’s E\u0301cho"],
                   [last_action(named), catalogue(named).name(last_action(named))]
      assert_equal "wennas-echo", last_action(opening(named, "wenna’s \u00e9cho"))["app"], "the same, written otherwise"
      foreign = opening(opening(client, "Почта"), "書店")
      assert_equal [%w[rookery app app-2], "書店"], [foreign.apps.map(&:id), foreign.apps.last.name]
    end

    def test_an_app_named_twice_in_one_change_is_one
      both = %w[tap long_press].map do |gesture|
        { "kind" => "assign", "button" => BACK, "gesture" => gesture, "action" => named_app("Tin whistle") }
      end
      assert_equal %w[rookery tin-whistle], made(client, "several", changes: both).apps.map(&:id)
    end

    def test_what_is_no_name_of_an_app_is_refused
      [{ "name" => " " }, { "name" => 7 }, {}, 7].each do |odd|
        assert_equal(["/change/action/app"], faults { assign(client, { "kind" => "open", "app" => odd }) }.map(&:first))
      end
    end

    def test_where_an_app_is_no_longer_is_told_of_what_uses_it
      used = assign(client, { "kind" => "app", "app" => "rookery", "command" => "next-page" })
      gone = narrowed(used, %w[phone])
      assert_equal ["Mouse with five buttons, Back side button, tap: switched off. Rookery is not on Computer any more."],
                   gone.left_out
      assert_equal([true], gone.fitting.list("assignments").map { |item| item["off"] })
      [narrowed(used, %w[computer phone]), narrowed(client, %w[phone])].each { |kept| assert_empty kept.left_out }
      [{ "kind" => "app", "app" => "rookery", "command" => "next-page" },
       { "kind" => "open", "app" => "rookery" }].each do |action|
        assert_match(/does not exist on a computer\z/, faults { assign(gone.fitting, action) }.map(&:last).first,
                     "nor is it put on there anew")
      end
    end

    def narrowed(fitting, hosts) = result(fitting, "app", app: ROOKERY.slice("id", "name", "commands").merge("hosts" => hosts))

    def test_commands_are_actions_with_their_combination_and_host
      next_page = { "kind" => "app", "app" => "rookery", "command" => "next-page" }
      assert_equal ["Next page", "Rookery: Next page."], [catalogue(client).name(next_page), catalogue(client).effect(next_page)]
      assert_equal ["rookery/next-page"], KNOWLEDGE.combinations.of(client).find(%w[PageDown Control]).apps.map(&:id)
      tv = add(client, "remote", host: "tv")
      assert_equal(["“Next page” does not exist on a television"],
                   faults { made(tv, "assign", button: "television-remote/left", gesture: "tap", action: next_page) }.map(&:last))
    end

    # What can be done with a command does not hang on whether anybody used it before.
    def test_a_command_nobody_wrote_down_is_judged_alike_before_and_after
      turn = { "kind" => "app", "app" => "rookery", "command" => "turn-back" }
      fault = ["“Turn back” can't be repeated"]
      repeat = { "after_ms" => 300, "every_ms" => 100 }
      [client, assign(client, turn)].each do |fitting|
        assert_equal(fault, faults do
          made(fitting, "assign", button: BACK, gesture: "long_press", action: turn, repeat:)
        end.map(&:last))
      end
    end

    def test_one_is_added_changed_and_removed
      added = made(client, "app",
                   app: { "name" => "Letter Bo\u0301x", "hosts" => %w[phone],
                          "commands" => [{ "name" => "Post it" }, { "name" => "Post it" }] })
      assert_equal ["letter-box", %w[post-it post-it-2]], [added.apps.last.id, added.apps.last.commands.map(&:id)]
      renamed = made(client, "app",
                     app: { "id" => "rookery", "name" => "Rookery Two",
                            "commands" => [{ "id" => "next-page", "name" => "Page on" }] })
      assert_equal [ROOKERY.merge("name" => "Rookery Two",
                                  "commands" => [ROOKERY["commands"].first.merge("name" => "Page on")])], renamed.list("apps")
      assert_equal ["App changed: Rookery Two."], Changes::Differences.new(client, renamed, KNOWN).words
      assert_empty made(client, "remove_app", id: "rookery").apps
      used = assign(client, { "kind" => "open", "app" => "rookery" })
      assert_match(/Rookery is still used/, faults { made(used, "remove_app", id: "rookery") }.first.last)
      assert_equal([["/apps", 'no app "attic"']], faults { made(client, "remove_app", id: "attic") })
    end

    def test_what_is_refused
      {
        [{ "id" => "A b" }] => "/apps/0/id", [{ "id" => "a", "hosts" => ["toaster"] }] => "/apps/0/hosts",
        [ROOKERY, ROOKERY] => "/apps",
        [{ "id" => "a", "commands" => [{ "id" => "c", "keys" => %w[KeyA KeyB] }] }] => "/apps/0/commands/0/keys",
        [{ "id" => "a", "commands" => [{ "id" => "c", "effect" => 1 }] }] => "/apps/0/commands/0/effect",
        [{ "id" => "a", "commands" => [{ "id" => "c", "harm" => { "cost" => "dear" } }] }] => "/apps/0/commands/0/harm",
        [{ "id" => "a", "commands" => [{ "id" => "c" }, { "id" => "c" }] }] => "/apps/0/commands"
      }.each { |apps, pointer| assert_equal([pointer], faults { bare("apps" => apps) }.map(&:first), apps.inspect) }
    end
  end
end
