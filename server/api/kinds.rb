# frozen_string_literal: true

module Kippen
  module Server
    # Kinds of device: those that ship, and those that a service keeps.
    module KindRoutes
      # A kind with nothing special to it, and what the values are called that a host may let be set.
      TO_BEGIN_WITH = { "blank" => JSON.parse(File.read(File.join(DATA, "blank-kind.json"))),
                        "settings" => Fitting::Timing::SETTINGS.keys
                          .map { |name| { "setting" => name, "name" => Words.setting(name) } } }.freeze

      def self.registered(app)
        app.get("/api/kinds") { json("kinds" => KINDS.all.map { |kind| RenderDevices.kind(kind) }) }

        app.get("/api/kinds/:shipped") do
          kind = KINDS.find(params["shipped"]) || raise(Store::Missing, Words.say(:no_kind, id: params["shipped"]))
          DeviceRoutes.file(self, kind.data)
        end

        app.get("/api/service/kinds") do
          json("kinds" => kinds.all.map { |row| KindRoutes.kept(row) }, **KindRoutes::TO_BEGIN_WITH)
        end

        app.post("/api/service/kinds") do
          row = KindRoutes.change(self, Words.say(:did_keep_kind)) { kinds.save(sent["document"], sent["opened_on"]) }
          status 201
          json(KindRoutes.edition(row))
        end

        app.get("/api/service/hosts") { json(KindRoutes.hosts(kinds)) }

        app.post("/api/service/hosts") do
          KindRoutes.change(self, Words.say(:did_say_hosts)) { kinds.save_hosts(sent["document"], sent["opened_on"]) }
          status 201
          json(KindRoutes.hosts(kinds))
        end

        app.get("/api/service/kinds/:shelf") { DeviceRoutes.file(self, kinds.document(params["shelf"], sought["edition"])) }

        app.delete("/api/service/kinds/:shelf") do
          row = KindRoutes.change(self, Words.say(:did_take_kind)) { kinds.remove(params["shelf"], sought["opened_on"]) }
          json(KindRoutes.edition(row).merge("gone" => true))
        end

        app.get("/api/service/kinds/:shelf/editions") do
          json("editions" => kinds.editions(params["shelf"]).map { |row| KindRoutes.edition(row) })
        end

        app.post("/api/service/kinds/:shelf/editions") do
          row = KindRoutes.change(self, Words.say(:did_put_kind)) do
            kinds.put_back(params["shelf"], sent["edition"], sent["opened_on"])
          end
          status 201
          json(KindRoutes.edition(row))
        end
      end

      # What the block saves, with the audit trail.
      def self.change(app, what)
        Store.transaction(app.database) do
          yield.tap { |row| app.audit.note(app.account, what, kind: row[:id], edition: row[:edition]) }
        end
      end

      # What the service says of hosts, by system too, and what each is where nobody says anything.
      def self.hosts(kinds)
        document, row = kinds.hosts
        document ||= HostKinds::Own::EMPTY
        usual = Fitting::ListReader::SYSTEMS.map do |system|
          kind = KNOWLEDGE.host_kinds.of(system)
          { "system" => system, "lines" => kind.most, "steps" => kind.steps.most }
        end
        { "document" => document, "edition" => row&.fetch(:edition), "said" => row && said(row), "usual" => usual,
          "by_system" => HostKinds::Own.by_system(document).map { |system, said| { "system" => system, "says" => said } } }
      end

      def self.kept(row)
        RenderDevices.kind(Kinds::Kind.new(row[:document]))
          .merge("edition" => row[:edition], "said" => said(row), "used" => row[:used])
      end

      def self.edition(row)
        { "id" => row[:id], "edition" => row[:edition], "said" => said(row), "gone" => row.fetch(:gone, false) }
      end

      def self.said(row) = { "by" => row[:author], "at" => Times.iso(row[:at]) }
      private_class_method :said
    end
  end
end
