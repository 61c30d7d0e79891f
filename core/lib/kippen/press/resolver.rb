# frozen_string_literal: true

module Kippen
  module Press
    # Which assignments hold for a button, in a mode, at a spot: the first hit of
    # mode with part, with app, everywhere; then the same in base where the mode
    # says that base holds otherwise. Every answer is worked out once and kept.
    class Resolver
      # Where a host's pointer or focus is: the places that hold there, closest first.
      # choices – what has been worked out there: mode => [Choice by the button's index]
      Spot = Struct.new(:where, :places, :choices)

      # What a button can do here and now.
      # kind – :assigned, :builtin or :blocked; the five gestures' assignments or nil
      # top  – highest number of taps among them; long – the hold or long_press
      # while_held – does the mode count for as long as the hold that keeps it is on?
      Choice = Struct.new(:kind, :tap, :double_tap, :triple_tap, :long, :top, :while_held) do
        # Is there anything to count without a tap gap?
        def unhurried? = while_held && top > 1
        def counted(count) = [nil, tap, double_tap, triple_tap][count]
        def lone_hold? = top.zero? && long&.gesture == "hold"
        def held_mode = (long.held_mode if long && long.gesture == "hold")
      end

      BUILTIN = Choice.new(:builtin, nil, nil, nil, nil, 0, false).freeze
      BLOCKED = Choice.new(:blocked, nil, nil, nil, nil, 0, false).freeze
      TAPS = %w[tap double_tap triple_tap].freeze
      LONGS = %w[long_press hold].freeze

      REMEMBERED = 4_096

      # What decides which assignment holds in a fitting: worked out once.
      def self.of(fitting) = fitting.recall(:resolver) { new(fitting) }

      # Ids of the places that hold at "app", "app/part" or "", closest first. Yields an app and a part, nil for the app
      # itself; wants the id of that place, or nil.
      def self.places(where)
        app, part = where.split("/", 2)
        [(yield(app, part) if part), (yield(app, nil) if app), Fitting::EVERYWHERE].compact
      end

      # [[mode, place]…] in the order in which they are looked at. otherwise – of the mode
      def self.rungs(mode, otherwise, places)
        modes = mode != Fitting::BASE && otherwise == "base" ? [mode, Fitting::BASE] : [mode]
        modes.product(places)
      end

      def initialize(fitting)
        @fitting = fitting
        @places = fitting.places.reject(&:off).to_h { |place| [[place.app, place.part], place.id] }
        @live = live_assignments
        @otherwise = fitting.modes.to_h { |mode| [mode.id, mode.otherwise] }
        @while_held = counted_while_held
        @spots = {}
        @choices = Hash.new { |all, places| all[places] = {} }
      end

      # where – "app", "app/part" or "" for nowhere. A part not known counts as the app.
      def spot(where)
        @spots[where] || begin
          # A trace may name any number of apps.
          @spots.clear if @spots.size >= REMEMBERED
          @spots[where] = find(where)
        end
      end

      # Takes a Button, a mode's id and a Spot; returns a Choice.
      def choice(button, mode, spot)
        by_button = spot.choices[mode] ||= []
        by_button[button.index] ||= resolve(button, mode, spot)
      end

      def mode?(id) = @otherwise.key?(id)

      # Are presses counted in this mode for as long as a hold keeps it on? Not where no hold ever does.
      def while_held?(mode) = @while_held.include?(mode)

      # Does the mode itself, not what it falls back to, say anything about the button here?
      def own?(button, mode, spot)
        by_spot = @live[button.ref]
        by_spot ? spot.places.any? { |place| by_spot.key?([mode, place]) } : false
      end

      private

      def find(where)
        at(where, Resolver.places(where) { |app, part| @places[[app, part]] })
      end

      # Where the same places hold, the same choices do: many spots may share them.
      def at(where, places) = Spot.new(where, places.freeze, @choices[places]).freeze

      def counted_while_held
        held = @fitting.assignments.reject(&:off).to_set(&:held_mode)
        @fitting.modes.select { |mode| mode.counting == "while_held" && held.include?(mode.id) }.to_set(&:id).freeze
      end

      # button ref => { [mode, place] => { gesture => assignment } }, what is off left out
      def live_assignments
        off_places = @fitting.places.select(&:off).map(&:id)
        live = @fitting.assignments.reject do |assignment|
          assignment.off || off_places.include?(assignment.place) || @fitting.button(assignment.button).off
        end
        live.group_by(&:button).transform_values do |of_button|
          of_button.group_by { |a| [a.mode, a.place] }.transform_values { |list| list.to_h { |a| [a.gesture, a] } }
        end
      end

      def resolve(button, mode, spot)
        rungs = rungs(button, mode, spot)
        return otherwise(mode) if rungs.empty?

        taps = TAPS.map { |gesture| rungs.filter_map { |rung| rung[gesture] }.first }
        long = rungs.filter_map { |rung| rung["long_press"] || rung["hold"] }.first
        top = taps.rindex(&:itself)&.succ || 0
        Choice.new(:assigned, *taps, long, top, while_held?(mode)).freeze
      end

      def rungs(button, mode, spot)
        by_spot = @live[button.ref] or return []
        Resolver.rungs(mode, @otherwise[mode], spot.places).filter_map { |rung| by_spot[rung] }
      end

      def otherwise(mode) = @otherwise[mode] == "nothing" ? BLOCKED : BUILTIN
    end
  end
end
