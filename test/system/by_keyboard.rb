# frozen_string_literal: true

module Kippen
  # Going about a page by keys alone.
  module ByKeyboard
    def focused = browser.switch_to.active_element

    # What has the focus may be drawn anew between looking for it and pressing.
    def press(*keys)
      tries = 0
      begin
        focused.send_keys(*keys)
      rescue Selenium::WebDriver::Error::StaleElementReferenceError
        (tries += 1) < 5 ? retry : raise
      end
    end

    # Tab until the focus is on something with this name.
    def tab_to(name, back: false)
      120.times do
        return if focused_name.start_with?(name)

        back ? press(%i[shift tab]) : press(:tab)
      end
      flunk "no way by Tab to #{name.inspect}; the focus is on #{focused_name.inspect}"
    end

    # The lanes are one stop for Tab; from there arrows lead from row to row and along them. row – a button's, or a device's head
    def to_stop(name, row:)
      60.times { page.evaluate_script("document.activeElement.matches('[data-stop]')") ? break : press(:tab) }
      from = nil
      from = row_of_focus.tap { press(:arrow_up) } until row_of_focus == from
      80.times { row_of_focus == row ? break : press(:arrow_down) }
      from = nil
      from = focused_name.tap { press(%i[control arrow_left]) } until focused_name == from
      20.times { focused_name.start_with?(name) ? return : press(%i[control arrow_right]) }
      flunk "no #{name.inspect} in #{row}; the focus is on #{focused_name.inspect}"
    end

    def row_of_focus = page.evaluate_script("(r => r && (r.dataset.button || r.dataset.head))(document.activeElement.closest('[data-button], [data-head]'))")

    def focused_name
      page.evaluate_script(<<~JS)
        (({ activeElement: e }) => e.getAttribute("aria-label") || e.labels?.[0]?.textContent || e.innerText || "")(document)
      JS
    end

    # The focus comes to what has this name; it may follow what is seen by a moment.
    def assert_focused(name, message = nil)
      patience = Time.now + Capybara.default_max_wait_time
      sleep 0.05 until name === focused_name || Time.now > patience # rubocop:disable Style/CaseEquality -- a name or a pattern
      assert_operator name, :===, focused_name, message
    end

    def assert_focus_shows
      style = page.evaluate_script("(() => { const s = getComputedStyle(document.activeElement); return s.outlineStyle + ' ' + s.outlineWidth })()")
      assert_equal "solid 3px", style, "the focus on #{focused_name.inspect} can't be seen"
    end

    # Goes to a button or link and works it, once it can be worked.
    def go(name, back: false)
      page.has_selector?(:link_or_button, name, wait: 3)
      tab_to(name, back:)
      press(:enter)
    end

    # Fills a field in.
    def type(name, words)
      tab_to(name)
      press(words)
    end

    # Says what is looked for, and takes the first that is found.
    def say(words)
      press(words)
      assert_selector "aside fieldset[aria-busy='false']"
      press(:tab, :space)
    end

    # Chooses in a list that opens: types to find, takes the first.
    def pick_by_keys(name, words)
      tab_to(name)
      press(:arrow_down)
      assert_selector ".ant-select-dropdown", visible: true
      step until page.has_selector?(".ant-select-item-option-active", text: words, wait: 0.3)
      press(:enter)
    end

    def step = press(:arrow_down)
  end
end
