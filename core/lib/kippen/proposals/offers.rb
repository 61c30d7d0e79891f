# frozen_string_literal: true

module Kippen
  module Proposals
    # What a button could carry together, as usual, everywhere: sets of gestures, each with the exact waits and the rates that it
    # would have beside the others. What is on the button now and is no want's stays on it.
    class Offers
      FREE = %w[tap double_tap triple_tap long_press].freeze

      # ways – Reach::Ways; kept – gestures that stay as they are; closed – gestures that may not be used; own – is what the
      # button does by itself something that nobody wants to do with it, but has today?
      def initialize(ways, button, kept:, closed:, own:)
        @ways = ways
        @fitting = ways.fitting
        @button = button
        @kept = kept
        @own = own
        @free = (ways.case.kinds.gestures(@fitting, button) & FREE) - kept - closed
        @free -= %w[long_press] if kept.include?("hold")
        @lane = Press::Lane.new(@fitting, button)
        @held_back = Cautions.new(@fitting, ways.case.knowledge).held_back?(button)
      end

      # [{ "gestures" => { gesture => slot }, "offer_s" => 0 }…], that with nothing on it among them.
      def all
        sets = (0..@free.size).flat_map { |count| @free.combination(count).to_a }
        sets.filter_map { |set| offer(set) }
      end

      private

      def offer(set)
        all = set | @kept
        return if all.include?("triple_tap") && !all.include?("double_tap")

        choice = choice(all)
        impossible = Press::LimitsOfTiming.of(choice, timing).select { |limit| limit.how == "impossible" }.map(&:gesture)
        return if impossible.intersect?(set)

        { "gestures" => set.to_h do |gesture|
          [gesture, slot(gesture, choice)]
        end, "offer_s" => @own && set.include?("tap") ? @ways.figures.lost_s : 0 }
      end

      def timing = @fitting.timing(@button)

      # Where something is on it, an untouched tap stands for what the button does by itself.
      def choice(gestures)
        return Press::Resolver::BUILTIN if gestures.empty?

        made = Press::Resolver::Choice.new(:assigned, nil, nil, nil, nil, 0, false)
        made.tap = own_tap(gestures)
        gestures.each { |gesture| put(made, gesture) }
        made.top = [made.tap, made.double_tap, made.triple_tap].rindex(&:itself)&.succ || 0
        made
      end

      def own_tap(gestures)
        return if gestures.include?("tap") || @lane.choice.kind == :blocked || gestures == %w[hold]

        Fitting::Assignment.new(gesture: "tap", action: Reach::WhatHappens::BUILTIN, at_once: !@held_back)
      end

      def put(choice, gesture)
        now = if gesture == "hold"
                @lane.choice.long
              else
                @lane.choice[gesture == "long_press" ? :long : gesture]
              end
        one = Fitting::Assignment.new(gesture:, action: { "kind" => "nothing" }, at_once: now&.at_once && gesture == "tap")
        %w[hold long_press].include?(gesture) ? choice.long = one : choice[gesture] = one
      end

      def slot(gesture, choice)
        rate = @ways.rates.of(@button, gesture, Reach::Rates.of_choice(choice))
        { "presses" => Tuning::PRESSES.fetch(gesture),
          "seconds" => (@ways.times.taken(@button, gesture, choice, timing) / 1e6).round(6),
          "right" => rate.right.round(6), "low" => rate.low.round(6), "high" => rate.high.round(6), "measured" => rate.measured?,
          "trials" => rate.n }
      end
    end
  end
end
