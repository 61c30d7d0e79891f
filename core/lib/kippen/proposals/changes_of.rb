# frozen_string_literal: true

module Kippen
  module Proposals
    # What a proposal comes to as changes of the fitting, each as it is sent.
    class ChangesOf
      # table – Table; rows – [Rows::Row]; today – as the table has it
      def initialize(table, rows)
        @table = table
        @rows = rows.to_h { |row| [row.id, row] }
      end

      # One a slot that serves something else than today: [{ "want", "button", "gesture", "way", "change" }…]; and what has to
      # give way: [change…]. chosen, offers – as Answer has them
      def of(chosen, offers)
        today = @table.today.map { |one| [one.want, one.button, one.gesture] }
        new = chosen.reject { |one| today.include?(one.values_at("want", "button", "gesture")) }
        { "put" => new.map { |one| one.merge("change" => put(one)) }, "off" => gone(chosen, offers).map { |one| off(one) } }
      end

      private

      def put(one)
        { "kind" => "assign", "button" => one["button"], "gesture" => one["gesture"],
          "action" => @rows.fetch(one["want"]).action }
      end

      # What stands on a gesture that its button offers no more.
      def gone(chosen, offers)
        taken = chosen.map { |one| one.values_at("button", "gesture") }
        @table.today.reject do |one|
          offer = @table.button(one.button).offers[offers.fetch(one.button)]
          taken.include?([one.button, one.gesture]) || offer.gestures.key?(one.gesture)
        end
      end

      def off(one) = { "kind" => "clear", "button" => one.button, "gesture" => one.gesture }
    end
  end
end
