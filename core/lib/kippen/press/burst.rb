# frozen_string_literal: true

module Kippen
  module Press
    # Presses on one button that are decided together. The mode, the place and the
    # assignments are taken when its first press is known and stay.
    #
    # state:
    #   :through – the built-in has started; it ends with the release
    #   :spent   – all is said already; the burst is over at the release
    #   :first   – first press down, may still become long
    #   :counting – a press down that counts, and can't become long
    #   :between – let go, a further press is waited for
    #   :full    – the press down reached the top count, which has happened, or will when the hold ends
    #   :after   – let go after the top count; further presses are swallowed
    #   :beyond  – a press down beyond the top count
    #   :holding – became long; lasts until the release
    class Burst
      attr_reader :choice, :mode, :origin, :began_us, :spot, :unhurried
      attr_accessor :state, :count, :last_start_us, :last_release_us, :closed, :repeat_us, :repeats, :told

      # origin – the Hold or :latch that the mode came from, nil otherwise
      # closed – no further press is waited for
      # spot   – where pointer or focus was when it began
      # unhurried – it is counted for as long as the hold that its mode came from is on, and decided then
      def initialize(choice, mode, origin, began_us, closed, spot, unhurried: self.class.unhurried?(choice, origin, closed))
        @unhurried = unhurried
        @spot = spot
        @choice = choice
        @mode = mode
        @origin = origin
        @began_us = began_us
        @closed = closed
        @count = 1
        @last_start_us = began_us
        @repeats = 0
        @told = false
      end

      def self.unhurried?(choice, origin, closed) = (choice.unhurried? && origin && origin != :latch && !closed) || false

      # Up to when a further press joins, exclusive: not beyond now where nothing more is waited for; nil where no
      # time ends it.
      def joins_before(contact)
        return 0 if @closed
        return if @unhurried

        (contact.gap_from_release ? @last_release_us : @last_start_us) + contact.tap_gap
      end

      # The timer that runs on while a contact is in a gap, or nil.
      def timer_in_gap(contact)
        case @state
        when :holding then @repeat_us
        when :between, :after then joins_before(contact)
        end
      end
    end
  end
end
