# frozen_string_literal: true

module Kippen
  module Server
    module Paper
      # Words in a script from the right, in the order in which they are drawn: Prawn draws all from the left. Of Unicode's
      # bidirectional algorithm (UAX #9) what a name in a sentence from the left needs: its run is turned round, letters with
      # their points, numbers as they are.
      module FromTheRight
        # Hebrew; Arabic would have to be joined too, which nothing here does.
        LETTER = "\\u0590-\\u05FF\\uFB1D-\\uFB4F"
        RUN = /[#{LETTER}](?:[#{LETTER}\d\s'"\-.,]*[#{LETTER}])?/

        module_function

        def drawn(words)
          words.gsub(RUN) { |run| run.scan(/\d+|\X/).reverse.join }
        end
      end
    end
  end
end
