# frozen_string_literal: true

require_relative "helper"
require_relative "where"

module Kippen
  # A touchpad that no list has: begun from a kind that ships, changed as a file, read in, used, put right, given away.
  class OwnKindsTest < SystemTest
    include Where

    def setup
      super
      demo("ottoline")
      open_step("devices", sheet: "new-device")
    end

    def sheet(&) = within("aside", &)

    def file(data, name = "reed-pad.kind.json")
      File.join(Dir.tmpdir, name).tap { |path| File.write(path, data.is_a?(String) ? data : JSON.generate(data)) }
    end

    # What a link gives, as the browser would keep it.
    def given(link)
      JSON.parse(page.evaluate_async_script("fetch(arguments[0]).then((r) => r.text()).then(arguments[1])",
                                            find_link(link)[:href]))
    end

    def test_a_touchpad_that_no_list_has
      seek "Touchpad", from: sentence("devices.beginWith")
      mine = given(sentence("devices.asFileOf", name: "Touchpad")).merge("id" => "reed-pad", "name" => "Reed pad")
      mine["buttons"][0]["name"] = "Left corner"
      sheet { attach_file sentence("devices.kindFromFile"), file(mine), make_visible: true }
      saved(2)
      sheet { assert_text "Reed pad brought in by Demo specialist" }
      assert_accessible
      sheet { find("li button", text: "Reed pad", match: :first).click }
      click_button "Add Reed pad"
      saved(3)
      within("article[aria-label='Reed pad']") do
        click_button "5 buttons, Reed pad"
        click_button sentence("devices.putRightWithName", name: "Left corner")
      end
      sheet { fill_in "On a tap", with: "Chooses" }
      sheet { click_button sentence("devices.putRight") }
      saved(4)
      click_button sentence("devices.addDevices")
      assert_equal "Left corner", given(sentence("devices.asFileOf", name: "Reed pad"))["buttons"][0]["name"],
                   "the kind is as it was"
      sheet { assert_no_button sentence("devices.takeOutWithName", name: "Reed pad") }
    end

    def test_what_is_no_kind_is_refused_in_words
      sheet { attach_file sentence("devices.kindFromFile"), file("nothing of the sort", "odd.json"), make_visible: true }
      sheet { assert_text "odd.json is no kind file" }
      sheet do
        attach_file sentence("devices.kindFromFile"), file("kippen" => "kind/1", "id" => "a", "name" => "A"), make_visible: true
      end
      sheet { assert_text "must be an array" }
      assert_text "Revision 1, your change is not saved"
      assert_accessible
    end

    def test_one_that_nothing_needs_is_taken_out_and_back
      pad = JSON.parse(File.read(File.join(Server::DATA, "kinds", "touchpad.json")))
        .merge("id" => "reed-pad", "name" => "Reed pad")
      save("kind", document: pad)
      page.refresh
      sheet { click_button sentence("devices.takeOutWithName", name: "Reed pad") }
      saved(3)
      sheet { assert_no_text "brought in by" }
      click_button sentence("desk.undo")
      saved(4)
      sheet { assert_text "Reed pad brought in by Another specialist" }
    end
  end
end
