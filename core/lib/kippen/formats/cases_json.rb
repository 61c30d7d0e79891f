# frozen_string_literal: true

module Kippen
  module Formats
    # Worked cases: a JSON array of {"name", "fitting", "trace": [{"t_us", "source",
    # "kind", "value"}]}, for trying many small fittings in one go.
    module CasesJson
      Case = Struct.new(:name, :fitting, :rows, keyword_init: true)

      # Takes JSON text; returns Cases. Raises Invalid with every fault of every case.
      def self.read(text)
        list = StrictJson.read(text, limit: Limits::CASES_BYTES)
        raise Invalid.at("", Words.say(:must_array_cases)) unless list.is_a?(Array)

        faults = Faults.new
        cases = list.each_with_index.map { |item, index| one(item, "/#{index}", faults) }
        faults.raise_any
        cases
      end

      def self.one(item, pointer, faults)
        return faults.add(pointer, Words.say(:must_be_an_object)) unless item.is_a?(Hash)

        faults.add("#{pointer}/name", Words.say(:must_be_text)) unless item["name"].is_a?(String)
        fitting = fitting(item["fitting"], pointer, faults)
        return faults.add("#{pointer}/trace", Words.say(:must_be_an_array)) unless item["trace"].is_a?(Array)
        return unless fitting

        Case.new(name: item["name"], fitting:, rows: rows(item["trace"], fitting, "#{pointer}/trace", faults))
      end

      def self.fitting(document, pointer, faults)
        Fitting.read(document)
      rescue Invalid => e
        e.faults.each { |fault| faults.add("#{pointer}/fitting#{fault.where unless fault.where == "/"}", fault.message) }
        nil
      end

      def self.rows(trace, fitting, pointer, faults)
        events = Press::Events.new(fitting)
        last = 0
        trace.each_with_index.map do |row, index|
          time = row.is_a?(Hash) ? row["t_us"] : nil
          unless time.is_a?(Integer) && time.between?(last, Limits::LATEST_US)
            next faults.add("#{pointer}/#{index}/t_us", Words.say(:must_be_whole_from_to, last:, to: Limits::LATEST_US))
          end

          last = time
          event(row, events, "#{pointer}/#{index}", faults)&.then { |read| [time, read] }
        end
      end

      def self.event(row, events, pointer, faults)
        fields = row.values_at("source", "kind", "value")
        return faults.add(pointer, Words.say(:source_kind_value_must_text)) unless fields.all?(String)

        events.read(*fields)
      rescue ArgumentError => e
        faults.add(pointer, e.message)
      end
      private_class_method :one, :fitting, :rows, :event
    end
  end
end
