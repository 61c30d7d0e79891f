# frozen_string_literal: true

module Kippen
  module Press
    # The whole account of one burst or ignored contact as plain values: what was heard, what
    # the click filter made of it, what was looked at and why it came out as it did. The
    # sentences on the bench are made from it (Telling); `bin/kippen explain` prints it.
    module Account
      # Takes a Fitting and a Stories::Story; returns a Hash of JSON values.
      def self.of(fitting, story)
        timing = fitting.timing(story.button)
        account = { "button" => story.button.ref, "began_us" => story.began_us, "over" => story.over,
                    "touches" => story.touches.map { |touch| touch(touch, timing) } }
        account["burst"] = burst(story) if story.choice
        account.merge("outcomes" => story.rows.map { |row| outcome(fitting, story, row, timing) })
      end

      def self.touch(touch, timing)
        account = { "began_us" => touch.began_us, "ended_us" => touch.ended_us, "gaps" => touch.gaps, "verdict" => touch.verdict,
                    "guards" => [bounce(touch, timing), brush(touch)].compact }
        account["known_us"] = touch.known_us if touch.known_us
        account
      end

      def self.bounce(touch, timing)
        return unless touch.bounce

        since, needed = touch.bounce
        { "guard" => "bounce", "from" => timing.bounce_guard_from, "since_us" => since, "needed_us" => needed,
          "passed" => since >= needed }
      end

      def self.brush(touch)
        return unless touch.brush_us&.positive? && touch.verdict != "bounce"

        lasted = touch.ended_us && (touch.ended_us - touch.began_us)
        # nil while the guard still runs
        passed = touch.verdict == "pending" ? nil : touch.verdict != "brush"
        { "guard" => "brush", "lasted_us" => lasted, "needed_us" => touch.brush_us, "passed" => passed }
      end

      def self.burst(story)
        { "mode" => story.mode, "mode_from" => story.origin, "where" => story.spot.where, "places" => story.spot.places,
          "kind" => story.choice.kind.to_s, "top" => story.choice.top, "long" => story.choice.long&.gesture }
      end

      def self.outcome(fitting, story, row, timing)
        account = { "row" => row.outcome.to_h, "why" => row.why.to_s }
        return account if row.outcome.phase == "ignored"

        wait = WaitParts.new(story, row, timing)
        account["wait_us"] = wait.total_us
        account["wait_parts"] = wait.parts
        return account if row.outcome.gesture == "builtin"

        found = Candidates.new(fitting, story.mode, story.spot).of(story.button, row.outcome.gesture)
        account.merge("candidates" => found.map { |candidate| candidate(candidate) })
      end

      def self.candidate(candidate)
        assignment = candidate.assignment
        { "assignment" => assignment.index, "gesture" => assignment.gesture, "place" => assignment.place,
          "mode" => assignment.mode,
          "result" => candidate.result }
      end
      private_class_method :touch, :bounce, :brush, :burst, :outcome, :candidate
    end
  end
end
