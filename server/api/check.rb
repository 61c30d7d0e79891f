# frozen_string_literal: true

module Kippen
  module Server
    # What is wrong with a client's fitting before it hurts, and what would mend it.
    module CheckRoutes
      # Of work of a core. What it cuts short is told as not looked for.
      LOOKING_S = 0.8
      MENDING_S = 2
      WHERE = %w[host device button gesture place mode want shortlist setting].freeze

      def self.registered(app)
        app.get("/api/clients/:client/check") do
          fitting, revision = revisions.fitting(params["client"])
          result = CheckRoutes.of(fitting, CheckRoutes.heard(self, params["client"], fitting))
          json("revision" => revision[:number], "findings" => result.findings.map(&:checked),
               "looked_for" => CheckRoutes.not_found(result), "left_out" => CheckRoutes.left_out(result))
        end

        app.get("/api/clients/:client/check/fixes") do
          fitting, = revisions.fitting(params["client"])
          heard = CheckRoutes.heard(self, params["client"], fitting)
          finding = CheckRoutes.finding(fitting, heard, sought) || problem(404, Words.say(:finding_gone))
          fixes = Check::Fixes.new(fitting, KNOWLEDGE, at: Times.iso(Time.now), deadline: Server.deadline(MENDING_S), **heard)
          json("fixes" => fixes.of(finding).map(&:plain))
        end
      end

      # What was heard of a client, as Check.of takes it.
      def self.heard(app, client, fitting)
        { contacts: app.streams.contacts(client, fitting), trials: CheckPresses.new(app, client, fitting),
          figures: app.proposals.figures(client) }
      end

      # heard – see .heard
      def self.of(fitting, heard, seconds = LOOKING_S)
        Check.of(fitting, KNOWLEDGE, deadline: Server.deadline(seconds), **heard)
      end

      # The Finding that is asked about, as long as it is there. sought – its id and where
      def self.finding(fitting, heard, sought)
        where = sought.slice(*WHERE)
        of(fitting, heard).findings.find { |one| one.id == sought["id"] && one.where == where }
      end

      # What was looked for and not found, in words.
      def self.not_found(result)
        (result.looked_for - result.findings.map(&:id)).map { |id| name(id) }
      end

      # What took too long to be looked for, in words.
      def self.left_out(result) = (Check::FINDERS.map { |finder| finder::ID } - result.looked_for).map { |id| name(id) }

      def self.name(id) = Words.say(:"check_name_#{id}")
      private_class_method :name
    end
  end
end
