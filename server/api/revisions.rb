# frozen_string_literal: true

module Kippen
  module Server
    # Changes to a fitting: tried out (previews) and saved (revisions).
    module RevisionRoutes
      def self.registered(app)
        app.post("/api/clients/:client/revisions") do
          fitting, = revisions.fitting(params["client"])
          changed = changes(fitting).apply(sent["change"])
          changed = changed.with("confirm_s" => sent["confirm_s"]) if sent["confirm_s"]
          saved = database.transaction do
            audit.note(account, "changed the fitting", client: params["client"], change: sent["change"]["kind"], parent: sent["parent"])
            revisions.add(params["client"], sent["parent"], changed, author:, note: sent.fetch("note", "")).tap { |row| watch(row) }
          end
          status 201
          json("revision" => Render.revision(saved))
        end

        app.post("/api/clients/:client/previews") do
          fitting, = revisions.fitting(params["client"])
          made = changes(fitting)
          json(Preview.new(made, fitting, made.apply(sent["change"])).to_h)
        end
      end
    end
  end
end
