# frozen_string_literal: true

module Kippen
  module Server
    module Paper
      # The settings sheet: what is set on each device, one value after the other, with a box to tick.
      class SettingsPdf < Pdf
        PARTS = { "where" => :paper_where, "see" => :paper_see, "undo" => :paper_undo }.freeze

        private

        def title = Words.say(:paper_settings, client: @paper["client"])

        def draw
          @paper["hosts"].each { |host| host["devices"].each { |device| device(host, device) } }
        end

        def device(host, device)
          room(90)
          gap(12)
          say(Words.say(:paper_device, device: device["name"], host: host["name"]), 15, bold: true)
          line
          return say(Words.say(:paper_nothing_set), 11) if device["lines"].empty?

          device["lines"].each { |line| value(line) }
        end

        def value(line)
          room(76)
          gap(6)
          size = 10 * @scale
          @pdf.stroke_rectangle([0, @pdf.cursor - 1], size, size)
          @pdf.indent(18 * @scale) do
            say(line["what"], 11)
            say(line["value"], 14, bold: true)
            PARTS.each { |part, key| say(Words.say(key, words: line[part]), 9) }
          end
        end
      end
    end
  end
end
