# frozen_string_literal: true

module Kippen
  module Server
    module Jobs
      # Puts something on a device, or empties it. Those of a host that were asked for together are written all; whoever is
      # written last switches them, one after the other.
      class PutOnDevice < LongJob
        class << self
          # A stand-in takes so many seconds for a part: one sees how far it is.
          attr_accessor :pace

          def work = Store::Handovers.new(Jobs.database).work
          def line(id, before:) = put_in_line(id, short: true, before:)
        end
        self.pace = 0.15

        private

        def finish_it
          ending(@row) { write }
          switch_together
        end

        # Given up before its turn came: those that are written wait for it no longer.
        def over(id)
          @row = handovers.work.find(id)
          switch_together
        rescue Store::Missing
          nil
        end

        def switch_together
          rows = together
          rows.each { |row| switch(row) } if rows.all? { |row| row[:written] }
          # What a desk counts is another.
          Store::News.tell(Jobs.database, @row[:client_id], "handed")
        end

        # What goes wrong ends it, and what it had stays whole on the device.
        def ending(row)
          yield
        rescue Standins::OutOfReach
          handovers.away(row)
        rescue Store::LongWork::Stopped
          @work.finish(row, "given_up")
        rescue Handover::Transfer::Differs, Handover::Transfer::Garbled, Standins::Refused => e
          @work.finish(row, "failed", error: e.message)
        rescue Sequel::Error
          raise
        rescue StandardError => e
          Problem.log(e)
          @work.finish(row, "failed", error: Words.say(:not_worked_out))
        end

        def handovers = Store::Handovers.new(Jobs.database, line: PutOnDevice.method(:line))
        def together = Jobs.database.transaction { handovers.together(@row) }

        def transfer(row)
          port = Store::Carriers.new(Jobs.database).port(row[:carrier_id])
          Handover::Transfer.new(port, row[:document]&.to_hash, number: row[:number], seen: row[:was])
        end

        def write
          unless @row[:what] == "empty"
            transfer(@row).write do |done, of, part|
              handovers.part(@row, part)
              @work.progress(@row, done, of)
              sleep PutOnDevice.pace
            end
          end
          handovers.written(@row)
        end

        # In one transaction with its ending: nobody takes back meanwhile what is being switched.
        def switch(row)
          ending(row) do
            Jobs.database.transaction do
              held = handovers.held(row) or next
              raise Store::LongWork::Stopped if held[:give_up]

              held[:what] == "empty" ? transfer(held).empty : transfer(held).switch
              @work.finish(held, "done")
            end
          end
        end
      end
    end
  end
end
