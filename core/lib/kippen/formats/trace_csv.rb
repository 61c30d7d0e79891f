# frozen_string_literal: true

module Kippen
  module Formats
    # A trace: raw button events with their times, as CSV (RFC 4180) with exactly
    # the columns t_us,source,kind,value. Read as it comes, row by row.
    class TraceCsv
      include Enumerable

      HEADER = %w[t_us source kind value].freeze
      TIME = /\A\d{1,16}\z/
      LONGEST_ROW = 4 * Limits::TRACE_FIELD_CHARACTERS

      # io – anything with #gets(separator, limit); read to its end.
      def initialize(io)
        @io = io
        @row = 0
      end

      # Yields [t_us, source, kind, value] a row, with its number (the header is row 1).
      # Raises Invalid at the first row that is not as it must be.
      def each
        header = record or bad("the file is empty, its first row must be #{HEADER.join(",")}")
        bad("begins with a byte order mark, which a trace must not have") if header.first&.start_with?("\uFEFF")
        bad("the first row must be #{HEADER.join(",")}, is #{Faults.show(header.join(","))}") unless header == HEADER

        last = 0
        while (fields = record)
          time = time(fields)
          bad("time runs backwards: #{time} comes after #{last}") if time < last
          last = time
          yield time, fields[1], fields[2], fields[3], @row
        end
      end

      private

      def bad(message) = raise(Invalid.at("row #{@row}", message))

      def time(fields)
        bad("has #{fields.size} columns, must have #{HEADER.size}") unless fields.size == HEADER.size
        text = fields[0]
        time = TIME.match?(text) ? Integer(text, 10) : nil
        return time if time && time <= Limits::LATEST_US

        bad("t_us must be a whole number from 0 to #{Limits::LATEST_US}, is #{Faults.show(text)}")
      end

      def line
        line = @io.gets("\n", LONGEST_ROW + 2) or return
        bad("is longer than #{LONGEST_ROW} bytes") if line.bytesize > LONGEST_ROW
        line.force_encoding(Encoding::UTF_8)
        bad("is not valid UTF-8") unless line.valid_encoding?
        line
      end

      # The next record's fields, or nil at the end. Plain rows take the short way.
      def record
        @row += 1
        text = line or return
        return text.chomp.split(",", -1) unless text.include?('"')

        quoted(text)
      end

      # RFC 4180: a quoted field may hold commas, line breaks, and "" for a quote.
      def quoted(text)
        while text.count('"').odd?
          more = line or bad("a quoted field is not closed")
          text += more
          bad("is longer than #{LONGEST_ROW} bytes") if text.bytesize > LONGEST_ROW
        end
        fields = text.chomp.scan(/\G(?:"((?:[^"]|"")*)"|([^",]*))(,|\z)/m)
        bad("has a quote where none may be") unless whole?(text.chomp, fields)
        fields.map { |inside, plain, _| inside ? inside.gsub('""', '"') : plain }[0, field_count(fields)]
      end

      # Does what was scanned cover the whole row?
      def whole?(row, fields)
        rebuilt = fields[0, field_count(fields)].map { |inside, plain, comma| "#{inside ? "\"#{inside}\"" : plain}#{comma}" }.join
        rebuilt == row
      end

      # The scan may find one empty field more at the very end.
      def field_count(fields) = (fields.index { |_, _, comma| comma.empty? } || (fields.size - 1)) + 1
    end
  end
end
