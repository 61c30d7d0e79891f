# frozen_string_literal: true

module Kippen
  module Server
    module Paper
      # The button card: each button with its gesture shapes and words, help first.
      class CardPdf < Pdf
        POINTS = 14
        # Of a drawing.
        SIDE = 52

        private

        def title = Words.say(:paper_card, client: @paper["client"])

        def draw
          shown = @paper["hosts"].select { |host| host["devices"].any? { |device| device["rows"].any? } }
          return say(Words.say(:paper_nothing), 12) if shown.empty?

          shown.each { |host| host(host) }
        end

        def host(host)
          room(90)
          gap(12)
          say(host["name"], 15, bold: true)
          line
          rows = host["devices"].flat_map { |device| device["rows"].map { |row| [device, row] } }
          help, others = rows.partition { |_, row| row["entries"].any? { |entry| entry["help"] } }
          (help + others).each { |device, row| button(device, row) }
        end

        # Beside where it is on its device.
        def button(device, row)
          room([SIDE + 10, 34 + (24 * row["entries"].size)].max)
          gap(8)
          top = @pdf.cursor
          DeviceDrawing.draw(@pdf, device["drawing"], row["id"], at: [2, top], side: SIDE * @scale)
          @pdf.indent((SIDE + 16) * @scale) do
            say(row["full_name"], 14, bold: true)
            row["entries"].each { |entry| entry(entry) }
          end
          below = top - (SIDE * @scale)
          @pdf.move_cursor_to(below) if @pdf.cursor > below
        end

        def entry(entry)
          gap(3)
          size = POINTS * @scale
          GestureSign.draw(@pdf, entry["gesture"], [4, @pdf.cursor - (size / 2)], size)
          @pdf.indent((GestureSign::WIDE + 18) * @scale) { say(words(entry), POINTS) }
        end

        def words(entry)
          help = entry["help"] ? Words.say(:paper_help) : nil
          [Words.say(:own_of_button, button: entry["name"], told: entry["action"]), *help, *entry["where"]].join("  ")
        end
      end
    end
  end
end
