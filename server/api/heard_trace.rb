# frozen_string_literal: true

module Kippen
  module Server
    # Which code of Linux each button sends: what its kind says, each code once; where that knows none, a free function key.
    class TraceCodes
      FREE = (13..24).map { |number| "KEY_F#{number}" }.freeze

      def initialize(fitting) = @fitting = fitting

      # { ref => code }; of more buttons than there are codes, the last have none.
      def by_button
        taken = []
        free = FREE.dup
        @fitting.buttons.filter_map do |button|
          own = KINDS.button(@fitting.device(button.device), button)&.dig("heard", "recording").to_a
          code = (own - taken).find { |one| one.start_with?("KEY_", "BTN_") } || (free - taken).first or next
          taken << code
          [button.ref, code]
        end.to_h
      end
    end

    # What was heard in one go as a trace.
    class HeardTrace
      # Rows of one at most.
      MOST = 50_000

      # [{ id, listener, began, presses }], the newest first.
      def self.all(app, most)
        app.streams.latest(app.params["client"], most).map do |stream|
          rows = app.database[:messages].where(stream_id: stream[:id], kind: "down")
          { "id" => stream[:id], "listener" => stream[:name], "began" => Times.iso(began(app, stream)),
            "presses" => rows.limit(MOST).count }
        end
      end

      def self.began(app, stream) = app.database[:streams].where(id: stream[:id]).get(:started_at)
      private_class_method :began

      # Raises Store::Missing.
      def initialize(app, fitting, id)
        @fitting = fitting
        @rows = app.streams.trace(app.params["client"], fitting, id, MOST)
      end

      # As a CSV file, see Formats::TraceCsv.
      def as_csv = Formats::TraceCsv.text(@rows)

      def as_evemu
        notes = codes.map do |code, ref|
          "# #{code}: #{Words.button(@fitting.device(ref.split("/").first), @fitting.button(ref))}".tr("\n", " ")
        end
        [*notes, Formats::Recording.to_evemu(events, name: @fitting.name)].join("\n")
      end

      def as_raw = Formats::Recording.to_raw(events)

      private

      def name(ref) = Words.button(@fitting.device(ref.split("/").first), @fitting.button(ref))
      def codes = @codes ||= TraceCodes.new(@fitting).by_button.slice(*pressed).invert
      def pressed = @pressed ||= @rows.map { |row| row[1] }.uniq

      def events
        Formats::RecordedTrace.new(CODES).events(@rows.map { |time, source, kind, _| [time, source, kind] }, codes)
      end
    end
  end
end
