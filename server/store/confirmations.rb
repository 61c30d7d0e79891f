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

        # before – the revision whose state comes back; lost, now – refs of buttons
        Pending = Struct.new(:client_id, :revision, :before, :lost, :now, :until, keyword_init: true) do
          def left_ms(time = Time.now) = [((self.until - time) * 1000).ceil, 0].max
        end

        def initialize(database)
          @database = database
          @revisions = Revisions.new(database)
        end

        # The Pending of a client, or nil.
        def pending(client) = row(client).first&.then { |row| Pending.new(**row) }

        # After a change was saved: is there anything to confirm, still or anew?
        # before – number of the revision it was made on; saved – number of the new one
        def watch(client, before:, saved:)
          known = pending(client)
          before = known.before if known
          lost, now = moved(client, before, saved)
          return if known && [known.lost, known.now] == [lost, now]

          row(client).delete
          return if lost.empty?

          seconds = @revisions.at(client, saved).document.fetch("confirm_s", USUAL_S)
          @database[:confirmations].insert(client_id: client, revision: saved, before:, lost: Sequel.pg_array(lost, :text),
                                           now: Sequel.pg_array(now, :text), until: Time.now + seconds)
        end

        # Buttons were pressed. Returns the Pending that one of them confirmed, or nil.
        def heard(client, refs)
          return if refs.empty?

          waiting = pending(client)
          return unless waiting&.now&.intersect?(refs)

          gone = row(client).where(revision: waiting.revision).delete
          News.tell(@database, client, "revision", number: waiting.revision)
          gone.zero? ? nil : waiting
        end

        # Takes back what was not confirmed in time, or at once where it is asked for. What others
        # changed since then stays. Returns the number of the new revision, or nil.
        def settle(client, now: Time.now, asked: false, author: AUTHOR)
          return unless row(client).get(:until)

          @database.transaction(savepoint: true) do
            found = row(client).for_update.first or next
            next unless asked || found[:until] <= now

            row(client).delete
            take_back(client, Pending.new(**found), author)
          end
        rescue Conflict
          # Somebody saved at the same moment: whoever asks next settles it on top of that.
          nil
        end

        private

        def row(client) = @database[:confirmations].where(client_id: Store.uuid(client, "client"))

        # Refs that lost the job between two revisions, and those that have it where one did.
        def moved(client, before, saved)
          moved = MainJob.new(KINDS).moved(@revisions.at(client, before), @revisions.at(client, saved)).reject { |one| one.now.empty? }
          %i[lost now].map { |which| moved.flat_map { |one| one[which].map(&:ref) } }
        end

        def take_back(client, pending, author)
          newest = @revisions.newest(client)
          changed = Fitting::Edit.as_before(Fitting.read(newest[:document].to_hash), @revisions.at(client, pending.before), pending.lost + pending.now)
          note = author == AUTHOR ? "Revision #{pending.revision} taken back: nobody confirmed it" : "Revision #{pending.revision} taken back"
          @revisions.add(client, newest[:number], changed, author:, note:)[:number]
        end
      end
    end
  end
end
