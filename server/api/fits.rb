# frozen_string_literal: true

module Kippen
  module Server
    # Fits: asked for, looked at, given up; what another timing would come to on the same trials.
    module FitRoutes
      # Of work of a core, for all values of one setting.
      ALONG_S = 3.0

      def self.registered(app)
        app.post("/api/clients/:client/fits") do
          status 201
          json(FitRoutes.want(self))
        end
        app.post("/api/fits/:fit/end") { json(FitRoutes.view(self, fits.work.give_up(fits.find(params["fit"])[:id]))) }
        app.get("/api/fits/:fit") { json(FitRoutes.view(self, fits.find(params["fit"]))) }
        app.post("/api/fits/:fit/along") { json(FitRoutes.along(self, FitRoutes.made(self))) }
        app.post("/api/fits/:fit/judged") { json(FitRoutes.judged(self, FitRoutes.made(self))) }
        app.get("/api/fits/:fit/trials/:number") { json(FitRoutes.trial(self, fits.find(params["fit"]))) }
      end

      def self.view(app, row) = RenderFit.new(app.revisions.fitting(row[:client_id]).first, row).to_h

      def self.want(app)
        fitting, = app.revisions.fitting(app.params["client"])
        RenderFit.new(fitting, app.fits.want(app.params["client"], **wanted(app, fitting), author: app.author)).to_h
      end

      def self.along(app, fit)
        along = Tuning::Along.of(fit.series, fit.whole(app.sent["timing"]), app.sent["setting"],
                                 deadline: Server.deadline(ALONG_S))
        { "values" => along.settable, "states" => along.states, "at" => along.at }
      end

      def self.judged(app, fit)
        { "judged" => fit.judged("moved", Words.say(:timing_moved), fit.whole(app.sent["timing"])),
          "pays" => fit.pays(app.sent["timing"]) }
      end

      def self.trial(app, row)
        fitting, = app.revisions.fitting(row[:client_id])
        TrialTold.new(fitting, row).of(Integer(app.params["number"], 10))
      end

      # A fit that is done, of a button that is still there, and a timing that may be.
      def self.made(app)
        row = app.fits.find(app.params["fit"])
        fitting, = app.revisions.fitting(row[:client_id])
        raise Store::Missing, Words.say(:fit_without_result) unless Store::Fits.readable?(row) && fitting.button(row[:button])

        RenderFit.new(fitting, row).tap { |fit| allowed(app.sent["timing"], fit) }
      end

      # Raises Invalid where a timing can't be.
      def self.allowed(timing, fit)
        faults = timing.filter_map { |name, value| fault(name, value) }
        raise Invalid, faults if faults.any?
        return if Fitting::Timing.from(fit.whole(timing)).levels_ok?

        raise Invalid.at("/timing/release_at", Words.say(:press_release_must_obey_release))
      end

      def self.fault(name, value)
        setting = Fitting::Timing::SETTINGS[name]
        words = setting ? Fitting::Timing.fault(setting, value) : Words.say(:unknown_setting, setting: Faults.show(name))
        words && Fault.new("/timing/#{name}", words)
      end

      # What is sent, as Store::Fits#want takes it. Raises Invalid, Store::Missing.
      def self.wanted(app, fitting)
        sent = app.sent
        trials = FitTrials.new(app, fitting, sent["button"])
        file, sittings = trials.file(sent["sittings"], as_own: sent["as_own"], beside: sent.fetch("beside", true))
        file = used(app, fitting, file)
        series = Formats::TrialsJson.read(JSON.generate(file))
        raise Invalid.at("/sittings", Words.say(:no_trials_yet)) if series.trials.empty?
        if series.trials.all? { |trial| Tuning::STILL.include?(trial.intended) }
          raise Invalid.at("/sittings", Words.say(:nothing_was_pressed))
        end

        { button: sent["button"], sittings:, file:, price: sent.fetch("price", Tuning::Fit::PRICE), fixed: fixed(sent, series) }
      end

      # With what the wants say of each gesture: how often it is used, and what a wrong one costs.
      def self.used(app, fitting, file)
        uses = Tuning::GestureUse.new(fitting, KNOWLEDGE, fitting.button(app.sent["button"]), file["offered"])
        trials = file["trials"].map { |one| one.merge("weight" => one["weight"] * uses.weight(one["intended"])) }
        file.merge("trials" => trials, "uses" => uses.times)
      end

      # Values that stay. Raises Invalid where one can't be set.
      def self.fixed(sent, series)
        sent.fetch("fixed", {}).to_h do |name, value|
          setting = Fitting::Timing::SETTINGS[name] ||
                    raise(Invalid.at("/fixed/#{name}", Words.say(:unknown_setting, setting: Faults.show(name))))
          fault = Fitting::Timing.fault(setting, value)
          raise Invalid.at("/fixed/#{name}", fault) if fault

          nearest = Kinds::Settable.nearest(series.settable[name], value)
          raise Invalid.at("/fixed/#{name}", Words.say(:cannot_be_held, value:, nearest:)) unless nearest == value

          [name, value]
        end
      end
      private_class_method :allowed, :fault, :used, :fixed, :wanted
    end
  end
end
