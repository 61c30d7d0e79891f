# frozen_string_literal: true

module Kippen
  module Server
    # Where what a want needs, or an action, could go that does nothing else yet.
    module FreePlaceRoutes
      def self.registered(app)
        app.get("/api/clients/:client/free") do
          problem(400, Words.say(:name_want_or_action)) unless sought["want"] || sought["action"]
          fitting, = revisions.fitting(params["client"])
          place, mode = spot(fitting)
          knowledge = KNOWLEDGE.of(fitting)
          action, hosts = FreePlaceRoutes.meant(fitting, knowledge, sought)
          problem(404, Words.say(:no_want_nor_action)) unless action

          free = Reach::FreePlaces.new(fitting, knowledge, deadline: Server.deadline(RevisionRoutes::LOOK_S))
            .of(action, place:, mode:, hosts:)
          json("action" => action, "name" => knowledge.catalogue.name(action),
               "places" => free.map { |one| FreePlaceRoutes.render(one) })
        end
      end

      # [the action or nil, ids of the hosts it is meant for]
      def self.meant(fitting, knowledge, sought)
        want = sought["want"] && fitting.wants.find { |one| one.id == sought["want"] }
        want ? [want.action, want.hosts] : [knowledge.catalogue.find(sought["action"].to_s)&.action, []]
      end

      def self.render(one) = { "button" => one.button.ref, "gesture" => one.gesture, "costs" => one.costs, "loses" => one.loses }
    end
  end
end
