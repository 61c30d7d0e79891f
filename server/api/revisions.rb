# frozen_string_literal: true

module Kippen
  module Server
    # Changes to a fitting: tried out (previews) and saved (revisions), both by the same way.
    module RevisionRoutes
      # What a look may cost, of work of a core.
      LOOK_S = 1.0
      LOOKS = Newest.new

      def self.registered(app)
        app.post("/api/clients/:client/revisions") do
          asked = RevisionRoutes.changes(sent)
          result = nil
          fit = sent["fit"] && RevisionRoutes.fit(self)
          moved = fit && RevisionRoutes.moved?(fit, sent["change"])
          kind = sent["change"]["kind"]
          saved = Store::Save.new(database).on(params["client"], author:, account:, page: sent["page"], change: kind) do |head|
            result = RevisionRoutes.make(self, head, asked)
            Store::Save::Made.new(fitting: result.fitting, note: sent.fetch("note", ""), fit: fit&.merge(moved:))
          end
          status 201
          json("revision" => Render.revision(saved), "told" => Preview.new(result).sentences)
        end

        app.post("/api/clients/:client/previews") do
          LOOKS.take([account.id, sent["page"]]) do |outdone|
            deadline = Server.deadline(LOOK_S, &outdone)
            result = RevisionRoutes.make(self, revisions.head(params["client"]), RevisionRoutes.changes(sent), deadline:)
            json(Preview.new(result, deadline:).to_h)
          end
        end
      end

      # The Changes that were sent, made as one. Raises Invalid.
      def self.changes(sent)
        [Changes.read(sent["change"]), *(Changes::ConfirmTime.new(seconds: sent["confirm_s"]) if sent["confirm_s"])]
      end

      # Is another timing applied than was fitted?
      def self.moved?(fit, change) = fit[:result]["timing"].to_hash != change["timing"]

      # The row of the fit it rests on. Raises Store::Missing, and Invalid where what is changed can't rest on it.
      def self.fit(app)
        row = app.fits.find(app.sent["fit"])
        unless row[:client_id] == app.params["client"] && Store::Fits.readable?(row)
          raise Store::Missing, Words.say(:no_such_fit, id: Faults.show(app.sent["fit"]))
        end
        raise Invalid.at("/fit", Words.say(:fit_of_other)) unless of_its_button?(app, row[:button])

        row
      end

      # Does the change give a fitted timing to the button whose presses it was fitted to?
      def self.of_its_button?(app, ref)
        kind, scope, of = app.sent["change"].values_at("kind", "scope", "of")
        return false unless kind == "fitted"

        fitting, = app.revisions.fitting(app.params["client"])
        button = fitting.button(ref)
        button && of == { "button" => ref, "device" => button.device, "worked_with" => fitting.worked_with(button) }[scope]
      end
      private_class_method :of_its_button?

      # On the head, as they were thought of on the revision that the page showed. Returns a
      # Changes::Finish::Result. Raises Invalid, Store::Conflict, Store::Missing.
      def self.make(app, head, changes, **more)
        client = app.params["client"]
        sent = app.sent
        opened_on = sent.fetch("opened_on", head.number)
        others = app.revisions.others(client, opened_on, sent["page"])
        Changes::Conflict.make(head.fitting, changes, opened: app.revisions.at(client, opened_on), others:, **app.making, **more)
      rescue Changes::Conflict => e
        raise Store::Conflict.new(head.row, mine: e.mine, theirs: e.theirs)
      end
    end
  end
end
