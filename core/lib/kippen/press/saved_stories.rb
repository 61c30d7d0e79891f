# frozen_string_literal: true

module Kippen
  module Press
    # Stories that are not over, as plain JSON values and back.
    module SavedStories
      TOUCH = %i[began_us ended_us gaps verdict known_us bounce brush_us].freeze
      OUTCOME = %i[at_us button gesture phase began_us mode place action].freeze

      module_function

      # Takes a Stories::Story; returns a Hash.
      def save(story)
        { "touches" => story.touches.map { |touch| save_touch(touch) }, "rows" => story.rows.map { |row| save_row(row) },
          "mode" => story.mode,
          "origin" => story.origin, "where" => story.spot&.where, "repeats" => story.repeats }
      end

      # The Stories::Story again, of a Fitting::Button of the same fitting.
      def read(saved, button, resolver)
        spot = saved["where"] && resolver.spot(saved["where"])
        Stories::Story.new(button:, touches: saved.fetch("touches").map { |touch| read_touch(touch) },
                           rows: saved.fetch("rows").map { |row| read_row(row) },
                           mode: saved["mode"], origin: saved["origin"], spot:, choice: spot &&
                             resolver.choice(button, saved["mode"], spot),
                           over: false, repeats: saved.fetch("repeats"))
      end

      def save_touch(touch) = TOUCH.to_h { |name| [name.to_s, touch[name]] }
      def read_touch(saved) = Stories::Touch.new(**TOUCH.to_h { |name| [name, saved[name.to_s]] })

      def save_row(row)
        outcome = row.outcome
        ignored = outcome.phase == "ignored" ? { "reason" => outcome.reason, "ended_us" => outcome.ended_us } : {}
        OUTCOME.to_h { |name| [name.to_s, outcome.public_send(name)] }.merge("why" => row.why.to_s, **ignored)
      end

      def read_row(saved)
        Stories::Row.new(saved["phase"] == "ignored" ? read_ignored(saved) : read_outcome(saved), saved["why"].to_sym)
      end

      def read_ignored(saved)
        Outcome::Ignored.new(*saved.values_at("at_us", "button", "reason")).lasting(*saved.values_at("began_us", "ended_us"))
      end

      def read_outcome(saved)
        Outcome.new(*saved.values_at("at_us", "button", "began_us", "mode"))
          .coming_to(*saved.values_at("gesture", "phase"), Outcome::From.new(*saved.values_at("place", "action")))
      end
    end
  end
end
