# frozen_string_literal: true

module Kippen
  module Server
    # Files of open formats, out and in: what was heard as a trace or as what Linux programs read, a plain remap for udev,
    # recordings that become traces, and a client's whole file into a client that is here.
    module FileRoutes
      STREAMS = 20
      COUNTED = %w[streams sittings trials fits handovers hand_ticks].freeze
      TYPES = { "csv" => ["text/csv", "trace.csv"], "evemu" => ["text/plain", "trace.evemu"],
                "raw" => ["application/octet-stream", "trace.events"] }.freeze

      def self.registered(app)
        app.get("/api/clients/:client/traces") do
          fitting, = revisions.fitting(params["client"])
          json("streams" => HeardTrace.all(self, STREAMS),
               "codes" => TraceCodes.new(fitting).by_button.map { |ref, code| { "button" => ref, "code" => code } })
        end

        app.get("/api/clients/:client/traces/:stream") do
          fitting, = revisions.fitting(params["client"])
          as = sought.fetch("as", "csv")
          type, name = TYPES.fetch(as)
          headers "content-type" => type, "content-disposition" => %(attachment; filename="#{name}")
          body HeardTrace.new(self, fitting, params["stream"]).public_send(:"as_#{as}")
        end

        app.get("/api/clients/:client/remap") { json(FileRoutes.remap(self)) }

        app.post("/api/clients/:client/recordings") do
          fitting, = revisions.fitting(params["client"])
          json(TakenTrace.new(fitting, sent).to_h)
        end

        app.post("/api/clients/:client/whole") { json(FileRoutes.whole(self)) }
      end

      def self.remap(app)
        fitting, = app.revisions.fitting(app.params["client"])
        device = fitting.device(app.sought["device"]) ||
                 raise(Store::Missing, Words.say(:no_device, id: Faults.show(app.sought["device"])))
        made = Formats::Hwdb.new(fitting, device, KNOWLEDGE).fragment(**%i[bus vendor product].to_h do |one|
          [one, app.sought[one.to_s]]
        end)
        { "text" => made.text, "said" => made.said,
          "left" => made.left.map { |ref, why| { "button" => Words.button(device, fitting.button(ref)), "why" => why } } }
      end

      # Looked at, unless a revision is named that it shall be put on.
      def self.whole(app)
        into = Store::TakeInto.new(app.database, app.params["client"], app.account.service)
        seen = app.sought["onto"]
        if seen
          saved = into.take(app.sent, account: app.account, seen:, **app.making)
          return { "revision" => saved && Render.revision(saved) }
        end

        looked = into.look(app.sent, **app.making)
        { "revision" => nil, "words" => looked.result.words, "own" => looked.own,
          "counts" => looked.counts.transform_keys(&:to_s).slice(*COUNTED) }
      end
    end
  end
end
