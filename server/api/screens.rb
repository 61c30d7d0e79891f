# frozen_string_literal: true

module Kippen
  module Server
    # The stand-in hosts of a client: what stands on their screens, and what somebody does on one by hand.
    module ScreenRoutes
      LISTENER = "Stand-in host"
      SETTLED_US = 1_000_000

      def self.registered(app)
        app.get("/api/clients/:client/screens") do
          fitting, = revisions.fitting(params["client"])
          json("screens" => screens.all(params["client"], fitting).map { |screen| RenderScreen.view(screen) })
        end

        app.post("/api/clients/:client/screens") do
          fitting, = revisions.fitting(params["client"])
          host = fitting.host(sent["host"]) ||
                 raise(Invalid.at("/host", Words.say(:unknown_host, host: Faults.show(sent["host"]))))
          ScreenRoutes.happen(self, fitting, host) if sent["do"] == "happen"
          json(RenderScreen.view(screens.change(params["client"], fitting, host) { |screen| ScreenRoutes.by_hand(screen, sent) }))
        end
      end

      # Something happens to the host: heard as any other press is.
      def self.happen(app, fitting, host)
        screen = app.screens.of(app.params["client"], fitting, host)
        ref = app.sent["button"]
        unless screen.happenings.any? { |one| one.ref == ref }
          raise Invalid.at("/button", Words.say(:unknown_button, ref: Faults.show(ref)))
        end

        stream = app.streams.find(app.streams.going_on(app.listeners.standing_in(app.params["client"], LISTENER)))
        rows = [*StandinRoutes.spots([screen]), [0, ref, "notch", ""], [SETTLED_US, "", Press::Bench::TOLD, ""]]
        BenchRoutes.keep(app, stream, ahead: nil) { StandinRoutes.numbered(rows, app.streams.last(stream[:id])) }
      end

      # The Standins::Screen after what somebody did: points at an element, opens an app, takes a line …
      def self.by_hand(screen, asked)
        case asked["do"]
        when "point" then point(screen, asked["element"])
        when "line" then screen.list ? Standins::Effects.new(screen).take(asked["line"]) : screen
        when "lock" then screen.with(locked: asked["on"] == true)
        when "afar" then screen.with(afar: asked["on"] == true)
        when "ring" then screen.with(call: "ringing")
        when "happen" then screen
        else Standins::Screen.new(screen.fitting, screen.knowledge, screen.host)
        end
      end

      # Moves the pointer there and presses.
      def self.point(screen, key)
        found = screen.layout.elements.find { |one| one.key == key } ||
                raise(Invalid.at("/element", Words.say(:screen_no_element, element: Faults.show(key))))
        return screen.does({ "kind" => "open", "app" => key.delete_prefix("start:") }) if found.kind == "start"

        left, top, width, height = found.rect
        # What lay behind is in front then, with the pointer over its head.
        left, top, width, height = Standins::Layout::FRONT if found.kind == "behind"
        pointed = screen.with(pointer: [left + (width / 2), top + (%w[window behind].include?(found.kind) ? 6 : height / 2)])
        %w[window part behind].include?(found.kind) ? Standins::Effects.new(pointed).pressed(found.where) : pointed
      end
      private_class_method :point
    end
  end
end
