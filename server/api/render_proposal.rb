# frozen_string_literal: true

module Kippen
  module Server
    # A proposal as the JSON of the contract. It is told on the fitting as it is now: what is there no more is left out.
    class RenderProposal
      # row – of the proposal; fitting – as it is
      def initialize(fitting, row)
        @fitting = fitting
        @row = row
        @catalogue = CATALOGUE.of(fitting)
      end

      def to_h
        result = Store::Proposals.readable?(@row) ? told(@row[:result].to_hash) : nil
        shut = { "buttons" => [], "gestures" => [] }.merge(@row[:shut])
        { "id" => @row[:id], "revision" => @row[:revision], "state" => @row[:state], "done" => @row[:done], "of" => @row[:of],
          "error" => @row[:error], "by" => @row[:author], "at" => Times.iso(@row[:created_at]),
          "pinned" => @row[:pinned].grep(String), "shut" => shut, "result" => result }
      end

      private

      def told(result)
        @rows = result.fetch("rows", {})
        base = { "status" => result["status"], "gap" => result["gap"], "steps" => steps(result), "here" => here(result),
                 "rests_on" => rests_on(result), "all_asked" => result.fetch("all_asked", true) }
        base.merge("rules" => result.fetch("rules", []).map { |one| "#{wants(one["want"])}: #{spot(one)}" })
      end

      # Each against the day as it is: how much less it takes.
      def steps(result)
        steps = result.fetch("steps", [])
        steps.map { |step| { "saves_s" => (steps.first["cost_s_a_day"] - step["cost_s_a_day"]).round(1), **step(step) } }
      end

      def step(step)
        put, off = step.values_at("put", "off").map { |list| list.select { |one| there?(one) } }
        { "changes" => step["changes"], "cost_s" => step["cost_s_a_day"], "seconds" => step["seconds"], "wrong" => step["wrong"],
          "missing" => step["missing"].map { |id| wants(id) }, "put" => put.map { |one| put(one) },
          "gives_way" => off.map { |one| { "words" => Words.say(:proposal_off, spot: spot(one)), "change" => one } } }
      end

      def there?(one) = !@fitting.button(one["button"]).nil?

      def put(one)
        { "want" => one["want"], "way" => one["way"], "change" => one["change"],
          "words" => Words.say(:proposal_put, what: wants(one["want"]), spot: spot(one)) }
      end

      # What a row of the table is, in words.
      def wants(id)
        found = @rows.fetch(id, [id]).filter_map { |one| @fitting.wants.find { |want| want.id == one }&.what }
        found.empty? ? id : found.map { |what| "“#{what}”" }.join(", ")
      end

      def spot(one)
        button = @fitting.button(one["button"]) or return one["button"]
        Words.say(:way_on, gesture: Words.gesture(one["gesture"]), button: Words.button(@fitting.device(button.device), button))
      end

      def here(result)
        result.fetch("here", []).select { |one| there?(one) }.map do |one|
          { "want" => one["want"], "what" => wants(one["want"]), "here" => spot(one), "more_s" => one["more_s"],
            "instead" => one["instead"] && spot(one["instead"]) }
        end
      end

      def rests_on(result)
        result.fetch("rests_on", []).select { |one| there?(one) }.map do |one|
          { "button" => one["button"], "gesture" => one["gesture"], "at" => one["at"],
            "what" => Words.say(:"proposal_rests_#{one["at"]}", spot: spot(one), wants: one["flips"].map do |id|
              wants(id)
            end.join(", ")) }
        end
      end
    end
  end
end
