# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What was saved, in order; undo and redo, which save an earlier state anew. Nothing is
      # ever taken away: an undo is a revision like any other, so it holds through reload.
      class History
        PAGE = 50
        SHOWN = [*Revisions::ABOUT, :how, :state_of, :took_back].freeze

        # Nothing to take back, or to do again.
        class Nothing < Kippen::Error; end

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

        # The revision that an undo would take back, and the one a redo would bring again; each nil where there is none.
        def steps
          head = row(@revisions.newest(@client)[:number])
          at = position(head)
          [row(at)[:parent] && at, redo_target(head)]
        end

        # Saves the state before the last change anew; returns the new revision. Raises Nothing, Conflict.
        def undo(parent, author:)
          at, = steps
          raise Nothing, "there is nothing to take back" unless at

          save(parent, position(row(row(at)[:parent])), author, how: "undo", took_back: at)
        end

        # Saves anew what the last undo took back. Raises Nothing, Conflict.
        def redo(parent, author:)
          _, target = steps
          raise Nothing, "there is nothing to do again" unless target

          save(parent, target, author, how: "redo")
        end

        # Brings an old revision back, as a new one that can be undone itself.
        def restore(parent, number, author:)
          @revisions.add(@client, parent, fitting(number), author:, note: "Revision #{number} brought back", how: "restore")
        end

        # The Fitting as it was in a revision. Raises Missing.
        def fitting(number) = @revisions.at(@client, number)

        private

        def all = @database[:revisions].where(client_id: @client)

        def row(number) = all.select(*SHOWN).first(number:) || raise(Missing, "no revision #{number}")

        # Which revision's state a revision is: its own, but for undo and redo.
        def position(row) = row[:state_of] || row[:number]

        # Since the last change of its own kind: the latest undo that led to where we are now.
        def redo_target(head)
          return unless head[:state_of]

          last_change = all.exclude(how: %w[undo redo]).where { number < head[:number] }.max(:number)
          undone = all.where(how: "undo", state_of: head[:state_of]).where { number > last_change }
          undone.reverse(:number).get(:took_back)
        end

        def save(parent, state_of, author, how:, took_back: nil)
          note = how == "undo" ? "Revision #{took_back} taken back" : "Revision #{state_of} again"
          @revisions.add(@client, parent, fitting(state_of), author:, note:, how:, state_of:, took_back:)
        end
      end
    end
  end
end
