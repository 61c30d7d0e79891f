# frozen_string_literal: true

module Kippen
  module Changes
    # What every kind of change has in common: it is a frozen value, read from what was sent.
    class Change
      class << self
        # kind – as it is sent, nil for what is never sent; fields, and more with what they are where nothing is said
        def of(kind, *fields, **usual)
          names = [*fields, *usual.keys]
          Class.new(self) do
            attr_reader(*names)

            define_singleton_method(:kind) { kind }
            define_singleton_method(:fields) { fields }
            define_singleton_method(:usual) { usual }
          end
        end

        # sent – a Hash with "kind" and the fields. Raises Invalid for one that is missing or unknown.
        def read(sent)
          given = sent.except("kind")
          missing = fields.map(&:to_s) - given.keys
          unknown = given.keys - [*fields, *usual.keys].map(&:to_s)
          faults = missing.map { |name| Fault.new("/change/#{name}", Words.say(:is_missing)) } + unknown.map do |name|
            Fault.new("/change/#{name}", Words.say(:not_known_here))
          end
          raise Invalid, faults if faults.any?

          new(**given.transform_keys(&:to_sym))
        end
      end

      def initialize(**given)
        self.class.usual.merge(given).each { |name, value| instance_variable_set("@#{name}", value) }
        freeze
      end

      private

      def refuse(member, words) = raise(Invalid.at("/change/#{member}", words))
    end
  end
end
