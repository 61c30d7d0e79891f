# frozen_string_literal: true

module Kippen
  module Server
    # Changes to a fitting: tried out (previews) and saved (revisions).
    module RevisionRoutes
      def self.registered(app)
        app.post("/api/clients/:client/revisions") do
          fitting, = revisions.fitting(params["client"])
          changed = RevisionRoutes.apply(fitting, sent["change"])
          saved = database.transaction do
            audit.note(account, "changed the fitting", client: params["client"], change: sent["change"]["kind"], parent: sent["parent"])
            revisions.add(params["client"], sent["parent"], changed, author:, note: sent.fetch("note", ""))
          end
          status 201
          json("revision" => Render.revision(saved))
        end

        app.post("/api/clients/:client/previews") do
          fitting, = revisions.fitting(params["client"])
          change = sent["change"]
          changed = RevisionRoutes.apply(fitting, change)
          before, after = [fitting, changed].map do |each|
            Press::Lane.new(each, each.button(change["button"]), **RevisionRoutes.spot(change))
          end
          json(Render.preview(before, after))
        end
      end

      # change – as in the contract; returns the changed Fitting. Raises Invalid.
      def self.apply(fitting, change)
        button = change["button"]
        raise Invalid.at("/change/button", "unknown button #{Faults.show(button)}") unless fitting.button(button)

        case change["kind"]
        when "assign" then Fitting::Edit.assign(fitting, button:, gesture: change["gesture"], action: change["action"], **spot(change))
        when "clear" then Fitting::Edit.clear(fitting, button:, gesture: change["gesture"], **spot(change))
        when "timing" then Fitting::Edit.set_timing(fitting, button:, setting: change["setting"], value: change["value"])
        end
      end

      def self.spot(change)
        { place: change.fetch("place", Fitting::EVERYWHERE), mode: change.fetch("mode", Fitting::BASE) }
      end
    end
  end
end
