# frozen_string_literal: true

require_relative "checking"

module Kippen
  # What must be got at and hangs on one way, or comes out too seldom; what carries too much.
  class ThinRoadTest < CoreTest
    include Checking

    THIN = "thin_road"

    def wanting(fitting, action, **more)
      made(fitting, "want", want: { "what" => "Turn the page", "action" => action, "importance" => "must" }
                                .merge(more.transform_keys(&:to_s)))
    end

    def words(fitting, **given) = found(fitting, THIN, **given).map(&:what)

    # The mouse is at hand; a second device makes the road wide.
    def test_a_single_way
      one = wanting(assign(desk, RIGHT, "tap", NEXT), NEXT)
      assert_equal [["look", { "want" => "turn-the-page", "device" => MOUSE }]], told(one, THIN).uniq
      refute_found wanting(assign(desk, RIGHT, "tap", NEXT), NEXT, importance: "should"), THIN
      refute_found desk, THIN
    end

    # A tap of people in general comes out 97 times in 100; how often is enough is the service's.
    def test_what_is_often_enough_is_settable
      dangerous = wanting(assign(desk, RIGHT, "tap", NEXT), NEXT, importance: "could", wrong: "dangerous")
      strict, usual = [0.98, 0.9].map { |rate| words(dangerous, figures: Reach::Figures.from("rate" => rate)) }
      assert_equal 1, usual.size
      assert_equal 2, strict.size
      assert_match(/97.*98/, strict.last)
    end

    # More than half of all presses by one part of the body.
    def test_one_part_of_the_body
      on = assign(assign(desk, RIGHT, "tap", NEXT), "#{MOUSE}/middle", "tap", LOUDER)
      wanted = wanting(wanting(on, NEXT, importance: "could", times_a_day: 30), LOUDER, importance: "could", times_a_day: 10)
      parted = [[RIGHT, "left thumb"], ["#{MOUSE}/middle", "palm"]].reduce(wanted) do |fitting, (button, part)|
        made(fitting, "button", button:, set: { "worked_with" => part })
      end
      assert_equal ["Of 40 presses a day 30 are made with one part of the body: left thumb."], words(parted)
      refute_found wanted, THIN
    end
  end
end
