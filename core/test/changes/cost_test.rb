# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # A change costs at most twice what reading the fitting costs, and a look at what it does no more
  # than a few times that. Counted are method calls, not seconds, so the machine's mood doesn't matter.
  class ChangesCostTest < CoreTest
    include KindsData

    HELP = { "kind" => "help" }.freeze
    CHANGES = {
      "assign" => { button: "d3/b1", gesture: "tap", action: HELP },
      "timing" => { button: "d3/b1", setting: "tap_gap_ms", value: 350 },
      "take_out" => { id: "d3" }, "client" => { name: "Una" }, "clear" => { button: "d0/b1", gesture: "tap" }
    }.freeze

    # Ten buttons a device, thirty places, four gestures, a link, twenty wants.
    def self.document(buttons, assignments)
      devices = Array.new(buttons / 10) do |index|
        { "id" => "d#{index}", "name" => "Device #{index}", "host" => "desk", "buttons" => ten_buttons }
      end
      refs = devices.flat_map { |device| device["buttons"].map { |button| "#{device["id"]}/#{button["id"]}" } }
      places = Array.new(30) { |index| { "id" => "p#{index}", "app" => "app#{index}" } }
      spots = ["everywhere", *places.map { |place| place["id"] }].product(refs, %w[tap double_tap long_press triple_tap])
        .first(assignments)
      list = spots.map { |place, ref, gesture| { "button" => ref, "gesture" => gesture, "place" => place, "action" => HELP } }
      wants = Array.new(20) { |index| { "id" => "w#{index}", "what" => "w", "action" => HELP } }
      { "kippen" => "fitting/1", "hosts" => HOSTS, "devices" => devices, "places" => places, "assignments" => list,
        "links" => [{ "from" => "d0", "to" => "d1", "mirror" => false }], "wants" => wants }
    end

    def self.ten_buttons = Array.new(10) { |one| { "id" => "b#{one}", "name" => "Button #{one}" } }

    def calls(&)
      count = 0
      TracePoint.new(:call, :b_call) { count += 1 }.enable(&)
      count
    end

    [[200, 800], [200, 12_000]].each do |buttons, assignments|
      define_method("test_#{buttons}_buttons_with_#{assignments}_assignments") do
        document = ChangesCostTest.document(buttons, assignments)
        fitting = Fitting.read(document)
        reading = calls { Fitting.read(document) }
        CHANGES.each do |kind, given|
          made = nil
          making = calls { made = result(fitting, kind, **given) }
          assert_operator making, :<, reading * 2, "#{kind}: #{making} calls beside #{reading}"
          looking = calls { look_at(made) }
          assert_operator looking, :<, reading * 3, "#{kind}, a look: #{looking} calls beside #{reading}"
        end
      end
    end

    def look_at(made)
      consequences = made.consequences
      made.spots.each { |spot| consequences.displaced(spot.button, place: spot.place, mode: spot.mode) }
      [made.words, consequences.wants, Reach::MainJob.new(KNOWLEDGE).moved(made.before, made.fitting)]
    end
  end
end
