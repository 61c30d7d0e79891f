# frozen_string_literal: true

module Kippen
  module Server
    # For whoever joins by code: sends presses, and sees the screen of its own host.
    module JoinedRoutes
      # Only the prompt, and what comes of it; no figures.
      def self.prompt(app, row)
        fitting, = app.revisions.fitting(app.joined[:client_id])
        return unless row && row[:prompt] && row[:ended_at].nil? && fitting.button(row[:button])&.host == app.joined[:host]

        RenderTuning.new(fitting).asked(row)
      end

      def self.registered(app)
        app.post("/api/joined") do
          token, join = joins.join(sent["code"], sent["name"])
          Store::News.tell(database, join[:client_id], "joins")
          status 201
          json("token" => token, "opens" => join[:lists] ? "list" : "listener")
        end

        app.get("/api/joined") do
          fitting, = revisions.fitting(joined[:client_id])
          json("host" => fitting.host(joined[:host])&.then { |host| host.name || host.id } || joined[:host])
        end

        app.post("/api/joined/streams") do
          status 201
          json("id" => streams.add(joined[:listener], raw: true))
        end

        app.post("/api/joined/streams/:own/messages") do
          stream = streams.find(params["own"])
          raise Store::Missing, Words.say(:no_stream, id: params["own"]) unless stream[:listener_id] == joined[:listener]

          json(BenchRoutes.take(self, stream).slice("stream", "received", "heard_through", "next_us", "cues", "quiet", "places"))
        end

        # The screen of its own host, and no other's; nothing that is of the fitting alone.
        app.get("/api/joined/screen") do
          fitting, = revisions.fitting(joined[:client_id])
          host = fitting.host(joined[:host]) || raise(Store::Missing, Words.say(:no_host, id: joined[:host]))
          json(RenderScreen.view(screens.of(joined[:client_id], fitting, host)).merge("refuses" => [], "happenings" => []))
        end

        # What the client is asked to press: of its own host only.
        app.get("/api/joined/prompt") { json("prompt" => JoinedRoutes.prompt(self, sittings.open(joined[:client_id]))) }

        # What a source is called: of the code tables alone.
        app.get("/api/joined/names") { json("name" => CODES.describe(sought["source"]).name) }
      end
    end
  end
end
