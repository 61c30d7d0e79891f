# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # From the desk onto a device, broken off at every single message.
  class TransferTest < CoreTest
    include KindsData

    # A device that can be reached for so many messages; lost – the answer to the last one doesn't come, though it was done.
    class Port
      attr_reader :carrier
      attr_accessor :left

      def initialize(carrier = Standins::Carrier.new, left: Float::INFINITY, lost: false)
        @carrier = carrier
        @left = left
        @lost = lost
      end

      def state = reach { [@carrier, @carrier.state] }
      def read_back(**given) = reach { [@carrier, @carrier.read_back(**given)] }

      %i[write switch empty].each do |name|
        define_method(name) { |**given| reach { [@carrier.public_send(name, **given), nil] } }
      end

      private

      def reach
        raise Standins::OutOfReach, "away" if @left <= 0

        @left -= 1
        @carrier, answer = yield
        raise Standins::OutOfReach, "away" if @left.zero? && @lost

        answer
      end
    end

    def document(name) = Handover::Parts.whole(Handover::Parts.of(carried(name).document).map(&:text))

    def carried(gesture)
      fitting = made(with_devices("mouse-five"), "assign", button: "mouse-with-five-buttons/right", gesture:,
                                                           action: { "kind" => "help" })
      Handover::Carried.new(fitting, fitting.devices[0], KNOWLEDGE)
    end

    def hand_over(port, document, number:, seen:)
      told = []
      transfer = Handover::Transfer.new(port, document, number:, seen:)
      transfer.write { |*progress| told << progress }
      transfer.switch
      told
    end

    def test_part_by_part
      port = Port.new
      told = hand_over(port, document("tap"), number: 1, seen: nil)
      assert_equal document("tap"), port.carrier.on_it
      assert_equal (0...told.size).to_a, told.map(&:first)
      assert_equal %w[rest timing assignments], told.map(&:last).uniq
      # What is there already needs no writing.
      assert_empty hand_over(port, document("tap"), number: 2, seen: Handover.digest(document("tap")))
    end

    # What it had before is there still: one step, and nothing is written.
    def test_back_to_what_it_had
      port = Port.new
      hand_over(port, document("tap"), number: 1, seen: nil)
      hand_over(port, document("long_press"), number: 2, seen: Handover.digest(document("tap")))
      assert_empty hand_over(port, document("tap"), number: 3, seen: Handover.digest(document("long_press")))
      assert_equal document("tap"), port.carrier.on_it
    end

    # Asked for again after each, it comes to its end; and until then the old one works, whole.
    def test_broken_off_after_every_message
      old = Port.new.tap { |port| hand_over(port, document("tap"), number: 1, seen: nil) }.carrier
      seen = Handover.digest(document("tap"))
      messages = Handover::Parts.of(document("long_press")).size + 3
      [false, true].each do |lost|
        (0..messages).each do |left|
          port = Port.new(old, left:, lost:)
          begin
            hand_over(port, document("long_press"), number: 2, seen:)
          rescue Standins::OutOfReach
            assert_includes [document("tap"), document("long_press")], port.carrier.on_it
          end
          port.left = Float::INFINITY
          hand_over(port, document("long_press"), number: 3, seen: port.carrier.state["digest"])
          assert_equal document("long_press"), port.carrier.on_it, "#{left} messages, #{lost}"
        end
      end
    end

    def test_something_else_is_on_it_than_was_seen
      port = Port.new
      hand_over(port, document("tap"), number: 1, seen: nil)
      differs = assert_raises(Handover::Transfer::Differs) { hand_over(port, document("long_press"), number: 2, seen: nil) }
      assert_equal Handover.digest(document("tap")), differs.now
      assert_equal document("tap"), port.carrier.on_it
    end

    def test_what_is_read_back_otherwise_is_not_put_in_force
      port = Port.new
      port.define_singleton_method(:read_back) { |**| ["{}\n"] }
      assert_raises(Handover::Transfer::Garbled) { hand_over(port, document("tap"), number: 1, seen: nil) }
      assert_nil port.carrier.on_it
    end

    def test_emptied
      port = Port.new
      hand_over(port, document("tap"), number: 1, seen: nil)
      Handover::Transfer.new(port, nil, number: 2, seen: Handover.digest(document("tap"))).empty
      assert_nil port.carrier.on_it
    end
  end
end
