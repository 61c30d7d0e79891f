# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Files out and in, and what is carried over from elsewhere, in the browser.
  class FilesStoriesTest < SystemTest
    def say(key, **given) = sentence("files.#{key}", **given)

    def bring(text, name)
      path = File.join(Dir.mktmpdir, name)
      File.binwrite(path, text)
      attach_file(say("file"), path)
    end

    def test_a_fitting_file_shows_what_it_would_change_and_then_is_it_and_back
      open_step("assign", sheet: "files")
      bring(JSON.generate(DEMO.document.merge("client" => { "name" => "Wren Elsewhere" })), "wren.json")
      assert_text "The client is now: Wren Elsewhere."
      assert_accessible
      click_button say("inPlace")
      saved 2
      assert_text "Wren Elsewhere", minimum: 1
      click_button sentence("desk.undo")
      saved 3
      bring(JSON.generate(DEMO.document.merge("devices" => 7)), "broken.json")
      within("[role=alert]") { find("summary").click }
      assert_selector "[role=alert] code", text: "/devices"
      saved 3
    end

    def test_a_recording_asks_which_code_is_which_button
      events = [[30, 1, 0], [30, 0, 200_000]].map { |code, value, time| Formats::Recording::Event.new(time_us: time, type: 1, code:, value:) }
      open_step("assign", sheet: "files")
      bring(Formats::Recording.to_evemu(events, name: "A box"), "box.evemu")
      assert_selector "label", text: "KEY_A"
      pick "Pocket phone, Edge key", from: say("codeHeard", code: "KEY_A", times: "1 press")
      click_button say("makeTrace")
      assert_text say("wouldDo")
      assert_button say("keepTrace")
      bring("nothing of the kind", "notes.txt")
      assert_selector "[role=alert]"
    end

    def test_devices_of_another_client_are_carried_over
      demo("bram")
      open_step("devices")
      click_button sentence("devices.addDevices")
      click_button sentence("devices.carryOver")
      assert_text say("chooseDevices")
      find("aside label", text: "Pocket phone").click
      assert_text say("wouldChange")
      assert_accessible
      click_button say("carryOver")
      saved 2
      assert_text "Pocket phone 2"
    end

    # All that is kept goes out, and what was meanwhile lost comes in again; onto a revision that was outrun it is looked at anew.
    def test_a_whole_file_into_the_client_it_came_from
      file = Server::Store::Everything.new(DATABASE, @client).pieces.to_a.join
      save("assign", button: EDGE, gesture: "long_press", action: ACTIONS["long_press"])
      open_step("assign", sheet: "files")
      bring(file, "client.json")
      assert_text "Answer the call"
      click_button say("takeWhole")
      saved 3
      assert_text say("nothing")
      assert_button say("takeWhole"), disabled: true
    end
  end
end
