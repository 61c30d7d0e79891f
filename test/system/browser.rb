# frozen_string_literal: true

require "capybara/minitest"
require "selenium-webdriver"

# Debian's Chromium without a window: the same engine as /usr/bin/chromium, which KIPPEN_BROWSER can name instead, for two
# thirds of the work. Not by the script in /usr/bin, which would leave the browser behind.
Capybara.register_driver(:chromium) do |app|
  options = Selenium::WebDriver::Chrome::Options
    .new(binary: ENV.fetch("KIPPEN_BROWSER", "/usr/lib/chromium/chromium-headless-shell"))
  %w[--headless=new --no-sandbox --disable-dev-shm-usage --disable-gpu --hide-scrollbars --force-device-scale-factor=1
     --window-size=1280,800 --no-first-run --disable-background-networking --disable-component-update --disable-sync
     --disable-renderer-backgrounding --disable-backgrounding-occluded-windows --disable-background-timer-throttling
     --lang=en-GB].each { |argument| options.add_argument(argument) }
  service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
  Capybara::Selenium::Driver.new(app, browser: :chrome, options:, service:)
end
Capybara.default_driver = :chromium
Capybara.server = :puma, { Silent: true }
Capybara.server_host = "127.0.0.1"
Capybara.enable_aria_label = true
Capybara.default_max_wait_time = 20
# Whoever looks again and again keeps the page from going on.
Capybara.default_retry_interval = 0.04

module Kippen
  # What is there, what of it is seen, and its words: asked of the browser in one question each. The driver asks several,
  # and its own scripts walk through every element of a page, a quarter of a second on the desk.
  module AtOnce
    # Rows and paragraphs one under the other, cells side by side.
    WORDS = "(e => e.checkVisibility({ visibilityProperty: true }) ? e.innerText : '')(arguments[0])"
    # As somebody sees it: not hidden, not transparent, and of some size, or with something in it that is.
    SHOWN = <<~JS
      const shown = (e) => {
        if (!e.checkVisibility({ visibilityProperty: true, opacityProperty: true })) {
          return getComputedStyle(e).visibility === 'hidden' && [...e.children].some(shown)
        }
        return [...e.getClientRects()].some((box) => box.width > 0 && box.height > 0) || [...e.children].some(shown)
      }
    JS
    # [[element, is it seen]…]; where there are several, only those that have all the texts in them.
    FIND = <<~JS.freeze
      #{SHOWN}
      const [format, selector, root, looks, texts] = arguments
      const all = (() => {
        if (format === 'css') return [...(root ?? document).querySelectorAll(selector)]
        const found = document.evaluate(selector, root ?? document, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE, null)
        return Array.from({ length: found.snapshotLength }, (_, index) => found.snapshotItem(index))
      })()
      const has = (e) => texts.every((text) => e.textContent.toLowerCase().includes(text.toLowerCase()))
      return (all.length > 2 ? all.filter(has) : all).map((e) => [e, looks ? shown(e) : null])
    JS

    # For whatever finds: the page, or an element in it.
    module Finding
      private

      def find_by(format, selector, uses_visibility:, texts:, styles:, position:)
        return super if styles || position

        root = is_a?(Capybara::Selenium::Node) ? self : nil
        found = es_context.execute_script(FIND, format.to_s, selector, root, uses_visibility, texts) || []
        found.map { |native, visible| build_node(native, visible.nil? ? {} : { visible: }) }
      end
    end

    # For an element.
    module Telling
      def visible_text
        words = driver.evaluate_script(WORDS, self) || ""
        words.tr("\u00A0\t", " ").gsub(/ *\n[ \n]*/, "\n").gsub(/ {2,}/, " ").strip
      end

      def visible? = driver.execute_script("#{SHOWN}return shown(arguments[0])", self)
    end
  end

  # From story to story the browser stays, and so does the process that draws: a page of the same place, from which
  # everything that was kept is cleared, leaves it the scripts that it has read already.
  module Stays
    def reset!
      return unless @browser

      switch_to_window(window_handles.first)
      window_handles.drop(1).each { |window| close_window(window) }
      address = URI.join(@browser.current_url, "/api/health").to_s
      @browser.navigate.to(address)
      @browser.execute_cdp("Storage.clearDataForOrigin", origin: address[%r{\Ahttp://[^/]+}], storageTypes: "all")
      @browser.execute_cdp("Network.clearBrowserCookies")
    rescue URI::BadURIError
      # Nothing was opened yet.
      nil
    rescue Selenium::WebDriver::Error::UnexpectedAlertOpenError
      # Something is not saved yet: it is left all the same.
      accept_unhandled_reset_alert
      retry
    end
  end
end
Capybara::Selenium::Find.prepend(Kippen::AtOnce::Finding)
Capybara::Selenium::ChromeNode.prepend(Kippen::AtOnce::Telling)
Capybara::Selenium::Driver::ChromeDriver.prepend(Kippen::Stays)
