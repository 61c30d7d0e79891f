# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Every screen, by day, by night and in the colours that a system forces: accessible, and nothing beyond the edge of a
  # narrow window.
  class ScreensTest < SystemTest
    CLIENT = %w[wants devices devices?devices=find assign assign?view=table devices?sheet=new-device assign?sheet=history assign?sheet=help
                devices?sheet=join devices?sheet=hand devices?sheet=device:mouse devices?sheet=settings:device:mouse assign?sheet=arrange].freeze
    LIGHTS = { "by day" => {}, "by night" => { "prefers-color-scheme" => "dark" }, "in forced colours" => { "forced-colors" => "active" } }.freeze

    def emulate(features)
      all = { "prefers-reduced-motion" => "reduce" }.merge(features).map { |name, value| { name:, value: } }
      browser.execute_cdp("Emulation.setEmulatedMedia", features: all)
    end

    def teardown
      emulate({})
      super
    end

    def look_at(path, narrow: false)
      visit path
      assert_selector "h1, h2"
      assert_no_selector "[aria-busy='true'], .ant-spin-spinning"
      assert_fits
      assert_accessible(skipping: @skipping.to_a) unless narrow
    end

    LIGHTS.each do |name, features|
      define_method("test_every_screen_#{name.tr(" ", "_")}") do
        demo("ottoline")
        # Forced colours are the system's; the check reads those of the style sheet for text that inherits its own.
        @skipping = %i[color-contrast] if name == "in forced colours"
        # What is emulated holds from the next page of the same place on.
        visit "/"
        emulate(features)
        %w[/ /join].each { |path| look_at(path) }
        sign_in_as("lead")
        ["/", "/service", *CLIENT.map { |step| "/clients/#{@client}/#{step}" }].each { |path| look_at(path) }
      end
    end

    def test_every_screen_at_360_px
      demo("ottoline")
      resize(360, 740)
      look_at("/join", narrow: true)
      look_at("/", narrow: true)
      sign_in_as("lead")
      ["/", "/service", *CLIENT.map { |step| "/clients/#{@client}/#{step}" }].each { |path| look_at(path, narrow: true) }
    end
  end
end
