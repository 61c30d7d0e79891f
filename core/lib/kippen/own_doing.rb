# frozen_string_literal: true

module Kippen
  # What a button does by itself besides its tap, made by the host of presses that are passed through:
  # a double-click of two of them, dragging of one that is kept down.
  class OwnDoing
    GESTURES = %w[double_tap hold].freeze
    CLICKS = %w[builtin click].freeze

    # kept – does it still come about; words – what it is; lost – why not, and how it can be had otherwise, or nil;
    # hardly – the same where it can only hardly come about; by_timing – is it the timing, not what is assigned;
    # brief – what it is, with how far it comes about
    Doing = Struct.new(:gesture, :words, :kept, :lost, :hardly, :by_timing, :brief, keyword_init: true) do
      # Is less of it left than of another?
      def worse_than?(other) = rank > other.rank

      def trouble = lost || hardly

      protected

      def rank = [lost, hardly].index(&:itself)&.then { |index| 2 - index } || 0
    end

    # lane – a Press::Lane of a fitting; choice – in place of the lane's own. Returns [Doing].
    def self.on(fitting, kinds, lane, choice: lane.choice)
      new(fitting, kinds, lane, choice).all
    end

    def initialize(fitting, kinds, lane, choice)
      @fitting = fitting
      @kinds = kinds
      @button = lane.button
      @choice = choice
      @timing = lane.timing
    end

    def all
      builtin = (@kinds.button(@fitting.device(@button.device), @button) || {}).fetch("builtin", {})
      GESTURES.filter_map { |gesture| builtin[gesture] && doing(gesture, builtin[gesture]) }
    end

    private

    def doing(gesture, words)
      remedy = Words.say(:"own_#{gesture}_remedy")
      unless comes_about?(gesture)
        return Doing.new(gesture:, words:, kept: false, lost: Words.say(:own_lost, words:, remedy:), brief: words.downcase).freeze
      end

      lost, hardly = gesture == "hold" ? held(words, remedy) : clicked(words, remedy)
      brief = hardly ? Words.say(:"own_#{gesture}_hardly", words: words.downcase) : words.downcase
      Doing.new(gesture:, words:, kept: lost.nil?, lost:, hardly:, by_timing: !(lost || hardly).nil?, brief:).freeze
    end

    # Passed through, all of it comes about. Counted by Kippen, two taps are two clicks, one after the
    # other, unless a second one is waited for; and nothing is down as long as it is held but a hold that clicks.
    def comes_about?(gesture)
      return @choice.kind == :builtin unless @choice.kind == :assigned
      return clicks?(@choice.long) && @choice.long.gesture == "hold" if gesture == "hold" || @choice.lone_hold?

      @choice.top == 1 && clicks?(@choice.tap)
    end

    def clicks?(assignment)
      !assignment.nil? && CLICKS.include?(assignment.action["kind"]) && assignment.action.fetch("times", 1) == 1
    end

    # [lost, hardly] of two clicks under this timing.
    def clicked(words, remedy)
      ms = host_ms
      room = once([:double_room, ms]) { |clicks| clicks.room_us(ms) }
      return [nil, nil] if room >= Press::LimitsOfTiming::HARDLY_ROOM_US

      host = @fitting.host(@button.host)
      given = { words:, filter:, host: host.name || host.id, ms:, remedy: }
      room.zero? ? [Words.say(:own_lost_to_filter, **given), nil] : [nil, Words.say(:own_hardly, room: Words.ms(room), **given)]
    end

    # [lost, hardly] of dragging: what a guard takes for a bounce after a drop-out is let go for good.
    def held(words, remedy)
      return [nil, nil] if @timing.bounce_guard_us.zero? || once([:held_on], &:held_on?)

      [nil, Words.say(:own_hold_drops, words:, guard: Words.ms(@timing.bounce_guard_us), drop: Words.ms(OwnClicks::DROP_US),
                                       remedy:)]
    end

    # Worked out once for all buttons of a fitting that are alike in it.
    def once(what)
      shape = [@choice.kind, @choice.long&.gesture, @choice.top]
      @fitting.recall([:own_clicks, what, shape, @timing]) { yield OwnClicks.new(@choice, @timing) }
    end

    def host_ms = @kinds.double_click_ms(@fitting.device(@button.device), @fitting.host(@button.host))

    # What holds clicks back, with its figures.
    def filter
      parts = %w[gap_bridge bounce_guard brush_guard].filter_map do |name|
        us = @timing["#{name}_us"]
        Words.say(:with_figure, name: Words.setting(name).downcase, ms: Words.ms(us)) if us.positive?
      end
      parts.empty? ? Words.say(:no_filter) : parts.join(", ")
    end
  end
end
