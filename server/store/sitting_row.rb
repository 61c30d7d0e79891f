# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What stands in a row of a sitting, whoever wrote it.
      module SittingRow
        WHYS = %w[mixed interval boundary].freeze

        # A row with what nobody can read in it left out.
        def self.readable(row)
          return unless row

          plain = %i[offered prompt trace asked].to_h { |name| [name, JSON.parse(JSON.generate(row[name]))] }
          row.merge(offered: offered(plain[:offered]), prompt: prompt(plain[:prompt]), asked: texts(plain[:asked]),
                    trace: trace(plain[:trace]),
                    way: Sittings::WAYS.include?(row[:way]) ? row[:way] : "prompts",
                    whose: row[:whose] == "specialist" ? "specialist" : "client")
        end

        def self.texts(list) = list.is_a?(Array) ? list.grep(String) : []

        # Gestures or clicks, and something at least.
        def self.offered(list)
          sorts = [Tuning::GESTURES, Tuning::PASS_THROUGH].map { |sort| sort & texts(list) }
          sorts.find(&:any?) || %w[tap]
        end

        def self.prompt(prompt)
          return unless prompt.is_a?(Hash) && prompt["number"].is_a?(Integer) && Tuning::PRESSES.key?(prompt["intended"])

          prompt.merge("why" => WHYS.include?(prompt["why"]) ? prompt["why"] : "mixed")
        end

        def self.trace(trace)
          Formats::TrialsJson::EVENTS.keys.any? { |kind| Formats::TrialsJson.trace?(trace, kind) } ? trace : []
        end
        private_class_method :texts, :offered, :prompt, :trace
      end
    end
  end
end
