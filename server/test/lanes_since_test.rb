# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Whoever has the lanes of a revision is sent those that differ since: put together they are what all would be.
  class LanesSinceTest < ServerTest
    REMOTE = JSON.parse(File.read(File.join(Server::ROOT, "demo", "ottoline.fitting.json")))
    HELP = { "kind" => "help" }.freeze
    GESTURES = %w[tap double_tap long_press].freeze

    def setup
      super
      add_client(REMOTE)
      @random = Random.new(11)
      @parent = 1
    end

    def save(change)
      change(change, parent: @parent)
      @parent += 1 if status == 201
    end

    def lanes(**query) = ask("/api/clients/#{@client}/lanes", query)

    # As a page puts them together.
    def merged(before, now)
      known = (before["lanes"] + now["lanes"]).to_h { |lane| [lane["button"]["ref"], lane] }
      now["order"].map { |ref| known.fetch(ref) }
    end

    def test_one_change_sends_the_lanes_that_it_changes
      whole = lanes
      assert_nil whole["since"]
      assert_equal(whole["order"], whole["lanes"].map { |lane| lane["button"]["ref"] })
      save("kind" => "assign", "button" => "mouse/left", "gesture" => "long_press", "action" => HELP)
      now = lanes(since: 1)
      assert_equal([1, 2, %w[mouse/left]],
                   [now["since"], now["revision"], now["lanes"].map { |lane| lane["button"]["ref"] }])
      assert_equal [], lanes(since: 2)["lanes"]
    end

    def random_change(refs)
      button = refs.sample(random: @random)
      case @random.rand(6)
      when 0 then { "kind" => "device_timing", "device" => button.split("/").first, "setting" => "tap_gap_ms",
                    "value" => 200 + (10 * @random.rand(40)), "nearest" => true }
      when 1 then { "kind" => "button", "button" => button, "set" => { "off" => @random.rand(2).zero? } }
      when 2 then { "kind" => "take_out", "id" => button }
      when 3 then { "kind" => "clear", "button" => button, "gesture" => GESTURES.sample(random: @random) }
      when 4 then { "kind" => "button", "button" => button, "set" => { "name" => "Key #{@random.rand(100)}" } }
      else { "kind" => "assign", "button" => button, "gesture" => GESTURES.sample(random: @random), "action" => HELP }
      end
    end

    def test_after_any_changes_the_lanes_put_together_are_what_all_are
      known = lanes
      differing = 0
      60.times do
        (1 + @random.rand(3)).times { save(random_change(known["order"])) }
        now = lanes(since: known["revision"])
        assert_equal known["revision"], now["since"]
        differing += 1 if now["lanes"].size.between?(1, now["order"].size - 1)
        whole = lanes
        assert_equal whole["lanes"], merged(known, now)
        known = whole
      end
      assert_operator differing, :>, 20
    end

    def test_all_are_sent_to_who_has_what_nobody_knows_of
      save("kind" => "place", "place" => { "name" => "In the hall", "app" => "rookery" })
      place = ask("/api/clients/#{@client}/where")["places"].last["id"]
      [{ since: 99 }, { since: 1, place: }].each do |query|
        now = lanes(**query)
        assert_equal([nil, now["order"]], [now["since"], now["lanes"].map { |lane| lane["button"]["ref"] }])
      end
      lanes(since: 0)
      assert_equal 400, status
    end
  end
end
