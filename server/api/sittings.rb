# frozen_string_literal: true

module Kippen
  module Server
    # Sittings and their trials.
    module SittingRoutes
      SITTINGS_SHOWN = 60

      def self.registered(app)
        app.get("/api/clients/:client/tuning") { json(SittingRoutes.all(self)) }
        app.get("/api/sittings/:sitting") { json(SittingRoutes.view(self, sittings.find(params["sitting"]))) }

        app.post("/api/clients/:client/sittings") do
          status 201
          json(SittingRoutes.start(self))
        end

        app.post("/api/sittings/:sitting/steps") do
          sittings.held(params["sitting"], others: sent["do"] == "open") { |row| Stepping.new(self, row, sent).step }
          json(SittingRoutes.view(self, sittings.find(params["sitting"])))
        end
      end

      def self.all(app)
        client = app.params["client"]
        fitting, revision = app.revisions.fitting(client)
        { "revision" => revision[:number], "open" => app.sittings.open(client)&.then { |row| view(app, row, fitting) },
          "sittings" => summaries(app, fitting),
          "buttons" => buttons(fitting), "prices" => Tuning::Fit::PRICES, "price" => Tuning::Fit::PRICE,
          "fits" => app.fits.latest(client).map { |row| fit(row) } }
      end

      def self.summaries(app, fitting)
        rows = app.sittings.all(app.params["client"], most: SITTINGS_SHOWN)
        ids = rows.map { |row| row[:id] }
        counts = app.trials.counts(ids)
        stamps = app.trials.stamps(ids)
        render = RenderTuning.new(fitting)
        rows.map do |row|
          render.summary(row, counts.fetch(row[:id], {})).merge("stamp" => stamps[row[:id]])
        end
      end

      def self.fit(row)
        { "id" => row[:id], "button" => row[:button], "sittings" => row[:sittings].to_a.grep(String), "state" => row[:state] }
      end

      def self.start(app)
        sent = app.sent
        fitting, = app.revisions.fitting(app.params["client"])
        button = pressed(fitting, sent["button"])
        row = { button: button.ref, way: sent["way"], whose: sent["whose"],
                offered: sent["offered"] || Tuning::Offer.of(fitting, button, KINDS),
                seed: SecureRandom.random_number(1_000_000), author: app.author }
        view(app, app.sittings.start(app.params["client"], **row) { |made| Asking.new(fitting, made, []).next })
      end

      # A button that can be pressed. Raises Invalid.
      def self.pressed(fitting, ref)
        button = button(fitting, ref)
        button.kind == "notch" ? raise(Invalid.at("/button", Words.say(:no_trials_of_wheel))) : button
      end

      # Raises Invalid.
      def self.button(fitting, ref)
        fitting.button(ref) || raise(Invalid.at("/button", Words.say(:unknown_button, ref: Faults.show(ref))))
      end

      def self.view(app, row, fitting = app.revisions.fitting(row[:client_id]).first)
        RenderTuning.new(fitting).sitting(row, app.trials.of([row[:id]]))
      end

      # Which can be tuned, and what would be asked of each.
      def self.buttons(fitting)
        fitting.buttons.reject { |button| button.kind == "notch" }.map do |button|
          { "ref" => button.ref, "kind" => button.kind, "worked_with" => fitting.worked_with(button),
            "offered" => Tuning::Offer.of(fitting, button, KINDS) }
        end
      end
      private_class_method :summaries, :fit, :buttons, :pressed
    end
  end
end
