# frozen_string_literal: true

ENV["RACK_ENV"] = "test"
require_relative "../../server/rack"
require_relative "../../bin/support/visitor"
require_relative "servers"
require_relative "browser"
require_relative "pressing"
require_relative "saying"
require "minitest/autorun"
require "axe-capybara"
require "tmpdir"

# Is there while a story takes the disk for nearly full.
ENV["KIPPEN_NO_ROOM"] = File.join(Dir.tmpdir, "kippen-no-room-#{Process.pid}")

# Here a story plays what bin/start does with the way in for other machines.
ENV["KIPPEN_WAY_IN"] = File.join(Dir.tmpdir, "kippen-way-in-#{Process.pid}")

module Kippen
  # A story in a real browser against the whole application. Cleans up what it made.
  class SystemTest < Minitest::Test
    include Capybara::DSL
    include Capybara::Minitest::Assertions
    include Pressing
    include Saying

    DATABASE = Server::Store.connect(ENV.fetch("DATABASE_URL"))
    Server::Store.migrate(DATABASE)
    if (address = Servers.start(ENV.fetch("KIPPEN_SERVERS", nil)))
      Capybara.app_host = address
      Capybara.run_server = false
    else
      Capybara.app = Server.rack(DATABASE, secret: "s" * 64, demo: true, way_in: ENV.fetch("KIPPEN_WAY_IN"),
                                           check_responses: true)
    end
    DEMO = Formats::FittingJson.read(File.read(File.join(Server::ROOT, "test", "fixtures", "phone.fitting.json")))
    EDGE = "pocket-phone/edge"
    PASSWORD = "quiet-estuary-morning"
    ACTIONS = {
      "double_tap" => { "kind" => "app", "app" => "packetry", "command" => "mark" },
      "long_press" => { "kind" => "app", "app" => "hearthcall", "command" => "answer" }
    }.freeze

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
    def demo(name)
      @client = add_client(Formats::FittingJson.read(File.read(File.join(Server::ROOT, "demo", "#{name}.fitting.json"))))
    end

    # At a step of the client's desk, signed in. at – what else stands in the address: place, view, sheet …
    def open_step(step, **at)
      sign_in("specialist") unless @signed_in
      @signed_in = true
      go_to "/clients/#{@client}/#{step}#{"?#{URI.encode_www_form(at)}" if at.any?}"
      assert_selector "a[aria-current='page']", text: step.capitalize
    end

    # To another address, as back and forward lead there; loaded where no desk or caseload is open yet.
    def go_to(address)
      return visit(address) unless page.has_selector?("#root header", wait: 0)

      page.execute_script("history.pushState(null, '', arguments[0]); dispatchEvent(new PopStateEvent('popstate'))", address)
    end

    # Chooses in one of Ant Design's lists.
    def pick(option, from:)
      field = find_field(from)
      field.find(:xpath, "./ancestor::*[contains(@class, 'ant-select')][1]").click
      find(".ant-select-item-option", text: option, match: :first).click
    end

    # At the caseload, signed in.
    def sign_in_as(role)
      sign_in(role)
      visit "/"
      assert_selector "h1", text: sentence("caseload.clientsAlone")
    end

    # The session of an account of the demo, whose cookie the browser is given; no page is opened.
    def sign_in(role)
      visitor = Visitor.new(Capybara.app_host || "http://127.0.0.1:#{page.server.port}").sign_in(role)
      name, value = visitor.cookie.split("=", 2)
      browser.execute_cdp("Network.setCookie", name:, value:, domain: "127.0.0.1", path: "/", httpOnly: true, sameSite: "Lax")
    end

    def browser = page.driver.browser

    def resize(width, height)
      browser.execute_cdp("Emulation.setDeviceMetricsOverride", width:, height:, deviceScaleFactor: 1, mobile: false)
    end

    def open_desk
      open_step("assign")
      assert_selector "h2", text: sentence("lanes.whatEachButtonDoes")
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
        result = Changes.make(head.fitting, change, knowledge: Server::KNOWLEDGE, by: "Another specialist",
                                                    at: "2026-11-25T12:00:00Z")
        Server::Store::Save::Made.new(fitting: result.fitting)
      end
    end

    # What stands in the menu of a device.
    def more_of(device, item)
      click_button "More of #{device}"
      find("[role=menuitem]", text: item).click
    end

    def lane(&) = within("[data-button='#{EDGE}']", &)

    def bench(&) = within("section[aria-label='#{sentence("bench.bench")}']", &)

    def bind_edge_to(code = "F8")
      click_button sentence("bench.teachButtons")
      assert_text sentence("bench.pressWithName", name: "Pocket phone, Edge key")
      press_key(code, 0.05)
      assert_no_text sentence("bench.pressWithName", name: "Pocket phone, Edge key")
      click_button sentence("bench.enoughEsc")
      assert_button "Pocket phone, Edge key: key #{code.delete_prefix("Key")} stands for it. Change"
    end

    def listen
      click_button sentence("bench.startListening")
      assert_button sentence("bench.listeningStopEscEsc")
    end

    # More than its one line.
    def open_bench = page.has_button?(sentence("bench.largerBench"), wait: 0) && click_button(sentence("bench.largerBench"))

    def tiles = bench { all("ol[aria-label='#{sentence("bench.pressesNewestFirst")}'] strong").map(&:text) }

    def assert_tiles(*expected)
      open_bench
      assert_selector("ol[aria-label='#{sentence("bench.pressesNewestFirst")}'] li", count: expected.size)
      eventually { tiles == expected }
      assert_equal expected, tiles
    end

    # How many questions of this page to such an address were answered.
    def answered(ending)
      page.evaluate_script("performance.getEntriesByType('resource').filter(({ name }) => name.endsWith(arguments[0])).length",
                           ending)
    end

    # Waits until something is so that isn't looked for on the page.
    def eventually
      patience = Time.now + Capybara.default_max_wait_time
      sleep 0.05 until (so = yield) || Time.now > patience
      so
    end

    RULES = %w[wcag2a wcag2aa wcag21a wcag21aa wcag22aa best-practice].freeze
    # In the page itself: the check's own window would take the focus, and that ends listening.
    CHECK = <<~JS
      const [options, done] = arguments
      axe.run(document, options).then(({ violations }) => violations.flatMap(({ id, help, nodes }) => nodes.map(({ html }) => `${id}: ${help}: ${html}`)))
        .then(done, (error) => done([String(error)]))
    JS

    # What the light can change of it, where all else was held against the rules by day.
    COLOURS = %w[color-contrast link-in-text-block].freeze

    # only – of axe's rules those with these names, in place of all
    def assert_accessible(only: nil)
      page.execute_script(Axe::Configuration.instance.jslib) unless page.evaluate_script("'axe' in window")
      rules = only ? { type: "rule", values: only } : { type: "tag", values: RULES }
      assert_empty page.evaluate_async_script(CHECK, { runOnly: rules, resultTypes: ["violations"] })
    end

    # Nothing may reach beyond the window's right edge.
    def assert_fits
      assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, page.evaluate_script("window.innerWidth")
    end
  end
end
