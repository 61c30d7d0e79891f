# frozen_string_literal: true

module Kippen
  module Server
    # Trials by themselves: presses that somebody says what they were, files in and out, one day against another.
    module TrialRoutes
      # What comes out can be read in again.

      def self.registered(app)
        app.get("/api/clients/:client/trials") do
          fitting, = revisions.fitting(params["client"])
          headers "content-disposition" => 'attachment; filename="trials.json"'
          file, = FitTrials.new(self, fitting, sought["button"]).file(sought["sittings"].split(","))
          text = json(file)
          if text.bytesize > BodyLimit::MOST_TRIALS_BYTES || file["trials"].size > Formats::TrialsJson::MOST
            problem(413, Words.say(:trials_too_much, most: Formats::TrialsJson::MOST,
                                                     megabytes: BodyLimit::MOST_TRIALS_BYTES / 1_000_000))
          end
          text
        end

        app.post("/api/clients/:client/trials") do
          fitting, = revisions.fitting(params["client"])
          status 201
          json(SittingRoutes.view(self, TrialRoutes.read(self, fitting), fitting))
        end

        app.post("/api/clients/:client/kept") do
          fitting, = revisions.fitting(params["client"])
          status 201
          json(SittingRoutes.view(self, TrialRoutes.keep(self, fitting), fitting))
        end

        app.get("/api/clients/:client/drift") do
          drift = ->(outdone) { DriftTold.of(self, Server.deadline(DriftTold::MOST_S, &outdone)) }
          json(DriftTold::ASKED.take(account.id, &drift))
        end
      end

      # A file's trials as a sitting of their own, of the button that is named, whatever the file calls it. Returns its row.
      def self.read(app, fitting)
        button = SittingRoutes.button(fitting, app.sent["button"])
        series = Formats::TrialsJson.read(JSON.generate(app.sent["file"]))
        raise Invalid.at("/file/button/kind", Words.say(:must_be, value: button.kind)) unless series.kind == button.kind

        app.sittings.begin_ended(app.params["client"], button: button.ref, way: "file", whose: "client", offered: series.offered,
                                                       author: app.author) do |row|
          app.sittings.add_trials(row,
                                  app.sent["file"].fetch("trials", []).map.with_index { |item, index| from_file(item, index) })
        end
      end

      def self.from_file(item, index)
        { number: index, intended: item["intended"], trace: item["trace"], weight: item.fetch("weight", 1),
          counted: item["counted"] != false,
          note: item["note"].to_s.slice(0, 500), heard_by: item["by"].to_s.slice(0, 120), worked_with: item["worked_with"]&.to_s }
      end

      # A press of the bench as a trial: what a button gave between two moments of a stream. Two who keep the same press wait
      # for each other; kept again it is the same trial, meant as is said last. Returns the sitting's row.
      def self.keep(app, fitting)
        button = SittingRoutes.button(fitting, app.sent["button"])
        stream, trace = heard(app, fitting, button)
        intended = app.sent["intended"]
        press = { of_stream: stream[:id], from_us: app.sent["from_us"] }
        Store.transaction(app.database) do
          Store::Save.lock(app.database, app.params["client"])
          known = app.trials.meant_anew(**press, button: button.ref, intended:)
          next app.sittings.find(known) if known

          add(app, fitting, button, { intended:, trace:, heard_by: stream[:name], worked_with: fitting.worked_with(button),
                                      **press })
        end
      end

      # To the presses of today that were kept. Returns the sitting's row.
      def self.add(app, fitting, button, trial)
        offered = offered(fitting, button, trial[:intended])
        app.sittings.kept(app.params["client"], button: button.ref, offered:, author: app.author) do |row, number|
          app.sittings.add_trial(row, number:, **trial)
        end
      end

      # Of the sort that was meant; what is on the button where nothing was.
      def self.offered(fitting, button, intended)
        usual = Tuning::Offer.of(fitting, button, KINDS)
        sort = [Tuning::GESTURES, Tuning::PASS_THROUGH].find { |one| one.include?(intended) }
        sort ? sort & [*usual, intended] : usual
      end

      def self.heard(app, fitting, button)
        stream = app.streams.find(app.sent["stream"])
        raise Store::Missing, Words.say(:no_stream, id: app.sent["stream"]) unless stream[:client_id] == app.params["client"]

        trace = app.streams.edges(stream, fitting, button, app.sent["from_us"]..app.sent["to_us"])
        raise Invalid.at("/from_us", Words.say(:nothing_pressed_then)) if trace.empty?

        [stream, trace]
      end

      private_class_method :from_file, :offered, :heard, :add
    end

    # Trials of another day against these, in words.
    module DriftTold
      # Of work of a core.
      MOST_S = 2.0
      ASKED = Newest.new

      module_function

      def of(app, deadline)
        fitting, = app.revisions.fitting(app.params["client"])
        before, after = %w[before after].map do |name|
          file, = FitTrials.new(app, fitting, app.sought["button"]).file(app.sought[name].split(","))
          Formats::TrialsJson.read(JSON.generate(file))
        end
        replays = [before, after].map { |series| Tuning::Replays.new(series, deadline:) }
        { "changes" => changes(Tuning::Drift.of(before, after, before.given, replays:)),
          "tiring" => changes(Tuning::Drift.tiring(after)),
          "before" => still(before, replays[0]), "after" => still(after, replays[1]) }
      end

      # What today's timing comes to on them.
      def still(series, replays)
        from = series.trials.all? { |trial| series.since?(trial) } ? "unseen" : "seen"
        Tuning::Judged.of(series.trials.zip(replays.scores(series.trials, series.given)), from:)
          .slice("right", "low", "high", "n", "from")
      end

      def changes(list)
        list.map do |one|
          { "what" => one.what, "before" => one.before, "after" => one.after, "p" => one.p&.round(4), "changed" => one.changed?,
            "words" => Words.drift(one) }
        end
      end
      private_class_method :still, :changes
    end
  end
end
