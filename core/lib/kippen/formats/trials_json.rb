# frozen_string_literal: true

module Kippen
  module Formats
    # Trials of one button as a file: trials/1. Refused whole, with every fault.
    class TrialsJson
      FORMAT = "trials/1"
      MOST = 5_000
      MOST_ROWS = 2_000
      EVENTS = { "contact" => %w[down up], "force" => %w[level] }.freeze

      # text – JSON. Returns a Tuning::Series. Raises Invalid.
      def self.read(text) = new(StrictJson.read(text, limit: Limits::CASES_BYTES)).series

      # Is this a trace, rows of [µs, event] in the order of their times?
      def self.trace?(rows, kind)
        reader = new({})
        rows.is_a?(Array) && rows.all? { |row| reader.send(:row?, row, kind) } && rows.each_cons(2).all? do |one, other|
          one[0] <= other[0]
        end
      end

      def initialize(document)
        @document = document
        @faults = Faults.new
      end

      def series
        raise Invalid.at("", Words.say(:must_be_an_object)) unless @document.is_a?(Hash)
        raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT)) unless @document["kippen"] == FORMAT

        button = object("button")
        kind = one_of(button["kind"] || "contact", EVENTS.keys, "/button/kind")
        offered = offered()
        read = Tuning::Series.new(button_id: button["id"], kind:, offered:, given: given, settable: settable,
                                  double_click_ms: double_click(offered),
                                  trials: trials(kind, offered), timing_from: timing_from)
        @faults.raise_any
        read.freeze
      end

      private

      def object(name)
        value = @document.fetch(name, {})
        value.is_a?(Hash) ? value : @faults.add("/#{name}", Words.say(:must_be_an_object)) || {}
      end

      def one_of(value, allowed, pointer)
        return value if allowed.include?(value)

        @faults.add(pointer, Words.say(:must_be_one_of, value: Faults.show(value), values: allowed.join(", "))) || allowed.first
      end

      def offered
        given = @document["offered"]
        sorts = [Tuning::GESTURES, Tuning::PASS_THROUGH]
        return given if given.is_a?(Array) && given.any? && given.uniq == given && sorts.any? { |sort| (given - sort).empty? }

        @faults.add("/offered", Words.say(:must_be_an_array_of,
                                          allowed: sorts.map { |sort| sort.join(", ") }.join(Words.say(:or_of)))) || %w[tap]
      end

      def given
        object("timing").each do |name, value|
          setting = Fitting::Timing::SETTINGS[name] or next
          fault = Fitting::Timing.fault(setting, value)
          @faults.add("/timing/#{name}", fault) if fault
        end
      end

      # Since when that timing holds: trials made before may be those it was fitted to.
      def timing_from
        at = @document["timing_from"]
        return at if at.nil? || time?(at)

        @faults.add("/timing_from", Words.say(:must_be_a_time, value: Faults.show(at)))
      end

      def time?(text)
        text.is_a?(String) && !Time.iso8601(text).nil?
      rescue ArgumentError
        false
      end

      def settable
        object("settable").each do |name, allowed|
          unless Fitting::Timing::SETTINGS.key?(name)
            next @faults.add("/settable/#{name}", Words.say(:unknown_setting, setting: Faults.show(name)))
          end

          @faults.add("/settable/#{name}", Words.say(:must_be_settable)) unless settable?(name, allowed)
        end
      end

      def settable?(name, allowed)
        return false unless allowed.is_a?(Hash)

        legal = ->(value) { Fitting::Timing.fault(Fitting::Timing::SETTINGS[name], value).nil? }
        return legal[allowed["fixed"]] if allowed.key?("fixed")
        if allowed.key?("values")
          return allowed["values"].is_a?(Array) && allowed["values"].any? && allowed["values"].all?(&legal)
        end

        from, to, step = allowed.values_at("from", "to", "step")
        [from, to, step].all?(Numeric) && legal[from] && legal[to] && from <= to && step.positive?
      end

      def double_click(offered)
        return unless offered.include?("click") || offered.include?("double_click")

        value = object("host").fetch("double_click_ms", 500)
        return value if value.is_a?(Numeric) && value.between?(50, 3000)

        @faults.add("/host/double_click_ms", Words.say(:must_whole_number_from_ms, value: Faults.show(value)))
      end

      def trials(kind, offered)
        list = @document.fetch("trials", [])
        return @faults.add("/trials", Words.say(:must_be_an_array)) || [] unless list.is_a?(Array)
        if list.size > MOST
          return @faults.add("/trials", Words.say(:has_items_most_are_taken, items: list.size, most: MOST)) || []
        end

        list.each_with_index.filter_map { |item, index| trial(item, kind, offered, "/trials/#{index}") }.freeze
      end

      # One that doesn't count is kept in the file and not used.
      def trial(item, kind, offered, pointer)
        return @faults.add(pointer, Words.say(:must_be_an_object)) unless item.is_a?(Hash)

        intended = one_of(item["intended"], [*offered, *Tuning::STILL], "#{pointer}/intended")
        weight = item.fetch("weight", 1)
        right = weight.is_a?(Numeric) && weight.positive? && weight <= 1000
        @faults.add("#{pointer}/weight", Words.say(:must_be_a_number, value: Faults.show(weight))) unless right
        rows = rows(item["trace"], kind, pointer)
        unless item["at"].nil? || time?(item["at"])
          @faults.add("#{pointer}/at", Words.say(:must_be_a_time, value: Faults.show(item["at"])))
        end
        Tuning::Trial.new(intended:, rows:, weight:, data: item).freeze if rows && item["counted"] != false
      end

      def rows(trace, kind, pointer)
        return @faults.add("#{pointer}/trace", Words.say(:must_be_an_array)) unless trace.is_a?(Array)
        if trace.size > MOST_ROWS
          return @faults.add("#{pointer}/trace", Words.say(:has_items_most_are_taken, items: trace.size, most: MOST_ROWS))
        end

        last = 0
        right = trace.all? { |row| row?(row, kind) && row[0] >= last && (last = row[0]) }
        right ? trace.freeze : @faults.add("#{pointer}/trace", Words.say(:must_be_trace, events: EVENTS.fetch(kind).join(", ")))
      end

      def row?(row, kind)
        unless row.is_a?(Array) && row[0].is_a?(Integer) && row[0].between?(0, Limits::LATEST_US) &&
               EVENTS.fetch(kind).include?(row[1])
          return false
        end

        kind == "force" ? row.size == 3 && row[2].is_a?(Numeric) && row[2].between?(0, 1) : row.size == 2
      end
    end
  end
end
