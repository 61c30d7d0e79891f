# frozen_string_literal: true

module Kippen
  module Server
    # What was changed of the button one confirms with: confirmed by a press, or taken back.
    module ConfirmationRoutes
      def self.registered(app)
        app.post("/api/clients/:client/confirmations") do
          fitting, = revisions.fitting(params["client"])
          json(sent["take_back"] ? ConfirmationRoutes.take_back(self) : ConfirmationRoutes.heard(self, fitting))
        end
      end

      # The client's own fitting was read just before: what was not confirmed in time is gone.
      def self.take_back(app)
        number = app.confirmations.settle(app.params["client"], asked: true, author: app.author)
        return { "state" => "nothing", "words" => "There is nothing to confirm." } unless number

        app.audit.note(app.account, "took back what was to be confirmed", client: app.params["client"])
        { "state" => "taken_back", "words" => "Taken back." }
      end

      def self.heard(app, fitting)
        client = app.params["client"]
        waiting = app.confirmations.pending(client)
        return { "state" => "nothing", "words" => "There is nothing to confirm." } unless waiting

        buttons = buttons(app, fitting)
        if app.confirmations.heard(client, buttons.map(&:ref))
          app.audit.note(app.account, "confirmed a change by a press", client:)
          return { "state" => "confirmed", "words" => "Confirmed: the change stays." }
        end
        { "state" => "waiting", "words" => not_that_one(app.sent["source"], buttons) }
      end

      # Which buttons a source may be: what it is bound to, else what the devices' kinds say.
      def self.buttons(app, fitting)
        source, listener = app.sent.values_at("source", "listener")
        own = listener && app.listeners.find(listener)[:client_id] == app.params["client"]
        bound = app.listeners.bindings(listener)[source] if own
        button = fitting.button(bound || source)
        button ? [button] : Kinds::Sources.new(fitting, KINDS).candidates(source).map(&:button)
      end

      def self.not_that_one(source, buttons)
        return "Heard #{CODES.describe(source).name}: that is none of these." if buttons.empty?

        "That was #{buttons.map { |button| button.name || button.id }.join(" or ")}."
      end
      private_class_method :buttons, :not_that_one
    end
  end
end
