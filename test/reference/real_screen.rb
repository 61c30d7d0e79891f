# frozen_string_literal: true

require "selenium-webdriver"

module Kippen
  # A Chromium with a window of its own on a virtual X display, for real clicks and keys (XTEST).
  module RealScreen
    # Yields the browser and the environment that xdotool needs.
    def on_a_real_screen
      display = ":#{90 + (Process.pid % 100)}"
      screen = Process.spawn("Xvfb", display, "-screen", "0", "900x700x24", out: File::NULL, err: File::NULL)
      environment = { "DISPLAY" => display }
      sleep 0.1 until system(environment, "xdotool", "getmouselocation", out: File::NULL, err: File::NULL)
      browser = open_browser(display)
      yield browser, environment
    ensure
      browser&.quit
      Process.kill("TERM", screen)
      Process.wait(screen)
    end

    private

    def open_browser(display)
      options = Selenium::WebDriver::Chrome::Options.new(binary: "/usr/bin/chromium")
      %w[--no-sandbox --disable-dev-shm-usage --disable-gpu --no-first-run --window-position=0,0 --window-size=800,600
         --disable-background-networking --disable-component-update --disable-sync]
        .each { |argument| options.add_argument(argument) }
      before = ENV.fetch("DISPLAY", nil)
      ENV["DISPLAY"] = display
      Selenium::WebDriver.for(:chrome, options:, service: Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver"))
    ensure
      ENV["DISPLAY"] = before
    end
  end
end
