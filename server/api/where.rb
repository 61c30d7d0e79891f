# frozen_string_literal: true

module Kippen
  module Server
    # Places, modes, shortlists and cues of a client, and what a press would do where.
    module WhereRoutes
      def self.registered(app)
        app.get("/api/clients/:client/where") do
          fitting, revision = revisions.fitting(params["client"])
          json(RenderWhere.new(fitting).all(revision[:number]))
        end

        app.get("/api/clients/:client/answers") do
          fitting, revision = revisions.fitting(params["client"])
          button = fitting.button(sought["button"]) ||
                   problem(404, Words.say(:unknown_button, ref: Faults.show(sought["button"])))
          place, mode = spot(fitting)
          json("revision" => revision[:number], "answers" => RenderWhere.new(fitting).answers(button, place, mode))
        end
      end
    end
  end
end
