# frozen_string_literal: true

module Kippen
  module Server
    # What was changed of the button one confirms with is confirmed by a press that a bench hears, see
    # BenchRoutes; here it is taken back at once, or given more time.
    module ConfirmationRoutes
      def self.registered(app)
        app.post("/api/clients/:client/confirmations") do
          json(sent["take_back"] ? ConfirmationRoutes.take_back(self) : ConfirmationRoutes.more_time(self))
        end
      end

      def self.nothing = { "state" => "nothing", "words" => Words.say(:nothing_to_confirm) }

      # What was not confirmed in time is gone already.
      def self.take_back(app)
        saved = app.confirmations.settle(app.params["client"], asked: true, author: app.author, account: app.account)
        return nothing unless saved

        { "state" => "taken_back", "words" => "#{saved[:note]}." }
      end

      def self.more_time(app)
        client = app.params["client"]
        seconds = app.revisions.head(client).fitting.document.fetch("confirm_s", Store::Confirmations::USUAL_S)
        return nothing unless app.confirmations.more_time(client, seconds)

        app.audit.note(app.account, Words.say(:did_give_time), client:)
        { "state" => "more_time", "words" => Words.say(:seconds_from_now, count: seconds) }
      end
    end
  end
end
