# frozen_string_literal: true

require "prawn"

module Kippen
  module Server
    module Paper
      # A sheet as PDF with real text, drawn by Prawn: whose it is, what is on it, and of which revision. What is on it says
      # #draw. Prawn tags nothing: for a screen reader the page is the better form.
      class Pdf
        SIZES = { "a4" => "A4", "letter" => "LETTER" }.freeze
        MARGIN = 40
        # Large print, in points of what is usual.
        LARGE = 1.4
        FONTS = File.expand_path("../fonts", __dir__)
        # Letters are looked for in them one after the other.
        FAMILIES = { "latin" => "atkinson-hyperlegible-next-latin", "latin-ext" => "atkinson-hyperlegible-next-latin-ext",
                     **%w[cyrillic cyrillic-ext greek greek-ext vietnamese hebrew].to_h do |part|
                       [part, "noto-sans-#{part}"]
                     end }.freeze
        GREEN = "2C6453"
        BLACK = "000000"

        # paper – as PaperRoutes tells it; size – of SIZES; large, plain – large print, black and white; at – when it is made
        def initialize(paper, size:, large:, plain:, at:)
          @paper = paper
          @scale = large ? LARGE : 1
          @ink = plain ? BLACK : GREEN
          @at = at
          @pdf = Prawn::Document.new(page_size: SIZES.fetch(size), margin: MARGIN, info: { Title: title, Creator: "Kippen" })
          fonts
        end

        # The bytes of it.
        def render
          say(title, 20, bold: true)
          draw
          say(Words.say(:paper_missing), 9) if @missing
          foot
          @pdf.render
        end

        private

        def fonts
          FAMILIES.each do |part, file|
            @pdf.font_families.update(part => { normal: "#{FONTS}/#{file}-400.ttf", bold: "#{FONTS}/#{file}-700.ttf" })
          end
          @pdf.font("latin")
          @pdf.fallback_fonts(FAMILIES.keys.drop(1))
        end

        # points – before it is made large
        def say(words, points, bold: false, **more)
          @pdf.text(drawable(words), size: points * @scale, style: bold ? :bold : :normal, **more)
        end

        # What the fonts have no letters for is shown as that, and told once; nothing of it breaks the sheet.
        def drawable(words)
          plain = words.unicode_normalize(:nfc).gsub(/[\u0000-\u001f\u202a-\u202e\u2066-\u2069]/, " ")
          @missing ||= plain.each_char.any? { |char| !letter?(char) }
          FromTheRight.drawn(plain)
        end

        def letter?(char)
          @letters ||= Hash.new { |known, one| known[one] = families.any? { |font| font.glyph_present?(one) } }
          @letters[char]
        end

        def families = @families ||= FAMILIES.keys.map { |name| @pdf.find_font(@pdf.font_families[name][:normal]) }

        def gap(points = 8) = @pdf.move_down(points * @scale)

        # A new page where there is less room than this.
        def room(points) = (@pdf.start_new_page if @pdf.cursor < points * @scale)

        def line
          @pdf.stroke_color(@ink)
          @pdf.stroke_horizontal_rule
          @pdf.stroke_color(BLACK)
          gap(4)
        end

        def foot
          words = Words.say(:paper_stamped, number: @paper["revision"], at: @paper["saved_at"][0, 10], by: @paper["by"],
                                            now: @at[0, 10])
          @pdf.repeat(:all) do
            @pdf.draw_text(drawable(words).slice(0, 120), at: [0, -18], size: 8)
          end
          @pdf.number_pages("<page> / <total>", at: [@pdf.bounds.right - 60, -12], width: 60, align: :right, size: 8)
        end
      end
    end
  end
end
