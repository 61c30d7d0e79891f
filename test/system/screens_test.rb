# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Every screen, by day, by night, in the colours that a system forces, and narrow: accessible, and nothing beyond the edge.
  class ScreensTest < SystemTest
    STEPS = %w[wants devices devices?devices=find assign assign?view=table devices?sheet=new-device assign?sheet=history
               assign?sheet=help
               devices?sheet=join devices?sheet=hand devices?sheet=device:mouse devices?sheet=settings:device:mouse
               devices?sheet=correct:mouse/left assign?sheet=arrange].freeze
    # What the system asks for, and what the page makes of it.
    NIGHT = [{ "prefers-color-scheme" => "dark" }, "dark"].freeze
    FORCED = [{ "forced-colors" => "active" }, "light"].freeze

    def emulate(features)
      all = { "prefers-reduced-motion" => "reduce" }.merge(features).map { |name, value| { name:, value: } }
      browser.execute_cdp("Emulation.setEmulatedMedia", features: all)
    end

    def teardown
      emulate({})
      super
    end

    # All of it by day; by night and in forced colours what these can change. Contrast isn't looked at in forced ones: they are
    # the system's, and axe reads those of the style sheet for text that inherits its own.
    def look_at(path)
      go_to(path)
      assert_selector "h1, h2"
      assert_no_selector "[aria-busy='true'], .ant-spin-spinning"
      assert_fits
      assert_accessible
      in_light(*NIGHT) { assert_accessible(only: COLOURS) }
      in_light(*FORCED)
      resize(360, 740)
      assert(eventually { page.evaluate_script("document.documentElement.scrollWidth") <= 360 }, "#{path} at 360 px")
      resize(1280, 800)
    end

    def in_light(features, light)
      emulate(features)
      assert_selector "html[data-light='#{light}']", visible: :all
      assert_fits
      yield if block_given?
      emulate({})
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
