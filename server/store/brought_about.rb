# frozen_string_literal: true

module Kippen
  module Server
    module Store
      # What a stream's presses brought about before they are decided anew: it is not brought about again.
      class BroughtAbout
        # stream_id – of the stream; keys – of the tiles that go, see Benches.key; stories – those that were open, as the bench
        # kept them; upto_us – how far the stream was told
        def initialize(stream_id, keys, stories, upto_us)
          @stream_id = stream_id
          @keys = keys.to_set
          @open = stories.select { |story| story["button"] }.to_h { |story| [key_of(story), story] }
          @upto_us = upto_us
        end

        # Takes a Press::Outcome. A press comes to one thing, however it is decided; a hold goes on repeating.
        def outcome?(outcome)
          key = press_key(outcome)
          return true if @keys.include?(key)

          story = @open[key] or return false
          return outcome.at_us <= @upto_us if outcome.phase == "repeat"

          story["rows"].any? { |row| row["phase"] == outcome.phase }
        end

        # Takes a Press::Stories::Press.
        def press?(press)
          key = press_key(press)
          @keys.include?(key) || (@open.key?(key) && @open[key]["touches"].any? { |touch| touch["known_us"] == press.at_us })
        end

        private

        def press_key(one) = Benches.press_key(@stream_id, one.button, one.began_us)
        def key_of(story) = Benches.press_key(@stream_id, story["button"], story["touches"].first["began_us"])
      end
    end
  end
end
