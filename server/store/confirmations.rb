# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # A change to the button one confirms with is confirmed by a press of the one that has the
      # job afterwards, or it is taken back by itself. Whoever next looks at the fitting after the
      # time is over finds it taken back, whether or not any page is still open.
      class Confirmations
        USUAL_S = 30
        AUTHOR = "Kippen"
        # The time as it is, not as the transaction began: what waited for the lock may come too late.
        NOW = Sequel.function(:clock_timestamp)
        NOTE_CHARACTERS = 500

        # revisions – what is taken back, oldest first; revision – the newest of them, page – which made it
        # lost, now – refs of buttons
        Pending = Struct.new(:client_id, :revision, :revisions, :lost, :now, :until, :page, keyword_init: true) do
          def left_ms(time = Time.now) = [((self.until - time) * 1000).ceil, 0].max
        end

        def initialize(database)
          @database = database
          @revisions = Revisions.new(database)
        end

        # The Pending of a client, or nil.
        def pending(client)
          row(client).first&.then do |row|
            Pending.new(**row, page: @database[:revisions].where(client_id: client, number: row[:revision]).get(:page))
          end
        end

        # A change is being saved: is there anything to confirm, still or anew? Part of Save.
        # head – the Revisions::Head it was made on; saved – number of the new revision; fitting – its Fitting
        def watch(client, head, saved, fitting)
          known = pending(client)
          lost, now = moved((known && before(client, known)) || head.fitting, fitting)
          return if known && [known.lost, known.now] == [lost, now]

          row(client).delete
          return if lost.empty?

          seconds = fitting.document.fetch("confirm_s", USUAL_S)
          @database[:confirmations].insert(client_id: client, revision: saved,
                                           revisions: Sequel.pg_array([*known&.revisions, saved], :integer),
                                           lost: Sequel.pg_array(lost, :text), now: Sequel.pg_array(now, :text),
                                           until: NOW + Sequel.lit("interval '#{Integer(seconds)} seconds'"))
        end

        # Buttons did the main job. Returns the Pending that one of them confirmed in time, or nil.
        def confirm(client, refs)
          return if refs.empty? || row(client).empty?

          Store.transaction(@database) do
            Save.lock(@database, client)
            waiting = row(client).where { self.until > NOW }.first&.then { |found| Pending.new(**found) }
            next unless waiting&.now&.intersect?(refs)

            row(client).delete
            News.tell(@database, client, "confirmation")
            waiting
          end
        end

        # More time for what is waiting. Returns the Pending, or nil where there is none (any more).
        def more_time(client, seconds)
          Store.transaction(@database) do
            Save.lock(@database, client)
            row(client).where { self.until > NOW }.update(until: NOW + Sequel.lit("interval '#{Integer(seconds)} seconds'"))
            pending(client)
          end
        end

        # Takes back what was not confirmed in time, or at once where it is asked for. What others
        # changed since then stays. Returns the new revision, or nil where nothing was to be taken back.
        def settle(client, asked: false, author: AUTHOR, account: nil)
          return unless due(client, asked).any?

          Store.transaction(@database) do
            Save.lock(@database, client)
            waiting = due(client, asked).first&.then { |found| Pending.new(**found) } or next
            row(client).delete
            pairs = pairs(client, waiting)
            next if pairs.empty?

            Save.new(@database).on(client, author:, account:, what: Words.say(:did_take_back)) do |head|
              taken_back(head, waiting, pairs, author)
            end
          end
        end

        private

        def row(client) = @database[:confirmations].where(client_id: Store.uuid(client, "client"))

        def due(client, asked) = asked ? row(client) : row(client).where { self.until <= NOW }

        # The Fitting before all that is to be confirmed, or nil where it can't be read.
        def before(client, pending) = pairs(client, pending).first&.first

        # [[Fitting before, after]…] of what is to be confirmed, as far as it can be read.
        def pairs(client, pending)
          pending.revisions.filter_map do |number|
            [number - 1, number].map { |one| @revisions.at(client, one) }
          rescue Missing, Invalid
            nil
          end
        end

        # Refs that lost the job between two fittings, and those that have it where one did.
        def moved(before, after)
          moved = Reach::MainJob.new(KNOWLEDGE).moved(before, after).reject { |one| one.now.empty? }
          %i[lost now].map { |which| moved.flat_map { |one| one[which].map(&:ref) } }
        end

        def taken_back(head, pending, pairs, author)
          change = Changes::TakeBack.new(revisions: pairs)
          result = Changes.make(head.fitting, change, knowledge: KNOWLEDGE, by: author, at: nil)
          which = { count: pending.revisions.size, numbers: pending.revisions.join(", ") }
          note = [Words.say(author == AUTHOR ? :note_not_confirmed : :note_taken_back_all, **which), *result.left_out].join(" ")
          Save::Made.new(fitting: result.fitting, note: note.slice(0, NOTE_CHARACTERS).delete_suffix("."), watch: false)
        end
      end
    end
  end
end
