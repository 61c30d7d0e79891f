# frozen_string_literal: true

module Kippen
  module Server
    # The newest presses of a client's own, by button, for Check: read where a finding asks for them.
    class CheckPresses
      MOST_SITTINGS = 40
      MOST_TRIALS = 300

      # app – App; client – its id
      def initialize(app, client, fitting)
        @app = app
        @client = client
        @fitting = fitting
      end

      # They are another once one more was taken, or one counts or was meant otherwise.
      def key(button) = @app.trials.stamps(sittings(button).map { |row| row[:id] })

      # [Tuning::Series], one at most.
      def of(button)
        ids = sittings(button).map { |row| row[:id] }
        counted = @app.trials.of(ids).select { |row| row[:counted] }.last(MOST_TRIALS)
        trials = Store::Trials.items(counted, button.kind, Tuning::GESTURES)
        return [] if trials.empty?

        document = Tuning::Offer.document(@fitting, button, KINDS, offered: Tuning::GESTURES, trials:)
        [Formats::TrialsJson.new(document).series]
      end

      private

      # Of this button, in which it was counted what was pressed.
      def sittings(button)
        all.select { |row| row[:button] == button.ref && (row[:offered].to_a - Tuning::GESTURES).empty? }
      end

      def all = @all ||= @app.sittings.all(@client, most: MOST_SITTINGS).select { |row| row[:whose] == "client" }
    end
  end
end
