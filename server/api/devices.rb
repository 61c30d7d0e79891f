# frozen_string_literal: true

module Kippen
  module Server
    # A client's devices with all that is known of them, wants, and which
    # button a heard source is.
    module DeviceRoutes
      # Kinds that are offered where something was heard of none of the client's devices.
      MAY_BE = 4

      def self.registered(app)
        app.get("/api/clients/:client/kinds/:kind") do
          fitting, = revisions.fitting(params["client"])
          own = fitting.list("kinds").find { |kind| kind["id"] == params["kind"] } ||
                raise(Store::Missing, Words.say(:no_kind, id: params["kind"]))
          DeviceRoutes.file(self, own)
        end

        app.get("/api/clients/:client/devices") do
          fitting, revision = revisions.fitting(params["client"])
          json("revision" => revision[:number], **RenderDevices.new(fitting, streams.contacts(params["client"], fitting)).all)
        end

        app.get("/api/clients/:client/wants") do
          fitting, revision = revisions.fitting(params["client"])
          json("revision" => revision[:number], "wants" => RenderWants.all(fitting))
        end

        app.get("/api/clients/:client/matches") do
          fitting, = revisions.fitting(params["client"])
          from, to, mirror = sought.values_at("from", "to", "mirror")
          match = Changes::Following.between(fitting, KINDS, from:, to:, mirror:)
          json("pairs" => match.pairs.map { |pair| pair.map { |button| button.name || button.id } },
               "without" => Changes::Following.without_match(fitting, KNOWLEDGE, match))
        end

        app.get("/api/clients/:client/heard") do
          fitting, = revisions.fitting(params["client"])
          json(DeviceRoutes.heard(fitting, sought["source"]))
        end
      end

      # A kind as a file, as one reads and writes it.
      def self.file(app, data)
        app.headers "content-type" => "application/json",
                    "content-disposition" => %(attachment; filename="#{data["id"]}.kind.json")
        JSON.pretty_generate(data)
      end

      # source – as it was heard; or a button itself, as a stand-in gives it
      def self.heard(fitting, source)
        given = fitting.button(source)
        return standing_in(fitting, given) if given

        heard = CODES.describe(source)
        sources = Kinds::Sources.new(fitting, KINDS)
        candidates = sources.candidates(source)
        { "source" => source, "name" => heard.name, "known" => heard.known, "kept" => heard.kept, "note" => heard.note,
          "codes" => heard.codes.map { |system, words| { "system" => system, "words" => words } },
          "buttons" => candidates.map do |one|
            { "button" => Render.button(one.button, fitting.device(one.button.device)), "device" => one.button.device,
              "how" => one.how }
          end, "kinds" => if candidates.any?
                            []
                          else
                            sources.new_kinds(source).first(MAY_BE).map { |kind| { "id" => kind.id, "name" => kind.name } }
                          end }
      end

      def self.standing_in(fitting, button)
        { "source" => button.ref, "name" => StandinRoutes::LISTENER, "known" => true, "kept" => nil, "note" => nil,
          "codes" => [], "kinds" => [],
          "buttons" => [{ "button" => Render.button(button, fitting.device(button.device)), "device" => button.device,
                          "how" => "found" }] }
      end
      private_class_method :standing_in
    end
  end
end
