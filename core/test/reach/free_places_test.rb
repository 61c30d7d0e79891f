# frozen_string_literal: true

require_relative "../helper"
require_relative "../kinds_data"

module Kippen
  # Where an action could go, and what it would cost there: held against what the change itself comes to.
  class FreePlacesTest < CoreTest
    include KindsData

    LOUDER = { "kind" => "volume", "direction" => "up" }.freeze

    def client = @client ||= add(with_devices("mouse-five"), "remote", host: "tv")
    def free(action, fitting = client, **more) = Reach::FreePlaces.new(fitting, KNOWLEDGE.of(fitting)).of(action, **more)

    def test_every_place_that_is_told_takes_it_and_costs_what_is_told
      places = free(LOUDER)
      assert_operator places.size, :>, 30
      places.each do |one|
        after = made(client, "assign", button: one.button.ref, gesture: one.gesture, action: LOUDER)
        before = Press::Lane.new(client, one.button)
        slower = before.differences(Press::Lane.new(after, after.button(one.button.ref))).select do |_, was, now|
          was && now && now.us > was.us
        end
        assert_equal slower.size, one.costs.count { |words| words.include?("+") },
                     [one.button.ref, one.gesture, one.costs].inspect
      end
    end

    def test_every_place_that_is_not_told_refuses_it_or_is_taken
      told = free(LOUDER).map { |one| [one.button.ref, one.gesture] }
      client.buttons.product(%w[long_press double_tap]).each do |button, gesture|
        next if told.include?([button.ref, gesture])

        assert_raises(Invalid, "#{button.ref} #{gesture}") do
          made(client, "assign", button: button.ref, gesture:, action: LOUDER)
        end
      end
    end

    def test_what_a_button_does_by_itself_is_told_where_it_gives_way
      left = free(LOUDER).select do |one|
        one.button.id == "left" && one.button.kind == "contact" && client.device(one.button.device).kind == "mouse-five"
      end
      assert_equal({ "tap" => %w[Click Double-click Drag], "long_press" => %w[Drag], "double_tap" => %w[Double-click Drag] },
                   left.to_h { |one| [one.gesture, one.loses] })
    end

    def test_it_ends_where_it_takes_too_long
      assert_raises(Deadline::Passed) do
        Reach::FreePlaces.new(client, KNOWLEDGE.of(client), deadline: Deadline.new(-1, clock: -> { 0 })).of(LOUDER)
      end
    end

    def test_only_where_it_is_wanted
      assert_equal(%w[tv], free(LOUDER, hosts: %w[tv]).map { |one| one.button.host }.uniq)
      taken = made(client, "assign", button: "television-remote/left", gesture: "long_press", action: LOUDER)
      assert_empty(free(LOUDER, taken).select { |one| one.button.ref == "television-remote/left" && one.gesture == "long_press" })
    end
  end
end
