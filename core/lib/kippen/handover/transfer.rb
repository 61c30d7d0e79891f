# frozen_string_literal: true

module Kippen
  module Handover
    # Puts something on a device so that it is there whole or not at all: the spare slot is written in parts and read back, then
    # one step puts it in force. Whatever breaks off before, the old goes on; where the answer to that step is lost, the device
    # is asked what it has.
    class Transfer
      # The device has something else on it than was seen when this was asked for. now – its digest, or nil
      class Differs < Error
        attr_reader :now

        def initialize(now)
          @now = now
          super(Words.say(:device_differs))
        end
      end

      # What was read back isn't what was sent.
      class Garbled < Error; end

      # device – answers #state, #write, #read_back and #switch, see Standins::Carrier; each may raise Standins::OutOfReach
      # number – of this hand-over, higher than all before; seen – the digest of what was on it when it was asked for, or nil
      # document – what shall be on it, see Carried; nil – nothing
      def initialize(device, document, number:, seen:)
        @device = device
        @document = document
        @digest = Handover.digest(document)
        @number = number
        @seen = seen
      end

      # Writes all parts; yields [done, of, name of the part]. What it holds whole already, in force or not, is not written again.
      # Raises Differs, Garbled, Standins::OutOfReach and Refused.
      def write
        return if there?

        parts = Parts.of(@document)
        parts.each_with_index do |part, index|
          yield index, parts.size, part.name
          @device.write(number: @number, digest: @digest, index:, of: parts.size, text: part.text)
        end
        yield parts.size, parts.size, parts.last.name
        raise Garbled, Words.say(:device_garbled) unless Handover.digest(read_back) == @digest
      end

      # Puts in force what was written. Raises Standins::OutOfReach and Refused.
      def switch
        @device.switch(digest: @digest, now: @seen)
      rescue Standins::OutOfReach
        raise unless answered? { @device.state["digest"] == @digest }
      end

      # Nothing in force, in one step; then what it held is emptied.
      def empty = @device.empty(number: @number, now: @seen)

      private

      def there?
        state = @device.state
        return true if state["digest"] == @digest

        raise Differs, state["digest"] unless state["digest"] == @seen

        state["spare"] == @digest
      end

      def read_back = Parts.whole(@device.read_back(number: @number))

      def answered?
        yield
      rescue Standins::OutOfReach
        false
      end
    end
  end
end
