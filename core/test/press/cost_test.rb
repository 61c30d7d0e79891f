# frozen_string_literal: true

require_relative "../helper"

module Kippen
  # What a step costs must not grow with how much is set up. Counted are method calls, not
  # seconds, so the machine's mood doesn't matter.
  class CostTest < CoreTest
    PRESSES = 40

    # A fitting with many buttons, each in many modes; only the first button is pressed.
    def large(buttons:, modes:)
      names = Array.new(modes) { |index| { "id" => "m#{index}" } }
      refs = Array.new(buttons) { |index| "d/b#{index}" }
      spots = ["base", *names.map { |mode| mode["id"] }].product(refs)
      assignments = spots.flat_map do |mode, ref|
        %w[tap double_tap].map do |gesture|
          { "button" => ref, "gesture" => gesture, "mode" => mode, "action" => { "kind" => "key" } }
        end
      end
      Fitting.read("kippen" => "fitting/1", "modes" => names, "assignments" => assignments.first(5000),
                   "devices" => [{ "id" => "d", "buttons" => refs.map { |ref| { "id" => ref.delete_prefix("d/") } } }])
    end

    # Method calls inside Kippen for presses on the given buttons; the first round, in which
    # answers are worked out and kept, is not counted.
    def calls(fitting, pressed)
      engine = Press::Engine.new(fitting)
      time = 0
      round = lambda do
        %i[down up].each { |edge| pressed.each { |button| engine.public_send(edge, time += 1000, button) } }
        engine.tell(time += 2_000_000)
      end
      round.call
      count = 0
      TracePoint.new(:call) { count += 1 }.enable { PRESSES.times { round.call } }
      count
    end

    def test_buttons_assignments_and_modes_do_not_make_a_press_dearer
      sizes = [{ buttons: 1, modes: 1 }, { buttons: 20, modes: 5 }, { buttons: 200, modes: 1 }, { buttons: 40, modes: 50 },
               { buttons: 200, modes: 50 }]
      assert_equal 1, sizes.map { |size| calls(large(**size), [0]) }.uniq.size
    end

    # With all of them waiting at once the line is longer; finding a place in it grows with its logarithm.
    def test_many_buttons_waiting_at_once
      few, many = [10, 200].map { |count| calls(large(buttons: count, modes: 1), (0...count).to_a) / count.to_f }
      assert_operator many, :<, few * 1.5
    end

    # Any number of apps may be named by a trace; what is remembered of them is bounded.
    def test_many_places_do_not_pile_up
      engine = Press::Engine.new(large(buttons: 1, modes: 1))
      20_000.times { |index| engine.pointer_in(index, "", "app-#{index}/part-#{index}") }
      assert_operator engine.instance_variable_get(:@resolver).instance_variable_get(:@spots).size, :<=,
                      Press::Resolver::REMEMBERED
    end

    def test_a_held_mode_ends_at_the_same_cost_on_a_host_with_many_buttons
      ends = [2, 200].map do |buttons|
        read = Fitting.read("kippen" => "fitting/1", "modes" => [{ "id" => "m" }],
                            "devices" => [{ "id" => "d", "buttons" => Array.new(buttons) { |index| { "id" => "b#{index}" } } }],
                            "assignments" => [{ "button" => "d/b0", "gesture" => "hold",
                                                "action" => { "kind" => "mode", "mode" => "m", "how" => "held" } },
                                              { "button" => "d/b1", "gesture" => "tap", "mode" => "m",
                                                "action" => { "kind" => "key" } }])
        calls(read, [0, 1])
      end
      assert_equal 1, ends.uniq.size
    end
  end
end
