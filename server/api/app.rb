# frozen_string_literal: true

module Kippen
  module Server
    # The API: parse, call, render. Errors become problem details here and nowhere else.
    class App < Sinatra::Base
      set :environment, :production
      set :show_exceptions, false
      set :raise_errors, false
      set :dump_errors, false
      set :logging, false
      set :static, false
      # Who may ask is settled before a request comes here, see rack.rb.
      set :host_authorization, {}
      set :protection, false

      register SessionRoutes
      register AccountRoutes
      register ClientRoutes
      register FoundRoutes
      register KindRoutes
      register DeviceRoutes
      register LaneRoutes
      register AlongRoutes
      register FreePlaceRoutes
      register WhereRoutes
      register CheckRoutes
      register HandoverRoutes
      register ByHandRoutes
      register PaperRoutes
      register FollowUpRoutes
      register FileRoutes
      register ReachRoutes
      register ScreenRoutes
      register PointerRoutes
      register RevisionRoutes
      register HistoryRoutes
      register ArrangementRoutes
      register ConfirmationRoutes
      register ListenerRoutes
      register BenchRoutes
      register StandinRoutes
      register SittingRoutes
      register TrialRoutes
      register FitRoutes
      register JoinRoutes
      register WayInRoutes
      register JoinedRoutes

      before { headers "cache-control" => "no-store" }
      # What nobody confirmed in time is taken back before anything of the client is looked at.
      before("/api/clients/:client*") { confirmations.settle(params["client"]) }

      helpers do
        def database = settings.database
        def clients = Store::Clients.new(database)
        def revisions = Store::Revisions.new(database)
        def confirmations = Store::Confirmations.new(database)
        def listeners = Store::Listeners.new(database)
        def joins = Store::Joins.new(database)
        def streams = Store::Streams.new(database)
        def benches = Store::Benches.new(database)
        def screens = Store::Screens.new(database)
        def sittings = Store::Sittings.new(database)
        def trials = Store::Trials.new(database)
        def fits = Store::Fits.new(database, line: Jobs::FitTiming.method(:line))
        def carriers = Store::Carriers.new(database)
        def by_hand(client) = Store::ByHand.new(database, client)
        def works = Store::Works.new(database)
        def handovers = Store::Handovers.new(database, line: Jobs::PutOnDevice.method(:line))
        def proposals = Store::Proposals.new(database, line: Jobs::Propose.method(:line))
        def accounts = Store::Accounts.new(database)
        def audit = Store::Audit.new(database)
        def kinds = Store::KeptKinds.new(database, account)
        def rodauth = env["kippen.rodauth"]

        # The Store::Accounts::Account that is signed in, or nil.
        def account = env["kippen.account"]
        def author = account.name

        # The join of whoever has joined by code, or nil.
        def joined = env["kippen.join"]

        # Offered only where Kippen was started with the demo, and the demo is there.
        def demo_offered? = settings.demo && !accounts.demo_service.nil?

        # Who changes something, and when, for the core.
        def making = { knowledge: KNOWLEDGE, by: author, at: Times.iso(Time.now) }

        # The desk of a client as the contract has it.
        def desk(id)
          head = revisions.head(id)
          heard = CheckRoutes.heard(self, id, head.fitting)
          has = handovers.standing(id, head.fitting)
          open = revisions.open(id, head.fitting)
            .merge(CheckRoutes.of(head.fitting, heard).counts, "differ" => has.count { |_, one| !one["same"] })
          undo, redone = Store::History.new(database, id).steps
          Render.desk(id, head, open:, contacts: heard[:contacts], pending: confirmations.pending(id))
            .merge("undo" => undo, "redo" => redone, "works_by" => works.by(id), "has" => has)
        end

        # The request's body as the contract's check has read it.
        def sent = env[OpenapiFirst::REQUEST].body

        # The request's query, likewise.
        def sought = env[OpenapiFirst::REQUEST].query

        def json(value)
          content_type "application/json"
          JSON.generate(value)
        end

        def known(list, id, always, what)
          return id if id == always || list.any? { |item| item.id == id }

          raise Store::Missing, Words.say(:no_such, what:, id: Faults.show(id))
        end

        # The place and the mode that are asked for; where none are, everywhere and the usual one. Raises Store::Missing.
        def spot(fitting)
          [known(fitting.places, params.fetch("place", Fitting::EVERYWHERE), Fitting::EVERYWHERE, "place"),
           known(fitting.modes, params.fetch("mode", Fitting::BASE), Fitting::BASE, "mode")]
        end

        def problem(status, detail, **more)
          halt Problem.response(status, detail, **more)
        end
      end

      error(Store::Missing) { |e| problem(404, e.message) }
      # What it belongs to was erased between two questions.
      error(Sequel::ForeignKeyConstraintViolation) do
        problem(404, Words.say(:erased_meanwhile))
      end
      error(Store::Handovers::Differs) { |e| problem(409, Words.say(:why_nothing_lost, why: e.message)) }
      error(Store::Sittings::Closed) { |e| problem(409, e.message) }
      error(Store::Joins::Wrong) { |e| problem(404, e.message) }
      error(Store::Joins::TooMany, Store::Streams::TooMany) { |e| problem(429, e.message) }
      error(Store::Accounts::Taken, Store::Accounts::LastLead) { |e| problem(409, Words.say(:why_nothing_changed, why: e.message)) }
      error(Store::Conflict) do |e|
        problem(409, Words.say(:why_nothing_lost, why: e.message),
                newest: Render.revision(e.newest), mine: e.mine, theirs: e.theirs)
      end
      error(Store::KeptKinds::Newer) { |e| problem(409, e.message, edition: KindRoutes.edition(e.newest)) }
      error(Invalid) do |e|
        problem(422, Words.say(:things_to_put_right, count: e.faults.size), faults: e.faults)
      end
      # Told by OneConnection, which drops the connection.
      error(*OneConnection::LOST) { |e| raise e }
      error(Deadline::Passed) { problem(413, Words.say(:takes_longer_than_waits)) }
      error(Deadline::GivenUp) { problem(429, Words.say(:newer_question)) }
      error(Sinatra::NotFound) { problem(404, Words.say(:nothing_at, path: request.path_info.slice(0, 120))) }
      error do |e|
        Problem.log(e)
        halt Problem.of_our_own(env)
      end
    end
  end
end
