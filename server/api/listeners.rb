# frozen_string_literal: true

module Kippen
  module Server
    # Browsers that listen, and what each source they hear stands for.
    module ListenerRoutes
      def self.registered(app)
        app.post("/api/clients/:client/listeners") do
          listener = listeners.add(params["client"], sent["name"])
          status 201
          json(ListenerRoutes.render(listener, {}))
        end

        app.get("/api/listeners/:listener") do
          listener = listeners.find(params["listener"])
          json(ListenerRoutes.render(listener, listeners.bindings(listener[:id])))
        end

        app.put("/api/listeners/:listener/bindings") do
          listener = listeners.find(params["listener"])
          fitting, = revisions.fitting(listener[:client_id])
          bindings = ListenerRoutes.read(sent["bindings"], fitting)
          Store.transaction(database) do
            listeners.bind(listener[:id], bindings)
            audit.note(account, Words.say(:did_bind), client: listener[:client_id])
          end
          json(ListenerRoutes.render(listener, bindings))
        end
      end

      # Returns { heard => button }. Raises Invalid with every unknown button.
      def self.read(list, fitting)
        faults = Faults.new
        list.each_with_index do |item, index|
          known = fitting.button(item["button"])
          unless known && Store::RawMessages.suits?(item["heard"], known.kind)
            faults.add("/bindings/#{index}/button", ListenerRoutes.fault(item, known))
          end
        end
        faults.raise_any
        list.to_h { |item| [item["heard"], item["button"]] }
      end

      # Why a source can't stand for a button.
      def self.fault(item, button)
        return Words.say(:unknown_button, ref: Faults.show(item["button"])) unless button

        name = CODES.describe(item["heard"]).name
        return Words.say(:only_step_stands, name:, button: button.name || button.id) if button.kind == "notch"

        wheel = item["heard"].start_with?("wheel:")
        why = Words.say(wheel ? :step_no_length : :open_or_closed)
        "#{name} can't stand for #{button.name || button.id}: #{why}"
      end

      def self.render(listener, bindings)
        { "id" => listener[:id], "client" => listener[:client_id], "name" => listener[:name],
          "bindings" => bindings.map { |heard, button| { "heard" => heard, "button" => button } } }
      end
    end
  end
end
