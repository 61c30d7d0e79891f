# frozen_string_literal: true

module Kippen
  module Server
    # What is wrong with a client's fitting before it hurts, and what would mend it.
    module CheckRoutes
      # Of work of a core. What it cuts short is told as not looked for.
      LOOKING_S = 0.8
      MENDING_S = 2
      # What a fitting says by itself.
      FINDERS = Check::WITHOUT_PRESSES
      WHERE = %w[host device button gesture place mode want shortlist setting].freeze

      def self.registered(app)
        app.get("/api/clients/:client/check") do
          fitting, revision = revisions.fitting(params["client"])
          result = CheckRoutes.of(fitting, streams.contacts(params["client"], fitting))
          json("revision" => revision[:number], "findings" => result.findings.map(&:checked),
               "looked_for" => CheckRoutes.looked(result, found: false), "left_out" => CheckRoutes.left_out(result))
        end

        app.get("/api/clients/:client/check/fixes") do
          fitting, = revisions.fitting(params["client"])
          contacts = streams.contacts(params["client"], fitting)
          finding = CheckRoutes.finding(fitting, contacts, sought) || problem(404, Words.say(:finding_gone))
          fixes = Check::Fixes.new(fitting, KNOWLEDGE, contacts:, finders: FINDERS, at: Times.iso(Time.now),
                                                       deadline: Server.deadline(MENDING_S))
          json("fixes" => fixes.of(finding).map(&:plain))
        end
      end

      # contacts – what was heard, by device
      def self.of(fitting, contacts, seconds = LOOKING_S)
        Check.of(fitting, KNOWLEDGE, contacts:, finders: FINDERS, deadline: Server.deadline(seconds))
      end

      # The Check::Finding that is asked about, as long as it is there. sought – its id and where
      def self.finding(fitting, contacts, sought)
        where = sought.slice(*WHERE)
        of(fitting, contacts).findings.find { |one| one.id == sought["id"] && one.where == where }
      end

      # What was looked for, in words: what was found of it, or what wasn't.
      def self.looked(result, found:)
        result.looked_for.select { |id| result.findings.any? { |one| one.id == id } == found }.map { |id| name(id) }
      end

      # What took too long to be looked for, in words.
      def self.left_out(result) = (FINDERS.map { |finder| finder::ID } - result.looked_for).map { |id| name(id) }

      def self.name(id) = Words.say(:"check_name_#{id}")
      private_class_method :name
    end
  end
end
