# frozen_string_literal: true

module Kippen
  module Server
    # How far the pointer comes with a held button.
    module PointerRoutes
      # Held for so long, then let go too late.
      HELD_MS = [500, 1000, 2000].freeze
      # Slower than this nobody waits for it to be across.
      MOST_MS = 60_000

      def self.registered(app)
        app.get("/api/clients/:client/pointer") do
          fitting, = revisions.fitting(params["client"])
          host = fitting.host(sought["host"]) || raise(Store::Missing, Words.say(:no_host, id: Faults.show(sought["host"])))
          json(PointerRoutes.told(KNOWLEDGE.host_kinds.of(host.system).screen.first, **PointerRoutes.asked(sought)))
        end
      end

      def self.asked(sought)
        { step_px: sought["step_px"], faster: sought["faster"], after_ms: sought["after_ms"], every_ms: sought["every_ms"] }
      end

      def self.told(width, step_px:, faster:, after_ms:, every_ms:)
        steps = Pointer::Steps.new(delta_px: step_px, after_ms:, every_ms:, **Pointer::FASTER.fetch(faster))
        across = steps.curve(until_ms: MOST_MS, until_px: width)
        { "curve" => across, "width_px" => width, "across_ms" => across.last[1] >= width ? across.last[0] : nil,
          "late_ms" => Pointer::USUAL_LATE_MS,
          "runs_on" => HELD_MS.map { |ms| { "after_ms" => ms, "px" => steps.runs_on(ms, Pointer::USUAL_LATE_MS) } } }
      end
    end
  end
end
