# frozen_string_literal: true

module Kippen
  module Server
    # Changes to a fitting: tried out (previews) and saved (revisions).
    module RevisionRoutes
      def self.registered(app)
        app.post("/api/clients/:client/revisions") do
          fitting, = revisions.fitting(params["client"])
          changed = changes(fitting).apply(sent["change"])
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
          changed = changes(fitting).apply(change)
          before, after = [fitting, changed].map do |each|
            Press::Lane.new(each, each.button(change["button"]), **Changes.spot(change))
          end
          json(Render.preview(before, after))
        end
      end
    end
  end
end
