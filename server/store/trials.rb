# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # Trials of a client, as they were taken.
      class Trials
        def initialize(database) = @database = database

        # Rows of some sittings, in the order in which they were taken.
        def of(sittings)
          @database[:trials].where(sitting_id: sittings).order(:at, :sitting_id, :number).map { |row| Trials.readable(row) }
        end

        # What nobody can read of one is left out, and then it doesn't count.
        def self.readable(row)
          trace = JSON.parse(JSON.generate(row[:trace]))
          right = Formats::TrialsJson::EVENTS.keys.any? { |kind| Formats::TrialsJson.trace?(trace, kind) }
          known = Tuning::PRESSES.key?(row[:intended])
          row.merge(trace: right ? trace : [], intended: known ? row[:intended] : "rest",
                    counted: row[:counted] && right && known)
        end

        # { sitting id => { intended => how many are counted } }
        def counts(sittings)
          rows = @database[:trials].where(sitting_id: sittings, counted: true, intended: Tuning::PRESSES.keys)
          rows.group_and_count(:sitting_id, :intended).all.group_by { |row| row[:sitting_id] }
            .transform_values { |list| list.to_h { |row| row.values_at(:intended, :count) } }
        end

        # { sitting id => what is another once any of its trials counts otherwise or was meant otherwise }
        def stamps(sittings)
          said = Sequel.function(:concat, :id, :counted, :intended)
          whole = Sequel.function(:md5, Sequel.function(:string_agg, said, ",").order(:id))
          @database[:trials].where(sitting_id: sittings).group(:sitting_id).select_hash(:sitting_id, whole.as(:stamp))
        end

        # What somebody says of one: does it count, what was meant, a note. asked – as in the contract
        def change(id, asked)
          row = @database[:trials].where(id:)
          case asked["do"]
          when "count" then row.update(counted: true)
          when "discount" then row.update(counted: false)
          when "meant" then row.update(intended: asked["intended"])
          when "note" then row.update(note: asked.fetch("note", ""))
          end
        end

        # A press of the bench that was kept already is meant as is said now. Returns its sitting's id; nil where it was not kept,
        # or is gone from where it was: gestures and clicks are kept apart.
        def meant_anew(of_stream:, from_us:, button:, intended:)
          Store.transaction(@database) do
            row = @database[:trials].where(of_stream:, from_us:, button:).for_update.first or next
            sitting = @database[:sittings].where(id: row[:sitting_id])
            offered = sitting.get(:offered).to_a
            next take_away(row, sitting) unless Tuning::STILL.include?(intended) || same_sort?(offered, intended)

            @database[:trials].where(id: row[:id]).update(intended:, counted: true)
            sitting.update(offered: Sequel.pg_jsonb(offered | [intended])) unless Tuning::STILL.include?(intended)
            News.tell(@database, sitting.get(:client_id), "sitting")
            row[:sitting_id]
          end
        end

        # Those of some rows that a button of a kind can have given to what was offered, as trials/1 has them.
        def self.items(rows, kind, offered)
          asked = [*offered, *Tuning::STILL]
          rows.select { |row| asked.include?(row[:intended]) && Formats::TrialsJson.trace?(row[:trace].to_a, kind) }.map do |row|
            item(row)
          end
        end

        # A trial as trials/1 has it.
        def self.item(row)
          { "id" => row[:id], "intended" => row[:intended], "trace" => row[:trace].to_a, "weight" => row[:weight].then do |weight|
            weight == weight.to_i ? weight.to_i : weight
          end,
            "counted" => row[:counted], "at" => Times.iso(row[:at]), "button" => row[:button],
            "worked_with" => row[:worked_with], "note" => row[:note],
            "heard_by" => row[:heard_by] }.compact.reject { |_, value| value == "" }
        end

        private

        def same_sort?(offered, intended) = offered.intersect?(Tuning::PASS_THROUGH) == Tuning::PASS_THROUGH.include?(intended)

        def take_away(row, sitting)
          @database[:trials].where(id: row[:id]).delete
          News.tell(@database, sitting.get(:client_id), "sitting")
          nil
        end
      end
    end
  end
end
