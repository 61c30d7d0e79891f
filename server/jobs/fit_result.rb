# frozen_string_literal: true

module Kippen
  module Server
    # What a fit comes to, as it is kept: the command's answer, the whole of it by how often each gesture is used, and
    # what more of which would tell.
    module FitResult
      module_function

      # row – of a fit; progress – a Progress. Returns a Hash of JSON.
      def of(row, progress)
        file = row[:file].to_hash
        series = Formats::TrialsJson.read(JSON.generate(file))
        beside = Formats::TrialsJson.read(JSON.generate(file.merge("trials" => file.fetch("beside", [])))).trials
        answer = Tuning::Answer.new(series, beside:, price: row[:price], fixed: row[:fixed].to_hash, progress:)
        told = answer.to_h
        prompts = Tuning::Prompts.new(series, told["timing"], 0)
        told["expected"].merge!(Tuning::Judged.whole(told["expected"]["by_gesture"], row[:file]["uses"]))
        told.merge("kippen" => Store::Fits::FORMAT,
                   "more" => prompts.worth&.then { |gesture, count| { "gesture" => gesture, "count" => count } })
      end
    end
  end
end
