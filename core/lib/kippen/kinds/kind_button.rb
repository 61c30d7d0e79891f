# frozen_string_literal: true

module Kippen
  class Kinds
    # Checks one button of a kind that somebody made, see Reader.
    class KindButton
      include Fitting::Members

      MEMBERS = %w[id name kind at print role mirror builtin builtin_action clicks held_back heard signals counts is why claims
                   gestures].freeze
      HEARD = %w[browser recording stand_in variants after].freeze
      # What it does by itself as an action: only what a stand-in can do without asking.
      ACTIONS = %w[click scroll volume media system keys].freeze

      def initialize(faults) = @faults = faults

      def check(button, at)
        (button.keys - MEMBERS).each { |name| fault("#{at}/#{name}", :not_known_here) }
        %w[id role mirror].each { |key| id(button[key], "#{at}/#{key}") unless button[key].nil? && key != "id" }
        words(button, "name", at, needed: true)
        choice(button, "kind", Reader::BUTTON_KINDS, at)
        fault("#{at}/at", :no_shape) unless Reader.shape?(button["at"])
        fault("#{at}/print", :must_be_text_from_to, needed: 0, characters: Limits::NAME_CHARACTERS) unless text?(button["print"])
        does(button, at)
        heard(button["heard"], "#{at}/heard")
        signals(button, at)
        known(button, at)
      end

      private

      def fault(where, key, **parts) = @faults.add(where, Words.say(key, **parts))
      def text?(value) = value.is_a?(String) && value.length <= Limits::NAME_CHARACTERS

      def id(value, where)
        Fitting::Ids.ok?(value) || fault(where, :must_be_like, value: Faults.show(value), allowed: Fitting::Ids::ALLOWED)
      end

      def does(button, at)
        fault("#{at}/builtin", :is_missing) unless button.key?("builtin")
        unless [true, false].include?(button["held_back"])
          fault("#{at}/held_back", :must_be_true_or_false, value: Faults.show(button["held_back"]))
        end
        clicks(button, at)
        action = button["builtin_action"]
        if action.nil? || (action.is_a?(Hash) && ACTIONS.include?(action["kind"]) &&
                           action.values.all? { |one| one.is_a?(String) && one.length <= 40 })
          return
        end

        fault("#{at}/builtin_action", :no_builtin_action, values: ACTIONS.join(", "))
      end

      def clicks(button, at)
        return if [nil, true, false].include?(button["clicks"])

        fault("#{at}/clicks", :must_be_true_or_false, value: Faults.show(button["clicks"]))
      end

      # What is known of it is read as what is put right of one button is.
      def known(button, at)
        said = button.slice("is", "why", "held_back", "builtin", "gestures", "claims")
        Fitting::CorrectedReader.read({ "corrected" => said }, button["kind"], at, At.new(@faults, at))
        %w[is claims].each { |key| fault("#{at}/#{key}", :is_missing) unless button.key?(key) }
      end

      # Faults told without the step that only the other reader has.
      At = Struct.new(:faults, :at) do
        def add(where, message) = faults.add(where.sub("#{at}/corrected", at), message)
      end

      def heard(heard, at)
        return fault(at, :must_be_an_object) unless heard.is_a?(Hash)

        (heard.keys - HEARD).each { |name| fault("#{at}/#{name}", :not_known_here) }
        fault("#{at}/browser", :wrong_list, most: 20) unless sources?(heard["browser"])
        fault("#{at}/recording", :wrong_list, most: 20) unless strings?(heard["recording"], Reader::CODE)
        unless [true, false].include?(heard["stand_in"])
          fault("#{at}/stand_in", :must_be_true_or_false, value: Faults.show(heard["stand_in"]))
        end
        %w[variants after].each do |key|
          other = heard.fetch(key, {})
          unless other.is_a?(Hash) && other.all? { |id, list| Fitting::Ids.ok?(id) && sources?(list) }
            fault("#{at}/#{key}", :must_be_an_object)
          end
        end
      end

      def sources?(list) = strings?(list, Reader::SOURCE)

      def strings?(list, pattern)
        list.is_a?(Array) && list.size <= 20 && list.all? { |one| one.is_a?(String) && one.match?(pattern) }
      end

      def signals(button, at)
        list = button["signals"]
        right = list.is_a?(Array) && list.any? && list.uniq == list && (list - Reader::SIGNALS).empty?
        return fault("#{at}/signals", :must_array_of_gestures, values: Reader::SIGNALS.join(", ")) unless right

        choice(button, "counts", list, at)
      end
    end
  end
end
