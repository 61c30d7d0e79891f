# frozen_string_literal: true

module Kippen
  module Standins
    # Nothing that is said to a device reaches it, or its answer doesn't come.
    class OutOfReach < Error; end

    # A device doesn't do what it is asked. why – a word
    class Refused < Error
      attr_reader :why

      def initialize(why)
        @why = why
        super(Words.say(:"carrier_#{why}"))
      end
    end

    # A stand-in device's memory: two slots, of which one is in force. A value; each message gives another. It knows of a slot
    # whether it is whole, refuses what is older than it has seen, and puts another in force in one step or not at all.
    #   state – JSON: { "seen" => the highest number, "in_force" => 0, 1 or nil, "slots" => [slot or nil, slot or nil] }
    #   slot  – { "number", "digest", "of", "parts" => { "0" => text … } }
    class Carrier
      EMPTY = { "seen" => 0, "in_force" => nil, "slots" => [nil, nil] }.freeze

      attr_reader :memory

      # What a device has in its memory, whatever that is: what is none of ours holds nothing.
      def self.of(memory) = new(memory?(memory) ? memory : EMPTY)

      def self.memory?(memory)
        return false unless memory.is_a?(Hash) && memory["seen"].is_a?(Integer) && [nil, 0, 1].include?(memory["in_force"])

        slots = memory["slots"]
        slots.is_a?(Array) && slots.size == 2 && slots.all? { |slot| slot.nil? || slot?(slot) }
      end

      def self.slot?(slot)
        slot.is_a?(Hash) && slot["parts"].is_a?(Hash) && slot["parts"].each_value.all?(String) && slot["of"].is_a?(Integer) &&
          slot["of"].positive?
      end
      private_class_method :memory?, :slot?

      def initialize(memory = EMPTY) = @memory = memory

      # What it says of itself: { "seen", "digest" – of what is in force, or nil, "spare" – of what the other slot holds whole, or
      # nil }.
      def state
        { "seen" => @memory["seen"], "digest" => whole(in_force), "spare" => whole(spare) }
      end

      # What is in force: a document, or nil.
      def on_it = whole(in_force) && document(in_force)

      # One part of what is to come. Returns another Carrier. Raises Refused.
      def write(number:, digest:, index:, of:, text:)
        refuse("older") if number < @memory["seen"]
        slot = spare if spare && spare["number"] == number
        refuse("another") if slot && slot.values_at("digest", "of") != [digest, of]
        refuse("part") unless index.between?(0, of - 1)

        slot ||= { "number" => number, "digest" => digest, "of" => of, "parts" => {} }
        with(spare_index => slot.merge("parts" => slot["parts"].merge(index.to_s => text)), "seen" => number)
      end

      # The texts that were written under a number, in their order. Raises Refused.
      def read_back(number:)
        refuse("nothing") unless spare && spare["number"] == number && spare["parts"].size == spare["of"]
        texts(spare)
      end

      # In force from now on: what has this digest, if what is in force now has that one. Returns another Carrier, itself where
      # it is so already. Raises Refused.
      def switch(digest:, now:)
        return self if whole(in_force) == digest

        refuse("differs") unless whole(in_force) == now
        refuse("nothing") unless whole(spare) == digest
        with("in_force" => spare_index)
      end

      # Nothing in force any more, if what is has this digest; then emptied. Returns another Carrier.
      def empty(number:, now:)
        refuse("older") if number < @memory["seen"]
        refuse("differs") unless whole(in_force) == now
        self.class.new(EMPTY.merge("seen" => number))
      end

      private

      def refuse(why) = raise(Refused, why)

      def in_force = @memory["in_force"] && @memory["slots"][@memory["in_force"]]
      def spare_index = @memory["in_force"]&.zero? ? 1 : 0
      def spare = @memory["slots"][spare_index]

      # The digest of a slot that holds what it says it does; else nil.
      def whole(slot)
        return unless slot && slot["parts"].size == slot["of"]

        slot["digest"] if Handover.digest(document(slot)) == slot["digest"]
      end

      def document(slot) = Handover::Parts.whole(texts(slot))

      def texts(slot) = Array.new(slot["of"]) { |index| slot["parts"][index.to_s] }

      def with(change)
        slots = @memory["slots"].dup
        change.each { |key, slot| slots[key] = slot if key.is_a?(Integer) }
        self.class.new(@memory.merge(change.reject { |key, _| key.is_a?(Integer) }).merge("slots" => slots))
      end
    end
  end
end
