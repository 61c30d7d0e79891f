# frozen_string_literal: true

module Kippen
  module Server
    # What a client can get at, and what would help most.
    module ReachRoutes
      # Of work of a core.
      LOOK_S = 3.0

      def self.registered(app)
        app.get("/api/clients/:client/reach") { json(ReachRoutes.look(self, params["client"])) }

        app.get("/api/clients/:client/proposals") { json(ReachRoutes.view(self, params["client"])) }

        app.post("/api/clients/:client/proposals") do
          ReachRoutes.ask(self, params["client"])
          status 202
          json(ReachRoutes.view(self, params["client"]))
        end

        app.post("/api/proposals/:proposal/end") do
          row = proposals.work.find(params["proposal"])
          proposals.work.give_up(row[:id])
          json(ReachRoutes.view(self, row[:client_id]))
        end

        app.get("/api/service/reach") { json(ReachRoutes.figures(self)) }

        app.put("/api/service/reach") do
          Store.transaction(database) do
            proposals.say(account.service, sent["figures"])
            audit.note(account, Words.say(:did_say_reach))
          end
          json(ReachRoutes.figures(self))
        end
      end

      # Against another revision too, where one is asked for.
      def self.look(app, client)
        fitting, row = app.revisions.fitting(client)
        without = app.sought.fetch("without", "").split(",")
        made = RenderReach.new(ways(app, client, fitting, without:)).to_h.merge("revision" => row[:number])
        against = app.sought["against"]
        return made.merge("before" => nil) unless against

        before = app.revisions.at(client, against)
        made.merge("before" => { "revision" => against, "day" => Reach::Overview.new(ways(app, client, before)).day })
      end

      def self.ways(app, client, fitting, **how)
        Reach::Ways.new(fitting, KNOWLEDGE, deadline: Server.deadline(LOOK_S), **CheckRoutes.heard(app, client, fitting), **how)
      end

      def self.ask(app, client)
        _, row = app.revisions.fitting(client)
        app.proposals.want(client, revision: row[:number], pinned: app.sent.fetch("pinned", []), author: app.author,
                                   shut: app.sent.slice("buttons", "gestures"))
      end

      # The newest, as it can be told on the fitting as it is.
      def self.view(app, client)
        fitting, revision = app.revisions.fitting(client)
        row = app.proposals.newest(client)
        { "revision" => revision[:number], "proposal" => row && RenderProposal.new(fitting, row).to_h }
      end

      def self.figures(app)
        said = app.proposals.said(app.account.service)
        { "figures" => Reach::Figures.from(said).plain, "said" => said, "usual" => Reach::Figures::USUAL }
      end
      private_class_method :ways
    end
  end
end
