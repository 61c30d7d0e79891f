# frozen_string_literal: true

module Kippen
  class Catalogue
    # One thing that must be said before an action is whole: whom to call, which keys, how far.
    # type – "text", "number", "choice", "keys", "app", "time", "steps" or "button"
    class Ask
      TIME = /\A([01]\d|2[0-3]):[0-5]\d\z/
      MOST_TEXT = 500

      attr_reader :data, :member, :label, :type, :usual

      # data – the JSON object; apps – { id => name }
      def initialize(data, apps)
        @data = data
        @apps = apps
        @member, @label, @type, @usual = data.values_at("member", "label", "type", "usual")
        freeze
      end

      def needed? = usual.nil?

      # What is wrong with a value, in words, or nil.
      def fault(value)
        case type
        when "text" then text_fault(value)
        when "number" then number_fault(value)
        when "choice" then unless values.include?(value)
                             Words.say(:must_be_one_of, value: Faults.show(value), values: values.join(", "))
                           end
        when "keys" then Combination.fault(value)
        when "app" then unless Fitting::Ids.ok?(value)
                          Words.say(:must_be_like, value: Faults.show(value), allowed: Fitting::Ids::ALLOWED)
                        end
        when "time" then time_fault(value)
        when "button" then button_fault(value)
        when "steps" then Steps.faults(value).first&.last
        end
      end

      # A right value as it is said.
      def words(value)
        case type
        when "choice" then choice(value)&.fetch("words") || value.to_s
        when "keys" then Combination.label(value)
        when "app" then @apps.fetch(value) { Fitting::Apps.named(value) }
        else value.to_s
        end
      end

      # The only gestures that can carry a value, or nil for all.
      def only(value) = type == "choice" ? choice(value)&.fetch("only", nil) : nil

      private

      def most = data.fetch("most", MOST_TEXT)
      def values = data["choices"].map { |choice| choice["value"] }
      def choice(value) = data["choices"].find { |choice| choice["value"] == value }

      def text_fault(value)
        Words.say(:must_be_text_to, most:) unless value.is_a?(String) && value.strip.length.between?(1, most)
      end

      def time_fault(value)
        Words.say(:must_time_such_as, value: Faults.show(value)) unless value.is_a?(String) && value.match?(TIME)
      end

      # Steps.stop looks whether the fitting has it.
      def button_fault(value)
        return if value == usual || (value.is_a?(String) && value.include?("/") && Fitting::Ids.spot?(value))

        Words.say(:must_be_a_button, value: Faults.show(value))
      end

      def number_fault(value)
        from, to = data.values_at("from", "to")
        return if value.is_a?(Integer) && value.between?(from, to)

        Words.say(:is_must_be_whole_from_to, value: Faults.show(value), from:, to:)
      end
    end
  end
end
