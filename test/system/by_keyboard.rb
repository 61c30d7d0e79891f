# frozen_string_literal: true

module Kippen
  # Going about a page by keys alone.
  module ByKeyboard
    def focused = browser.switch_to.active_element

    # To whatever has the focus; keys given together are held together.
    def press(*keys)
      keys.each_with_object(browser.action(duration: 0)) do |key, actions|
        # Not the one of the number pad.
        key = :return if key == :enter
        next actions.send_keys(key) unless key.is_a?(Array)

        key[0..-2].each { |held| actions.key_down(held) }
        actions.send_keys(key.last)
        key[0..-2].reverse_each { |held| actions.key_up(held) }
      end.perform
    end

    # Tab until the focus is on something with this name, and no further: what lies well before it is passed in one go.
    # Begun only once it is there: whoever looks for it sooner goes round the whole page.
    def tab_to(name, back: false)
      assert eventually { there?(name) }, "nothing here is called #{name.inspect}"
      60.times do
        return if focused_name.start_with?(name)

        press(*Array.new([steps_to(name, back:) - 1, 1].max, back ? %i[shift tab] : :tab))
      end
      flunk "no way by Tab to #{name.inspect}; the focus is on #{focused_name.inspect}"
    end

    # How many stops for Tab it is to the next one with this name, as the page is now; 0 where there is none.
    def steps_to(name, back: false) = page.evaluate_script("#{STEPS}(arguments[0])", name)[back ? 1 : 0]

    # Is there something with this name that Tab, or an arrow from there, leads to?
    def there?(name) = page.evaluate_script("#{STEPS}(arguments[0])", name)[2]

    STEPS = <<~JS.strip
      (function (name) {
        const stops = [...document.querySelectorAll('a[href], button, input, select, textarea, summary, [tabindex]')].filter((e) =>
          (e.tabIndex >= 0 || e === document.activeElement) && !e.disabled && !e.closest('[inert]') && e.checkVisibility({ visibilityProperty: true }))
        // Of radio buttons that belong together one is a stop.
        const radios = (e) => stops.filter((one) => one.type === 'radio' && one.name === e.name)
        const all = stops.filter((e) => e.type !== 'radio' || e === (radios(e).find((one) => one.checked) ?? radios(e)[0]) || e === document.activeElement)
        const at = all.indexOf(document.activeElement)
        const words = (e) => e.getAttribute('aria-label') || e.labels?.[0]?.textContent || e.innerText || ''
        const to = all.flatMap((e, i) => (i !== at && words(e).startsWith(name) ? [i] : []))
        const nearest = (way) => Math.min(...to.map((i) => (way * (i - at) + all.length) % all.length || all.length))
        return [...(to.length === 0 ? [0, 0] : [nearest(1), nearest(-1)]), stops.some((e) => words(e).startsWith(name))]
      })
    JS

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

    def row_of_focus
      page.evaluate_script("(r => r && (r.dataset.button || r.dataset.head))(document.activeElement.closest('[data-button], " \
                           "[data-head]'))")
    end

    def focused_name
      page.evaluate_script(<<~JS)
        (({ activeElement: e }) => e.getAttribute("aria-label") || e.labels?.[0]?.textContent || e.innerText || "")(document)
      JS
    end

    # The focus comes to what has this name; it may follow what is seen by a moment.
    def assert_focused(name, message = nil)
      eventually { name === focused_name } # rubocop:disable Style/CaseEquality -- a name or a pattern
      assert_operator name, :===, focused_name, message
    end

    def assert_focus_shows
      style = page.evaluate_script("(() => { const s = getComputedStyle(document.activeElement); return s.outlineStyle + ' ' + " \
                                   "s.outlineWidth })()")
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
