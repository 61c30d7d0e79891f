# frozen_string_literal: true

module Kippen
  module Formats
    # A trace: raw button events with their times, as CSV (RFC 4180) with exactly
    # the columns t_us,source,kind,value. Read as it comes, row by row, in flat memory.
    class TraceCsv
      include Enumerable

      HEADER = %w[t_us source kind value].freeze
      TIME = /\A\d{1,16}\z/
      LONGEST_ROW = 4 * Limits::TRACE_FIELD_CHARACTERS
      # Rows repeat what follows their time; this many different ones are remembered.
      REMEMBERED = 4_096
      # The smallest number of so many digits; beyond what a time can have, none is small enough.
      SMALLEST = Array.new(LONGEST_ROW + 3) { |digits| digits.between?(1, 16) ? 10**(digits - 1) : 0 }.freeze

      # Rows of the columns as text; a field that holds a comma, a quote or a line break is quoted.
      def self.text(rows)
        [HEADER, *rows].map do |row|
          row.map { |field| /[",\r\n]/.match?(field.to_s) ? %("#{field.to_s.gsub('"', '""')}") : field }.join(",")
        end.join("\n").concat("\n")
      end

      # io – anything with #gets(separator, limit), bytes; read to its end.
      # read – makes of source, kind and value what is yielded; raises ArgumentError with
      #        what is wrong. Asked once for each different one, so it must not depend on the row.
      def initialize(io, read: ->(*fields) { fields })
        @io = io
        @read = read
        @row = 0
        @known = {}
      end

      # Yields t_us and what +read+ made of the rest, row by row. Raises Invalid at the
      # first row that is not as it must be, naming it (the header is row 1).
      def each
        check_header
        last = 0
        @row = 2
        while (line = @io.gets("\n", LONGEST_ROW + 2))
          comma = line.index(",") || 0
          rest = @known[line.byteslice(comma, LONGEST_ROW)]
          if rest
            # A number of exactly as many digits as there are bytes: nothing but digits stood there.
            time = line.to_i
            time = time(line.byteslice(0, comma)) unless time < SMALLEST[comma + 1] && time >= SMALLEST[comma]
          else
            time, rest = unknown(line)
          end
          bad(Words.say(:time_runs_backwards_comes_after, time:, last:)) if time < last
          last = time
          yield time, rest
          @row += 1
        end
      end

      private

      def bad(message) = raise(Invalid.at("row #{@row}", message))

      def check_header
        @row = 1
        line = @io.gets("\n", LONGEST_ROW + 2) or bad(Words.say(:file_empty_its_first_row, allowed: HEADER.join(",")))
        header = fields(line)
        bad(Words.say(:begins_with_byte_order_mark)) if header.first&.start_with?("\uFEFF")
        bad(Words.say(:first_row_must, allowed: HEADER.join(","), given: Faults.show(header.join(",")))) unless header == HEADER
      end

      def time(text)
        time = TIME.match?(text) ? Integer(text, 10) : nil
        return time if time && time <= Limits::LATEST_US

        bad(Words.say(:t_us_must_whole_number, to: Limits::LATEST_US,
                                               given: Faults.show(text.dup.force_encoding(Encoding::UTF_8))))
      end

      # A row whose rest has not been met yet: read with all care, then remembered.
      def unknown(line)
        fields = fields(line)
        bad(Words.say(:has_columns_must_have, count: fields.size, needed: HEADER.size)) unless fields.size == HEADER.size
        time = time(fields[0])
        read = @read.call(*fields.drop(1))
        remember(line, read)
        [time, read]
      rescue ArgumentError => e
        bad(e.message)
      end

      # Only rows without a quote before the rest can be told apart by it.
      def remember(line, read)
        return if line.include?('"')

        @known.clear if @known.size >= REMEMBERED
        @known[line.byteslice(line.index(","), LONGEST_ROW).b.freeze] = read
      end

      # A record's fields. Plain rows take the short way.
      def fields(line)
        line = checked(line)
        line.include?('"') ? quoted(line) : line.chomp.split(",", -1)
      end

      def checked(line)
        bad(Words.say(:longer_than_bytes, row: LONGEST_ROW)) if line.bytesize > LONGEST_ROW
        text = line.dup.force_encoding(Encoding::UTF_8)
        text.valid_encoding? ? text : bad(Words.say(:not_valid_utf))
      end

      # RFC 4180: a quoted field may hold commas, line breaks, and "" for a quote.
      def quoted(text)
        while text.count('"').odd?
          more = @io.gets("\n", LONGEST_ROW + 2) or bad(Words.say(:quoted_field_not_closed))
          text = checked(text + more.dup.force_encoding(Encoding::UTF_8))
        end
        fields = text.chomp.scan(/\G(?:"((?:[^"]|"")*)"|([^",]*))(,|\z)/m)
        fields = fields[0, field_count(fields)]
        bad(Words.say(:has_quote_where_none_may)) unless whole?(text.chomp, fields)
        fields.map { |inside, plain, _| inside ? inside.gsub('""', '"') : plain }
      end

      # Does what was scanned cover the whole row?
      def whole?(row, fields)
        fields.map { |inside, plain, comma| "#{inside ? "\"#{inside}\"" : plain}#{comma}" }.join == row
      end

      # The scan may find one empty field more at the very end.
      def field_count(fields) = (fields.index { |_, _, comma| comma.empty? } || (fields.size - 1)) + 1
    end
  end
end
