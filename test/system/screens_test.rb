# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Every screen, by day, by night, in the colours that a system forces, and narrow: accessible, and nothing beyond the edge.
  class ScreensTest < SystemTest
    STEPS = %w[wants devices devices?devices=find assign assign?view=table devices?sheet=new-device assign?sheet=history assign?sheet=help
               devices?sheet=join devices?sheet=hand devices?sheet=device:mouse devices?sheet=settings:device:mouse assign?sheet=arrange].freeze
    # { name: [what the system asks for, what the page makes of it, rules that don't hold] }
    # Forced colours are the system's; the check reads those of the style sheet for text that inherits its own.
    LIGHTS = { "by day" => [{}, "light", []], "by night" => [{ "prefers-color-scheme" => "dark" }, "dark", []],
               "in forced colours" => [{ "forced-colors" => "active" }, "light", %i[color-contrast]] }.freeze

    def emulate(features)
      all = { "prefers-reduced-motion" => "reduce" }.merge(features).map { |name, value| { name:, value: } }
      browser.execute_cdp("Emulation.setEmulatedMedia", features: all)
    end

    def teardown
      emulate({})
      super
    end

    def look_at(path)
      go_to(path)
      assert_selector "h1, h2"
      assert_no_selector "[aria-busy='true'], .ant-spin-spinning"
      LIGHTS.each_value do |features, light, skipping|
        emulate(features)
        assert_selector "html[data-light='#{light}']", visible: :all
        assert_fits
        assert_accessible(skipping:)
      end
      emulate({})
      resize(360, 740)
      assert(eventually { page.evaluate_script("document.documentElement.scrollWidth") <= 360 }, "#{path} at 360 px")
      resize(1280, 800)
    end

    def test_the_way_in
      %w[/ /join].each { |path| look_at(path) }
    end

    def test_the_service
      sign_in("lead")
      %w[/ /service].each { |path| look_at(path) }
    end

    STEPS.each_slice(5).with_index(1) do |steps, number|
      define_method("test_the_desk_#{number}") do
        demo("ottoline")
        sign_in("lead")
        steps.each { |step| look_at("/clients/#{@client}/#{step}") }
      end
    end
  end
end
