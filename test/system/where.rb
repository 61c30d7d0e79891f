# frozen_string_literal: true

module Kippen
  # What stories of places and modes share: real keys that stand for buttons, and the stand-in host.
  module Where
    def bind(buttons)
      assert_button sentence("bench.teachButtons")
      listener = eventually { SystemTest::DATABASE[:listeners].where(client_id: @client).get(:id) }
      buttons.each { |button, code| SystemTest::DATABASE[:bindings].insert(listener_id: listener, heard: "key:#{code}", button:) }
      page.refresh
      listen
      open_bench
    end

    def show_screen
      click_button sentence("bench.theirScreen")
      assert_selector "section[aria-label^='Stand-in']"
    end

    def seek(option, from:)
      field = find_field(from)
      field.find(:xpath, "./ancestor::*[contains(@class, 'ant-select')][1]").click
      field.send_keys(option)
      find(".ant-select-item-option", text: option, match: :first).click
    end

    def press_anew(code, seconds) = press_key(code, seconds, at: moment(after: 0.2))

    # What the bench shows is told with it where it isn't said.
    def said(words)
      assert_selector("[data-said]", text: words)
    rescue Minitest::Assertion => e
      raise e.class, "#{e.message}\n#{find("section[data-pane][aria-label='#{sentence("bench.bench")}']").text}"
    end

    def point_at(element) = within("section[aria-label^='Stand-in']") { click_button element }

    def lane_of(name, &) = within("[data-button][aria-label^='#{name}']", &)

    def choose_action(words, name)
      fill_in sentence("assign.findAction"), with: words
      find("aside label", text: name, match: :first).click
    end

    def look_at(place: nil, mode: nil)
      pick(place, from: sentence("lanes.inPlace")) if place
      pick(mode, from: sentence("lanes.whilst")) if mode
    end
  end
end
