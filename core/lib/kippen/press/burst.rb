# frozen_string_literal: true

module Kippen
  module Press
    # Presses on one button that are decided together. The mode, the place and the
    # assignments are taken when its first press is known and stay. What its state is and
    # what happens in it: BurstTable.
    class Burst
      attr_reader :contact, :choice, :mode, :origin, :began_us, :spot, :unhurried
      attr_accessor :state, :count, :last_start_us, :last_release_us, :closed, :repeat_us, :repeats, :tap_done

      # contact – on which it began, at its began_us
      # taken   – HostState::Taken: its mode and where that came from
      # choice, spot – what the button can do, and where pointer or focus was
      # unhurried – it is counted for as long as the hold that its mode came from is on, and decided then
      def initialize(contact, taken, choice, spot)
        @contact = contact
        @spot = spot
        @choice = choice
        @mode = taken.mode
        @origin = taken.origin
        @closed = taken.closed
        @unhurried = (choice.unhurried? && taken.held? && !@closed) || false
        @began_us = @last_start_us = contact.began_us
        @count = 1
        @repeats = 0
        @tap_done = false
      end

      # The Hold that its mode came from, or nil.
      def hold = (@origin unless @origin == :latch)

      # Up to when a further press joins, exclusive: not beyond now where nothing more is waited for; nil where no
      # time ends it.
      def joins_before
        return 0 if @closed
        return if @unhurried

        (@contact.gap_from_release ? @last_release_us : @last_start_us) + @contact.tap_gap
      end

      # The timer that runs on while a contact is in a gap, or nil.
      def timer_in_gap
        case @state
        when :holding then @repeat_us
        when :between, :after then joins_before
        end
      end

      SAVED = %i[mode began_us closed unhurried state count last_start_us last_release_us repeat_us repeats tap_done].freeze

      # What it has come to, as plain JSON values.
      def save
        SAVED.to_h do |name|
          value = instance_variable_get("@#{name}")
          [name.to_s, name == :state ? value.to_s : value]
        end
      end

      # Takes up what #save gave.
      def resume(saved)
        SAVED.each { |name| instance_variable_set("@#{name}", saved[name.to_s]) }
        @state = @state.to_sym
        self
      end
    end
  end
end
