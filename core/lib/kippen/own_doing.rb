# frozen_string_literal: true

module Kippen
  # What a button does by itself besides its tap, made by the host of presses that are passed through:
  # a double-click of two of them, dragging of one that is kept down.
  class OwnDoing
    GESTURES = %w[double_tap hold].freeze
    CLICKS = %w[builtin click].freeze

    # kept – does it still come about; words – what it is; remedy – how it can be had otherwise, in words
    Doing = Struct.new(:gesture, :words, :kept, :remedy, keyword_init: true) do
      def lost_words = Words.say(:own_lost, words:, remedy:)
    end

    # data – what the kind says of the button, or nil; choice – a Press::Resolver::Choice. Returns [Doing].
    def self.of(data, choice)
      builtin = (data || {}).fetch("builtin", {})
      GESTURES.filter_map do |gesture|
        words = builtin[gesture] or next
        Doing.new(gesture:, words:, kept: kept?(gesture, choice), remedy: Words.say(:"own_#{gesture}_remedy")).freeze
      end
    end

    # Passed through, all of it comes about. Counted by Kippen, two taps are two clicks, one after the
    # other, unless a second one is waited for; and nothing is down as long as it is held but a hold that clicks.
    def self.kept?(gesture, choice)
      return choice.kind == :builtin unless choice.kind == :assigned
      return clicks?(choice.long) && choice.long.gesture == "hold" if gesture == "hold" || choice.lone_hold?

      choice.top == 1 && clicks?(choice.tap)
    end

    def self.clicks?(assignment) = !assignment.nil? && CLICKS.include?(assignment.action["kind"]) && assignment.action.fetch("times", 1) == 1
    private_class_method :kept?, :clicks?
  end
end
