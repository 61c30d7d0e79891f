# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What was saved, in order; undo and redo, which save an earlier state anew. Nothing is
      # ever taken away: an undo is a revision like any other, so it holds through reload.
      class History
        PAGE = 50
        SHOWN = [*Revisions::ABOUT, :how, :state_of, :took_back].freeze

        def initialize(database, client)
          @database = database
          @client = Store.uuid(client, "client")
          @revisions = Revisions.new(database)
        end

        # Newest first; before – only older ones
        def page(before: nil)
          rows = all.reverse(:number).limit(PAGE)
          rows = rows.where { number < before } if before
          rows.select(*SHOWN).all
        end

        # Of the newest, what each changed: [[row, [sentence…]]…]. Tells as many as the deadline lets.
        def changed(deadline)
          told = []
          page.each do |row|
            deadline.check
            told << [row, row[:parent] ? changes(row) : []]
          end
          told
        rescue Deadline::Passed
          told
        end

        # The revision that an undo would take back, and the one a redo would bring again; each nil where there is none.
        def steps
          head = newest
          at = position(head)
          [row(at)[:parent] && at, redo_target(head)]
        end

        # The state before the last change, to be saved anew. number – the revision that shall be taken
        # back. Raises Conflict where that is not the last one any more.
        def undo(number)
          at, = steps
          conflict unless at && at == number

          state(position(row(row(at)[:parent])), note: Words.say(:note_taken_back, number: at), how: "undo", took_back: at)
        end

        # What the last undo took back, to be saved anew. Raises Conflict.
        def redo(number)
          _, target = steps
          conflict unless target && target == number

          state(target, note: Words.say(:note_again, number: target), how: "redo")
        end

        # An old revision, to be brought back as a new one that can be undone itself. Raises Missing.
        def restore(number)
          Save::Made.new(fitting: become(number), note: Words.say(:note_brought_back, number:), about: { how: "restore" })
        end

        # The Fitting as it was in a revision. Raises Missing.
        def fitting(number) = @revisions.at(@client, number)

        private

        def all = @database[:revisions].where(client_id: @client)
        def newest = all.reverse(:number).select(*SHOWN).first || raise(Missing, Words.say(:no_client, id: @client))
        def row(number) = all.select(*SHOWN).first(number:) || raise(Missing, Words.say(:no_revision, number:))

        # A revision never changes, nor does what it changed.
        def changes(row)
          after = fitting(row[:number])
          after.recall([:changed_since, row[:parent]]) do
            Changes::Differences.new(fitting(row[:parent]), after, KNOWLEDGE.of(after)).words.freeze
          end
        end

        # Which revision's state a revision is: its own, but for undo and redo.
        def position(row) = row[:state_of] || row[:number]

        # Of the latest undo that led to where we are now. After a change of any other kind there is none,
        # and no way leads back to an undo from before it.
        def redo_target(head)
          return unless head[:state_of]

          all.where(how: "undo", state_of: head[:state_of]).reverse(:number).get(:took_back)
        end

        def state(number, note:, **about) = Save::Made.new(fitting: become(number), note:, about: { state_of: number, **about })

        # Only validated: it brings back what was.
        def become(number)
          change = Changes::Become.new(document: @revisions.document(@client, number))
          Changes.make(@revisions.head(@client).fitting, change, knowledge: KNOWLEDGE, by: nil, at: nil).fitting
        end

        def conflict = raise(Conflict, newest.slice(*Revisions::ABOUT))
      end
    end
  end
end
