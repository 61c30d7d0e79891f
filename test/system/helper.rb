# frozen_string_literal: true

ENV["RACK_ENV"] = "test"
require_relative "../../server/rack"
require_relative "servers"
require "fileutils"
require "minitest/autorun"
require "tmpdir"
require "capybara/minitest"
require "selenium-webdriver"
require "axe-capybara"
require "axe/matchers/be_axe_clean"

Capybara.register_driver(:chromium) do |app|
  options = Selenium::WebDriver::Chrome::Options.new(binary: "/usr/bin/chromium")
  %w[--headless=new --no-sandbox --disable-dev-shm-usage --disable-gpu --hide-scrollbars --force-device-scale-factor=1
     --window-size=1280,800 --no-first-run --disable-background-networking --disable-component-update --disable-sync
     --lang=en-GB].each { |argument| options.add_argument(argument) }
  service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
  Capybara::Selenium::Driver.new(app, browser: :chrome, options:, service:)
end
Capybara.default_driver = :chromium
Capybara.server = :puma, { Silent: true }
Capybara.server_host = "127.0.0.1"
Capybara.enable_aria_label = true
Capybara.default_max_wait_time = 20
# Otherwise the check opens a window of its own, and losing the focus ends listening.
Axe::Configuration.instance.legacy_mode = true

# Is there while a story takes the disk for nearly full.
ENV["KIPPEN_NO_ROOM"] = File.join(Dir.tmpdir, "kippen-no-room-#{Process.pid}")

# Here a story plays what bin/start does with the way in for other machines.
ENV["KIPPEN_WAY_IN"] = File.join(Dir.tmpdir, "kippen-way-in-#{Process.pid}")

module Kippen
  # A story in a real browser against the whole application. Cleans up what it made.
  class SystemTest < Minitest::Test
    include Capybara::DSL
    include Capybara::Minitest::Assertions

    DATABASE = Server::Store.connect(ENV.fetch("DATABASE_URL"))
    Server::Store.migrate(DATABASE)
    if (address = Servers.start(ENV.fetch("KIPPEN_SERVERS", nil)))
      Capybara.app_host = address
      Capybara.run_server = false
    else
      Capybara.app = Server.rack(DATABASE, secret: "s" * 64, demo: true, way_in: ENV.fetch("KIPPEN_WAY_IN"), check_responses: true)
    end
    DEMO = Formats::FittingJson.read(File.read(File.join(Server::ROOT, "test", "fixtures", "phone.fitting.json")))
    EDGE = "pocket-phone/edge"
    PASSWORD = "quiet-estuary-morning"
    # Windows virtual key codes, which the browser's protocol asks for.
    KEYS = { "F1" => 112, "F2" => 113, "F8" => 119, "F9" => 120, "KeyA" => 65, "KeyG" => 71, "F13" => 124 }.freeze
    ACTIONS = {
      "double_tap" => { "kind" => "app", "app" => "packetry", "command" => "mark" },
      "long_press" => { "kind" => "app", "app" => "hearthcall", "command" => "answer" }
    }.freeze

    # Where it is named, the first story that fails leaves it behind, and no other begins.
    FIRST = ENV.fetch("KIPPEN_FIRST", nil)

    def before_setup
      super
      raise Interrupt if FIRST && File.exist?(FIRST)
    end

    def after_teardown
      super
      FileUtils.touch(FIRST) unless FIRST.nil? || passed?
    end

    def setup
      Server::Rates::COUNTERS.clear
      accounts = Server::Store::Accounts.new(DATABASE)
      @service = accounts.add_service("Saltmarsh Row", demo: true)
      %w[lead specialist viewer].each do |role|
        accounts.add(@service, email: "#{role}@saltmarsh-row.example", name: "Demo #{role}", role:, password: PASSWORD)
      end
      @client = add_client(DEMO)
      resize(1280, 800)
      browser.execute_cdp("Emulation.setEmulatedMedia", features: [{ name: "prefers-reduced-motion", value: "reduce" }])
    end

    def teardown
      FileUtils.rm_f(ENV.fetch("KIPPEN_NO_ROOM"))
      Capybara.reset_sessions!
      DATABASE[:services].delete
    end

    def add_client(fitting) = Server::Store::Save.new(DATABASE).first(@service, fitting, author: "Saltmarsh Row", note: "Demo")

    def saved(revision) = assert_text("Revision #{revision}, saved")

    # A fitting of the demo, in place of the one with a phone alone.
    def demo(name) = @client = add_client(Formats::FittingJson.read(File.read(File.join(Server::ROOT, "demo", "#{name}.fitting.json"))))

    # At a step of the client's desk, signed in.
    def open_step(step)
      sign_in_as("specialist") unless @signed_in
      @signed_in = true
      visit "/clients/#{@client}/#{step}"
      assert_selector "a[aria-current='page']", text: step.capitalize
    end

    # Chooses in one of Ant Design's lists.
    def pick(option, from:)
      field = find_field(from)
      field.find(:xpath, "./ancestor::*[contains(@class, 'ant-select')][1]").click
      find(".ant-select-item-option", text: option, match: :first).click
    end

    # By one press, as the demo offers it.
    def sign_in_as(role)
      visit "/"
      click_button "Open the demo as a #{role}"
      assert_selector "h1", text: "Clients"
    end

    def browser = page.driver.browser

    def resize(width, height)
      browser.execute_cdp("Emulation.setDeviceMetricsOverride", width:, height:, deviceScaleFactor: 1, mobile: false)
    end

    def open_desk
      open_step("assign")
      assert_selector "h2", text: "What each button does"
      assert_selector "[data-button='#{EDGE}']"
    end

    # Bram's three jobs on the edge key, without the desk.
    def give_three_jobs(**timing)
      ACTIONS.each { |gesture, action| save("assign", button: EDGE, gesture:, action:) }
      timing.each { |setting, value| save("timing", button: EDGE, setting: setting.to_s, value:) }
    end

    # A change that somebody else saves.
    def save(kind, **given)
      change = Changes.read({ "kind" => kind }.merge(given.transform_keys(&:to_s)))
      Server::Store::Save.new(DATABASE).on(@client, author: "Another specialist") do |head|
        result = Changes.make(head.fitting, change, knowledge: Server::KNOWLEDGE, by: "Another specialist", at: "2026-11-25T12:00:00Z")
        Server::Store::Save::Made.new(fitting: result.fitting)
      end
    end

    def lane(&) = within("[data-button='#{EDGE}']", &)

    def bench(&) = within("section[aria-label='Bench']", &)

    def bind_edge_to(code = "F8")
      click_button "Teach the buttons"
      assert_text "Press Pocket phone, Edge key"
      press_key(code, 0.05)
      assert_no_text "Press Pocket phone, Edge key"
      click_button "Enough (Esc)"
      assert_button "Pocket phone, Edge key: key #{code.delete_prefix("Key")} stands for it. Change"
    end

    def listen
      click_button "Start listening"
      assert_button "Listening · Stop (Esc, Esc)"
    end

    # Real key events, stamped to the tenth of a millisecond, whatever the load of the machine.
    def key(type, code, at)
      browser.execute_cdp("Input.dispatchKeyEvent", type:, code:, key: code, windowsVirtualKeyCode: KEYS.fetch(code), timestamp: at)
    end

    # A little is added, for the browser cuts both stamps to tenths of a millisecond.
    def press_key(code, seconds, at: Time.now.to_f)
      key("keyDown", code, at)
      pause(at + seconds)
      key("keyUp", code, at + seconds + 0.0003)
    end

    # Lets the clock reach a moment, so that the page's own timers have run as well.
    def pause(moment) = sleep([moment - Time.now.to_f, 0].max)

    # More than its one line.
    def open_bench = page.has_button?("Larger bench", wait: 0) && click_button("Larger bench")

    def tiles = bench { all("ol[aria-label='Presses, newest first'] strong").map(&:text) }

    def assert_tiles(*expected)
      open_bench
      assert_selector("ol[aria-label='Presses, newest first'] li", count: expected.size)
      patience = Time.now + Capybara.default_max_wait_time
      sleep 0.05 until tiles == expected || Time.now > patience
      assert_equal expected, tiles
    end

    def assert_accessible(skipping: [])
      matcher = Axe::Matchers::BeAxeClean.new.according_to(:wcag2a, :wcag2aa, :wcag21a, :wcag21aa, :wcag22aa, :"best-practice")
      matcher = matcher.skipping(*skipping) if skipping.any?
      assert matcher.matches?(page), -> { matcher.failure_message }
    end

    # Nothing may reach beyond the window's right edge.
    def assert_fits
      assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, page.evaluate_script("window.innerWidth")
    end
  end
end
