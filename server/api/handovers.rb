# frozen_string_literal: true

module Kippen
  module Server
    # Handing a fitting over to the devices, taking it back, emptying them; and where a stand-in device just is.
    module HandoverRoutes
      def self.registered(app)
        app.get("/api/clients/:client/handovers") { json(RenderHandover.new(self, params["client"]).to_h) }

        app.post("/api/clients/:client/handovers") do
          HandoverRoutes.ask(self, params["client"])
          status 202
          json(RenderHandover.new(self, params["client"]).to_h)
        end

        app.post("/api/clients/:client/handovers/stop") do
          carrier = carriers.all(params["client"])[sent["device"]] || raise(Store::Missing,
                                                                            Words.say(:no_device, id: sent["device"]))
          handovers.stop(carrier[:id])
          json(RenderHandover.new(self, params["client"]).to_h)
        end

        # What a device has, by its own word.
        app.post("/api/clients/:client/handovers/question") do
          HandoverRoutes.question(self, params["client"])
          json(RenderHandover.new(self, params["client"]).to_h)
        end

        app.put("/api/clients/:client/works-by") do
          works.by!(params["client"], sent["by"])
          json("by" => works.by(params["client"]))
        end

        app.post("/api/clients/:client/handovers/reach") do
          HandoverRoutes.reach(self, params["client"])
          json(RenderHandover.new(self, params["client"]).to_h)
        end
      end

      # What is wanted, host by host.
      def self.ask(app, client)
        fitting, revision = app.revisions.fitting(client)
        unless revision[:number] == app.sent["revision"]
          app.problem(409, Words.say(:handover_of_another, shown: app.sent["revision"], now: revision[:number]))
        end
        wanted = app.sent["devices"].uniq { |one| one["device"] }.map { |one| wanted(app, client, fitting, one) }
        wanted.group_by { |one| one[:device].host }.each_value { |own| app.handovers.ask(client, own, author: app.author) }
        note(app, client, wanted.map { |one| one[:device] })
      end

      def self.note(app, client, devices)
        names = devices.map { |device| device.name || device.id }.join(", ")
        app.audit.note(app.account, Words.say(:"did_#{app.sent["what"]}"), client:, devices: names,
                                                                           revision: app.sent["revision"])
      end

      def self.wanted(app, client, fitting, sent)
        device = fitting.device(sent["device"]) || gone(app, client, sent["device"])
        app.problem(409, Words.say(:set_by_hand)) if app.carriers.all(client)[device.id]&.fetch(:by_hand)
        what = app.sent["what"]
        common = { device:, what:, seen: sent["seen"] }
        case what
        when "put" then common.merge(revision: app.sent["revision"],
                                     document: Handover::Carried.of(fitting, device,
                                                                    KNOWLEDGE).document)
        when "back" then common.merge(back(app, client, device, sent["seen"]))
        else common.merge(revision: nil, document: nil)
        end
      end

      # A device that is in the fitting no more can only be emptied.
      def self.gone(app, client, id)
        there = app.carriers.all(client)[id] if app.sent["what"] == "empty"
        raise Store::Missing, Words.say(:no_device, id: Faults.show(id)) unless there

        Fitting::Device.new(id:, host: "", kind: there[:kind], buttons: [])
      end

      def self.back(app, client, device, seen)
        carrier = app.carriers.all(client)[device.id]
        before = carrier && app.handovers.before(carrier[:id], seen)
        if before
          { revision: before[:revision],
            document: before[:document].to_hash }
        else
          app.problem(409, Words.say(:nothing_before))
        end
      end

      def self.question(app, client)
        carrier = app.carriers.all(client)[app.sent["device"]] ||
                  raise(Store::Missing, Words.say(:no_device, id: Faults.show(app.sent["device"])))
        app.carriers.port(carrier[:id]).state
        Store::News.tell(app.database, client, "handover")
      rescue Standins::OutOfReach => e
        app.problem(409, e.message)
      end

      def self.reach(app, client)
        fitting, = app.revisions.fitting(client)
        id = app.sent["device"]
        device = fitting.device(id)
        carrier = device ? app.carriers.of(client, device) : app.carriers.all(client)[id]
        raise Store::Missing, Words.say(:no_device, id: Faults.show(id)) unless carrier

        changed = app.carriers.reach(client, id, app.sent["reach"]).positive?
        app.handovers.catch_up(carrier[:id]) if changed && app.sent["reach"]
        Store::News.tell(app.database, client, "handover") if changed
      end
      private_class_method :note, :wanted, :gone, :back
    end
  end
end
