# frozen_string_literal: true

module Kippen
  module Server
    # Wants as the JSON of the contract, each with the buttons that do it.
    module RenderWants
      # So many ways are told of each; more are counted.
      MOST_WAYS = 8

      def self.all(fitting)
        wants = Reach::Wants.of(fitting, KNOWLEDGE)
        fitting.wants.map { |want| want(fitting, wants, want) }
      end

      def self.want(fitting, wants, want)
        { "id" => want.id, "what" => want.what, "place" => want.place, "hosts" => want.hosts, "times_a_day" => want.times_a_day,
          "wrong" => want.wrong, "asked_by" => want.asked_by, "importance" => want.importance, "second_way" => want.second_way,
          "action" => want.action,
          "action_name" => want.action && CATALOGUE.of(fitting).name(want.action), "state" => wants.state(want),
          **ways(fitting, wants.ways(want)) }
      end

      def self.ways(fitting, ways)
        { "ways" => ways.first(MOST_WAYS).map { |way| way(fitting, way) }, "more_ways" => [ways.size - MOST_WAYS, 0].max }
      end

      def self.way(fitting, way)
        device = fitting.device(way.button.device)
        { "button" => way.button.ref, "gesture" => way.gesture,
          "words" => Words.say(way.builtin ? :way_by_itself : :way, button: Words.button(device, way.button),
                                                                    gesture: Words.gesture(way.gesture)) }
      end
      private_class_method :ways, :way
    end
  end
end
