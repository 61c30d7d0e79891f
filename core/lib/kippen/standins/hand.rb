# frozen_string_literal: true

module Kippen
  module Standins
    # A simulated hand on a simulated button: from a script and a seed to raw events, as a
    # listener would hear them. How long it presses, how far apart, whether it strikes again,
    # bounces, drops out, tires, is the hand's own description, see docs/stand-ins.md.
    class Hand
      # What it can be asked to do: how many presses, and are they long.
      SCRIPT = { "tap" => [1, false], "double_tap" => [2, false], "triple_tap" => [3, false], "long_press" => [1, true],
                 "rest" => [0, false],
                 "carry" => [0, false] }.freeze
      # So long a force button is rested on, or carried.
      STILL_US = 1_200_000
      # How hard it presses where its description does not say.
      FORCE = { "press" => 0.8, "wobble" => 0.03 }.freeze
      PAUSE = { "median" => 1800, "spread" => 0.1 }.freeze
      # A row of a trace without its source: time in microseconds, kind, value.
      Event = Struct.new(:time_us, :kind, :value)

      # description – one of a fitting's "hands"; seed – Integer
      def initialize(description, seed)
        @hand = description
        @chance = Chance.new(seed)
        @slowing = 1.0
      end

      # kind – of the button: "contact", "force" or "notch"; script – keys of SCRIPT.
      # Returns Events in the order of their times, the last of kind "told" when nothing more can come.
      def play(kind, script, from_us: 0)
        @events = []
        @now = from_us
        script.each { |wanted| act(kind, wanted, *SCRIPT.fetch(wanted)) }
        @events.sort_by.with_index { |event, index| [event.time_us, index] } << Event.new(@now + 10_000_000, "told", "")
      end

      private

      def act(kind, wanted, presses, long)
        if presses.zero?
          kind == "force" ? lean(wanted) : brush(kind)
        end
        presses.times do |number|
          @now += length("apart_ms") if number.positive?
          press(kind, long)
        end
        strike_again(kind) if presses.positive?
        @now += @chance.length_us(PAUSE)
      end

      # A hand that tires presses longer and longer.
      def length(name) = (@chance.length_us(@hand.fetch(name)) * @slowing).round

      def press(kind, long)
        return add(@now, "notch") if kind == "notch"

        began = @now
        ended = began + length(long ? "long_ms" : "press_ms")
        kind == "force" ? squeeze(began, ended) : close(began, ended)
        @now = ended
        @slowing *= 1 + @hand.fetch("slowing", 0)
      end

      # A contact that bounces as it closes, and drops out where the grip is weak.
      def close(began, ended)
        at = bounce(began)
        gaps(at, ended).each do |from, to|
          add(from, "up")
          add(to, "down")
        end
        add(ended, "up")
      end

      def bounce(began)
        add(began, "down")
        bounce = @hand["bounce"]
        return began unless bounce && @chance.happens?(bounce["chance"])

        at = began + @chance.length_us(bounce["gap_ms"])
        add(at, "up")
        again = at + @chance.length_us(bounce["gap_ms"])
        add(again, "down")
        again
      end

      def gaps(from, to)
        drop = @hand["drop_out"]
        return [] unless drop

        times = @chance.times(drop["per_second"] * (to - from) / 1_000_000.0)
        times.times.each_with_object([]) do |index, gaps|
          at = from + ((to - from) * (index + 1) / (times + 1))
          open = @chance.length_us(drop["gap_ms"])
          gaps << [at, at + open] if at + open < to
        end
      end

      # What a hand weighs that only rests on it, or carries it.
      def lean(wanted)
        height = @hand.dig("force", wanted) or return
        squeeze(@now, @now + STILL_US, height:)
        @now += STILL_US
      end

      # A squeeze rises, wobbles and falls; told in steps, as a listener tells it.
      def squeeze(began, ended, height: nil)
        force = @hand.fetch("force", FORCE)
        height ||= force["press"]
        steps = [(ended - began) / 40_000, 4].max
        (0..steps).each do |step|
          shape = [1.0, step / 2.0, (steps - step) / 2.0].min
          level = ((height + (force.fetch("wobble", 0) * @chance.normal)) * shape).clamp(0, 1).round(2)
          add(began + ((ended - began) * step / steps), "level", level.to_s)
        end
      end

      def strike_again(kind)
        again = @hand["restrike"]
        return if kind != "contact" || again.nil? || !@chance.happens?(again["chance"])

        @now += @chance.length_us(again["after_ms"])
        add(@now, "down")
        @now += @chance.length_us(again["length_ms"])
        add(@now, "up")
      end

      def brush(kind)
        touch = @hand["brush"]
        return if kind != "contact" || touch.nil? || !@chance.happens?(touch["chance"])

        add(@now, "down")
        @now += @chance.length_us(touch["length_ms"])
        add(@now, "up")
      end

      def add(time_us, kind, value = "") = @events << Event.new(time_us, kind, value)
    end
  end
end
