# frozen_string_literal: true

require_relative "helper"
require_relative "../../core/test/press/generated"

module Kippen
  # What is kept with a stream: the engine's state, settled rows, moments of rest.
  class StreamsTest < ServerTest
    STRIKES_US = 1_000_000

    def setup
      super
      add_client(with_jobs)
    end

    def with_jobs(**more)
      jobs = { "tap" => MARK, "long_press" => ANSWER }.map do |gesture, action|
        { "button" => EDGE, "gesture" => gesture, "action" => action }
      end
      DEMO.merge("assignments" => jobs, **more.transform_keys(&:to_s))
    end

    def benches = Server::Store::Benches.new(DATABASE)

    def stream
      @stream ||= begin
        streams = Server::Store::Streams.new(DATABASE)
        streams.find(streams.add(Server::Store::Listeners.new(DATABASE).add(@client, "Desk")[:id]))
      end
    end

    def heard(number, time_us, kind, source = kind == "told" ? "" : EDGE, value: "")
      Press::Bench::Message.new(number:, time_us:, source:, kind:, value:)
    end

    # The messages of one short press, the index-th.
    def press(index)
      [["down", 0], ["up", 100_000]].each_with_index.map do |(kind, us), edge|
        heard((index * 2) + edge + 1, (index * STRIKES_US) + us, kind)
      end
    end

    def take(*messages) = benches.take(stream, ahead: nil) { messages }
    def actions(stories) = stories.map { |story| [story.began_us, story.rows.map { |row| row.outcome.action }] }

    def outcomes(stories)
      stories.map { |story| [story.button.ref, story.began_us, story.rows.map { |row| row.outcome.to_h }] }.last(40)
        .sort_by(&:to_s)
    end

    # Up to which number nothing is missing: a page keeps the rest and sends what is missing again.
    def test_a_gap_in_the_numbers_is_known_until_it_is_filled
      through = lambda { |*numbers|
        take(*numbers.map { |number| heard(number, number * 1000, "told") }).standing.values_at(:received, :heard_through)
      }
      assert_equal [[2, 2], [3, 2], [4, 4], [5, 4], [7, 7]], [through[1, 2], through[4], through[3], through[6], through[5, 7]]
    end

    def test_a_late_message_is_not_what_was_heard_last
      take(heard(1, 1_000_000, "down"), heard(2, 1_100_000, "up"))
      assert_equal [1_100_000, 2, "up"], take(heard(3, 500_000, "down")).standing[:heard][EDGE]
    end

    def test_a_message_costs_the_same_at_the_10th_and_the_1000th
      costs = Hash.new { |hash, index| hash[index] = [] }
      500.times do |index|
        next press(index).each { |one| take(one) } unless [5, 498].include?(index)

        press(index).each do |one|
          statements = 0
          count = Object.new.tap { |logger| logger.define_singleton_method(:info) { |_| statements += 1 } }
          DATABASE.loggers << count
          calls = 0
          TracePoint.new(:call) { |point| calls += 1 if point.path.include?("/kippen/") || point.path.include?("/server/") }
            .enable { take(one) }
          DATABASE.loggers.delete(count)
          costs[index] << [statements, calls]
        end
      end
      assert_equal costs[5].map(&:first), costs[498].map(&:first), "statements"
      costs[5].zip(costs[498]).each { |few, many| assert_in_delta few.last, many.last, few.last * 0.1, "calls" }
      assert_equal [500, 1000], [DATABASE[:tiles].where(stream_id: stream[:id]).count,
                                 benches.look(stream).standing[:heard_through]]
      assert_operator DATABASE[:rests].where(stream_id: stream[:id]).count, :<, 170
    end

    # The order in which messages come does not matter, nor how many come at once, nor how often.
    def test_the_truth_is_the_replay_of_all_messages
      random = Random.new(7)
      PropCheck.forall(Generated::G.tuple(Generated.fitting, Generated.trace)).with_config(n_runs: 25).check do |document, trace|
        @stream = nil
        add_client(document.merge("client" => { "name" => "Somebody" }))
        list = trace.each_with_index.map do |(time_us, source, kind, value), index|
          heard(index + 1, time_us, kind, source, value:)
        end
        late = list.each_slice(3).flat_map { |some| random.rand < 0.5 ? some.shuffle(random:) : some }
        late.each_slice(1 + random.rand(4)) { |some| take(*some, some.sample(random:)) }
        next if list.empty?

        whole = Press::Bench.from(Fitting.read(document))
        list.each { |one| whole.feed(one) }
        assert_equal outcomes(whole.take_over + whole.open), outcomes(benches.look(stream).stories)
      end
    end

    def test_a_new_revision_decides_the_last_hundred_rows_anew_and_older_ones_stay
      150.times { |index| take(*press(index)) }
      send_json(:post, "/api/clients/#{@client}/revisions", "opened_on" => 1,
                                                            "change" => { "kind" => "timing", "button" => EDGE,
                                                                          "setting" => "long_press_ms", "value" => 100 })
      benches.look(stream)
      rows = DATABASE[:tiles].where(stream_id: stream[:id]).order(:row).select_map(:story).map do |story|
        story["rows"].map { |one| one["gesture"] }
      end
      assert_equal([["tap"]] * 50, rows.first(50))
      assert_equal([["long_press"]] * 100, rows.last(100).map { |row| row.first(1) })
    end

    def test_a_locked_mode_lasts_however_long_the_stream_and_through_a_change
      lock = { "button" => EDGE, "gesture" => "tap", "action" => { "kind" => "mode", "mode" => "reading", "how" => "lock" } }
      inside = { "button" => "pocket-phone/volume-up", "gesture" => "tap", "mode" => "reading", "action" => MARK }
      add_client(DEMO.merge("modes" => [{ "id" => "reading" }], "assignments" => [lock, inside]))
      take(*press(0))
      400.times do |index|
        take(heard((index * 2) + 3, 2_000_000 + (index * 9000), "down", "pocket-phone/volume-down"),
             heard((index * 2) + 4, 2_001_000 + (index * 9000), "up", "pocket-phone/volume-down"))
      end
      change({ "kind" => "client", "name" => "Bram" })
      seen = take(heard(803, 90_000_000, "down", "pocket-phone/volume-up"))
      assert_equal([[MARK]], actions(seen.stories.last(1)).map(&:last))
    end

    def test_one_told_far_ahead_makes_no_work
      benches.take(stream) { press(0) }
      seen = benches.take(stream) { [heard(3, 2**52, "told")] }
      assert_operator seen.bench.now_us, :<, 12_000_000
      assert_operator DATABASE[:messages].where(stream_id: stream[:id]).max(:time_us), :<, 12_000_000
    end

    def test_a_stream_from_before_is_worked_out_from_its_messages
      DATABASE[:messages].multi_insert(press(0).map { |one| one.to_h.merge(stream_id: stream[:id]) })
      assert_equal [[0, [MARK]]], actions(benches.look(stream).stories)
      assert_equal [2, 2], benches.look(stream).standing.values_at(:received, :heard_through)
    end

    def test_outcomes_are_told_once
      assert_equal(["tap"], take(*press(0)).decided.map(&:gesture))
      assert_empty take(*press(0)).decided, "a repeated message brings nothing about"
      late = take(heard(9, 50_000, "told"))
      assert_equal 0, late.from_us
      assert_empty late.decided, "what was known already is not brought about again"
    end

    # A page that is slow tells the time of a long-press only after the server knew it by the release.
    def test_what_an_open_press_brought_about_is_not_brought_about_again
      assert_equal [["long_press"]], [take(heard(1, 0, "down"), heard(2, 700_000, "told")).decided.map(&:gesture)]
      late = take(heard(3, 500_000, "told"))
      assert_equal 0, late.from_us
      assert_empty late.decided
      assert_empty late.presses
    end

    # Nor where a save in between lets the bench begin anew.
    def test_nor_after_a_save
      assert_equal 1, take(heard(1, 0, "down"), heard(2, 700_000, "told")).presses.size
      change({ "kind" => "client", "name" => "Bram" })
      late = take(heard(3, 500_000, "told"))
      assert_empty late.decided
      assert_empty late.presses
      assert_equal [0], late.stories.map(&:began_us)
    end

    # A hold that is decided anew goes on where it was: its repeats are not done twice, and it ends.
    def test_an_open_hold_goes_on
      again = { "button" => EDGE, "gesture" => "hold", "action" => MARK, "repeat" => { "after_ms" => 500, "every_ms" => 200 } }
      add_client(DEMO.merge("assignments" => [again]))
      phases = ->(seen) { seen.decided.map { |one| [one.phase, one.at_us] } }
      first = phases[take(heard(1, 0, "down"), heard(2, 850_000, "told"))]
      assert_equal [["start", 0], ["repeat", 500_000], ["repeat", 700_000]], first
      assert_empty phases[take(heard(3, 600_000, "told"))]
      assert_equal([["repeat", 900_000], ["end", 950_000]], phases[take(heard(4, 950_000, "up"), heard(5, 2_000_000, "told"))])
    end

    # What the late message itself makes known happens, and what was open goes on.
    def test_what_a_late_message_makes_known_happens_once
      take(heard(1, 0, "down"), heard(2, 100_000, "told"))
      late = take(heard(3, 90_000, "up"))
      assert_empty late.presses
      assert_equal ["tap"], (late.decided + take(heard(4, 1_000_000, "told")).decided).map(&:gesture)
      assert_empty take(heard(5, 95_000, "told")).decided
    end
  end
end
