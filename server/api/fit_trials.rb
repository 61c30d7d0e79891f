# frozen_string_literal: true

module Kippen
  module Server
    # From which trials of a client a button's timing is fitted: its own, and beside them those of the same part of the body
    # and of earlier days.
    class FitTrials
      # So many of those beside, the newest: they help, they don't decide.
      MOST_BESIDE = 120
      # Looked for in so many sittings, and with so many edges: they are kept with each fit.
      MOST_SITTINGS = 40
      MOST_EDGES = 2_000
      NEVER = Time.at(0).utc.freeze

      # app – App; ref – of the button. Raises Store::Missing.
      def initialize(app, fitting, ref)
        @app = app
        @fitting = fitting
        @client = app.params["client"]
        @button = SittingRoutes.button(fitting, ref)
      end

      # The trials/1 document of some sittings, with what is beside them and since when today's timing holds; and those
      # sittings' ids, which are this client's. as_own – presses of other buttons count as this one's. Raises Invalid,
      # Store::Missing.
      def file(ids, as_own: true, beside: false)
        chosen = chosen(ids, as_own)
        offered = offered(chosen)
        trials = Store::Trials.items(@app.trials.of(chosen.map { |row| row[:id] }), @button.kind, offered)
        besides = { "timing_from" => Times.iso(timing_from), "beside" => (beside(chosen, offered) if beside) }.compact
        document = Tuning::Offer.document(@fitting, @button, KINDS, offered:, trials:).merge(besides)
        [document, chosen.map { |row| row[:id] }]
      end

      private

      # The rows of these sittings. as_own – may they be of other buttons? Raises Missing or Invalid.
      def chosen(ids, as_own)
        chosen = mine.select { |row| ids.include?(row[:id]) }
        raise Store::Missing, Words.say(:no_sitting_of_client) if chosen.empty?
        return chosen if as_own || chosen.all? { |row| row[:button] == @button.ref }

        raise Invalid.at("/sittings", Words.say(:presses_of_another))
      end

      # Of the client's own hand.
      def mine = @mine ||= @app.sittings.all(@client).select { |row| row[:whose] == "client" }

      # What was asked in any of them, gestures or clicks, not both; and what else the button offers: it must not be
      # fitted away because nobody asked for it.
      def offered(sittings)
        asked = sittings.flat_map { |row| row[:offered].to_a }
        sorts = [Tuning::GESTURES, Tuning::PASS_THROUGH].select { |sort| sort.intersect?(asked) }
        raise Invalid.at("/sittings", Words.say(:two_sorts_of_trials)) unless sorts.one?

        sorts.first & (asked | Tuning::Offer.of(@fitting, @button, KINDS))
      end

      # The newest first, as trials/1 has them.
      def beside(chosen, offered)
        bounded((mine - chosen).first(MOST_SITTINGS).lazy.flat_map do |row|
          rows = @app.trials.of([row[:id]]).select { |trial| trial[:counted] && same_hand?(trial) }
          Store::Trials.items(rows, @button.kind, offered)
        end)
      end

      def bounded(items)
        edges = 0
        items.take_while { |one| (edges += one["trace"].size) <= MOST_EDGES }.first(MOST_BESIDE)
      end

      # On this button, or by the same part of the body as works it now.
      def same_hand?(trial)
        with = @fitting.worked_with(@button)
        trial[:button] == @button.ref || (!with.to_s.empty? && trial[:worked_with] == with)
      end

      # Presses since then are none that today's timing was fitted to: no fit was applied after it. One that was never
      # fitted has seen none at all.
      def timing_from = @app.fits.last_applied(@client) || NEVER
    end
  end
end
