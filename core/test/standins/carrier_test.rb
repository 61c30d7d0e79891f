# frozen_string_literal: true

require_relative "../helper"

module Kippen
  # A stand-in device's memory: what is in force on it is whole, whatever breaks off when.
  class CarrierTest < CoreTest
    ONE = { "kippen" => "carried/1", "device" => "grip", "assignments" => [{ "button" => "grip/squeeze" }] }.freeze
    OTHER = ONE.merge("device" => "greifer-ä-🙂").freeze

    def whole(document) = Handover::Parts.whole(Handover::Parts.of(document).map(&:text))
    def digest(document) = Handover.digest(whole(document))

    # Writes a document's parts, or the first so many.
    def write(carrier, document, number, first: nil)
      parts = Handover::Parts.of(document)
      parts.first(first || parts.size).each_with_index.reduce(carrier) do |now, (part, index)|
        now.write(number:, digest: digest(document), index:, of: parts.size, text: part.text)
      end
    end

    def with_one = write(Standins::Carrier.new, ONE, 1).switch(digest: digest(ONE), now: nil)

    def refused(why, &)
      assert_equal why, assert_raises(Standins::Refused, &).why
    end

    def test_written_read_back_and_switched_it_is_in_force
      written = write(Standins::Carrier.new, ONE, 1)
      assert_equal({ "seen" => 1, "digest" => nil, "spare" => digest(ONE) }, written.state)
      assert_equal digest(ONE), Handover.digest(Handover::Parts.whole(written.read_back(number: 1)))
      assert_nil written.on_it
      assert_equal whole(ONE), with_one.on_it
    end

    def test_what_breaks_off_leaves_the_old_whole
      half = write(with_one, OTHER, 2, first: 1)
      assert_equal whole(ONE), half.on_it
      assert_nil half.state["spare"]
      refused("nothing") { half.read_back(number: 2) }
      refused("nothing") { half.switch(digest: digest(OTHER), now: digest(ONE)) }
      # Begun anew under the same number it goes on.
      assert_equal whole(OTHER), write(half, OTHER, 2).switch(digest: digest(OTHER), now: digest(ONE)).on_it
    end

    def test_the_earlier_one_is_kept_until_another_is_written
      both = write(with_one, OTHER, 2).switch(digest: digest(OTHER), now: digest(ONE))
      assert_equal [whole(OTHER), digest(ONE)], [both.on_it, both.state["spare"]]
      assert_equal whole(ONE), both.switch(digest: digest(ONE), now: digest(OTHER)).on_it
    end

    def test_switched_only_from_what_was_seen_and_twice_is_once
      written = write(with_one, OTHER, 2)
      refused("differs") { written.switch(digest: digest(OTHER), now: nil) }
      done = written.switch(digest: digest(OTHER), now: digest(ONE))
      assert_same done, done.switch(digest: digest(OTHER), now: digest(ONE))
    end

    def test_what_is_older_than_it_has_seen_is_refused
      seen = write(with_one, OTHER, 5, first: 1)
      refused("older") { write(seen, ONE, 4) }
      refused("older") { seen.empty(number: 4, now: digest(ONE)) }
      refused("another") { write(seen, ONE, 5) }
      refused("part") { seen.write(number: 6, digest: "d", index: 3, of: 3, text: "") }
    end

    def test_emptied_it_has_nothing_and_remembers_what_it_has_seen
      refused("differs") { with_one.empty(number: 2, now: nil) }
      empty = with_one.empty(number: 2, now: digest(ONE))
      assert_equal [nil, nil, 2], [empty.on_it, empty.state["spare"], empty.state["seen"]]
      refused("older") { write(empty, ONE, 1) }
    end

    # Whatever is on it is what it says it is: a slot that was spoilt is not whole.
    def test_a_spoilt_slot_is_not_whole
      memory = JSON.parse(JSON.generate(with_one.memory))
      memory["slots"].compact.first["parts"]["0"] = "{}\n"
      spoilt = Standins::Carrier.new(memory)
      assert_equal [nil, nil], [spoilt.state["digest"], spoilt.on_it]
    end

    # At every step of any number of hand-overs, broken off anywhere, what is in force is one of those that were handed over.
    def test_broken_off_anywhere_it_is_whole
      random = Random.new(11)
      carrier = Standins::Carrier.new
      number = 0
      300.times do
        document = [ONE, OTHER, ONE.merge("off" => true)].sample(random:)
        before = carrier.on_it
        number += random.rand(2)
        begin
          carrier = write(carrier, document, number, first: random.rand(4))
          carrier = carrier.switch(digest: digest(document), now: carrier.state["digest"]) if random.rand < 0.6
        rescue Standins::Refused
          assert_equal [before], [carrier.on_it]
        end
        assert_includes [before, whole(document)], carrier.on_it
      end
      refute_nil carrier.on_it
    end
  end
end
