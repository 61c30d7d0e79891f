# frozen_string_literal: true

module Kippen
  module Press
    # A button's whole behaviour on one time line, in one place and one mode: the two
    # stretches of a press, what stands in them, and the boundaries that can be moved.
    class Lane
      # origin: "here", "inherited" (from +place+ and +mode+) or "builtin"
      Chip = Struct.new(:gesture, :stretch, :wait, :origin, :place, :mode, :action, :off, keyword_init: true)

      # A gesture with nothing on it yet. costs: [[gesture, Wait now, Wait with it]] of those it changes
      Empty = Struct.new(:gesture, :stretch, :costs)

      # The tap of a button that counts further: its Wait if it waits, and if it acts at once;
      # chosen – "waits" or "at_once"; counts – the gestures it would then also act before
      TapChoice = Struct.new(:waits, :at_once, :chosen, :counts, keyword_init: true)

      STRETCH = { "tap" => "held", "builtin" => "held", "long_press" => "held", "hold" => "held",
                  "double_tap" => "apart", "triple_tap" => "apart" }.freeze
      OFFERED = %w[long_press double_tap triple_tap].freeze

      # place, mode – where it is looked at
      attr_reader :button, :timing, :choice, :waits, :place, :mode

      # place, mode – ids; resolver may be shared by many lanes of one fitting.
      def initialize(fitting, button, place: Fitting::EVERYWHERE, mode: Fitting::BASE, resolver: Press::Resolver.of(fitting))
        @fitting = fitting
        @button = button
        @place = place
        @mode = mode
        @choice = resolver.choice(button, mode, resolver.spot(fitting.where(place)))
        @own = fitting.own_timing(button).keys
        time(fitting.timing(button))
      end

      # The same with another Fitting::Timing.
      def with_timing(timing) = dup.tap { |other| other.send(:time, timing) }

      # The same with a setting that the button has for its own.
      def owning(setting) = dup.tap { |other| other.instance_variable_set(:@own, @own | [setting]) }

      def regions = Regions.of(@timing, unhurried: @choice.unhurried?)

      def chips = live_chips + off_chips

      # What could be added, and what it would cost the others. held_back – can the device hold back what the
      # button does by itself? Else that never waits.
      def empties(held_back: true)
        return [] if @button.kind == "notch"

        offered = OFFERED.reject { |gesture| offered?(gesture) }
        offered.delete("triple_tap") unless @choice.double_tap
        offered.map { |gesture| Empty.new(gesture, STRETCH.fetch(gesture), costs(gesture, held_back)) }
      end

      # [Boundaries::Boundary], none where nothing depends on time.
      def boundaries
        return [] if @button.kind == "notch"

        Boundaries.of(@timing, own: @own).reject { |one| @choice.unhurried? && one.setting == "tap_gap_ms" }
      end

      # A TapChoice, or nil where nothing is counted beyond the tap that is assigned here.
      def tap_choice
        tap = @choice.tap
        return unless tap && @choice.top > 1 && origin(tap) == "here"

        TapChoice.new(waits: tap_wait(false), at_once: tap_wait(true), chosen: tap.at_once ? "at_once" : "waits",
                      counts: %w[double_tap triple_tap].select { |gesture| @choice[gesture] })
      end

      # Gestures that this timing makes impossible or hardly possible: LimitsOfTiming::Limits.
      def limits = LimitsOfTiming.of(@choice, @timing)

      # The same as [Finding].
      def limit_findings = limits.map { |limit| limit.finding(@button, @timing) }

      # The Resolver::Choice that there would be with an action on a gesture; an untouched button keeps its tap.
      def with(gesture, action = {}, held_back: true)
        assignment = Fitting::Assignment.new(gesture:, action:)
        choice = @choice.dup
        choice.kind = :assigned
        choice.while_held = Press::Resolver.of(@fitting).while_held?(@mode)
        if @choice.kind == :builtin
          choice.tap ||= Fitting::Assignment.new(gesture: "tap", action: { "kind" => "builtin" }, at_once: !held_back)
        end
        gesture == "long_press" ? choice.long = assignment : choice[gesture] = assignment
        choice.top = [choice.tap, choice.double_tap, choice.triple_tap].rindex(&:itself)&.succ || 0
        choice
      end

      # What a change does to this lane's waits: [[gesture, Wait before or nil, after or nil]].
      # What an untouched button does counts as its tap, where a tap stands there afterwards.
      # later – the Lane of the same button after the change.
      def differences(later)
        before = @waits
        before = { "tap" => before.fetch("builtin") } if before.key?("builtin") && later.waits.key?("tap")
        (before.keys | later.waits.keys).map { |gesture| [gesture, before[gesture], later.waits[gesture]] }
      end

      # What its waits, limits and regions depend on besides the timing.
      def shape
        [@button.kind, @choice.kind, @choice.top, @choice.unhurried?, origin(@choice.tap), @own,
         *[@choice.tap, @choice.double_tap, @choice.triple_tap, @choice.long].map { |one| one && [one.gesture, one.at_once] }]
      end

      private

      def time(timing)
        @timing = timing
        @waits = Waits.of(@choice, timing)
      end

      def live_chips
        return [] if @choice.kind == :blocked
        return [chip("builtin", nil)] if @choice.kind == :builtin

        assigned.map { |assignment| chip(assignment.gesture, assignment) }
      end

      def assigned = [@choice.tap, @choice.double_tap, @choice.triple_tap, @choice.long].compact

      def chip(gesture, assignment)
        Chip.new(gesture:, stretch: STRETCH.fetch(gesture), wait: (@waits.fetch(gesture) unless impossible.include?(gesture)),
                 origin: origin(assignment),
                 place: assignment&.place, mode: assignment&.mode, action: assignment&.action, off: false)
      end

      # What this timing never lets happen has no wait.
      def impossible = limits.select { |limit| limit.how == "impossible" }.map(&:gesture)

      def origin(assignment)
        return "builtin" unless assignment

        assignment.place == @place && assignment.mode == @mode ? "here" : "inherited"
      end

      # Kept but not in force: still shown, where it stands.
      def off_chips
        off = @fitting.assigned(@button.ref).select { |a| a.place == @place && a.mode == @mode && !assigned.include?(a) }
        off.map do |a|
          Chip.new(gesture: a.gesture, stretch: STRETCH.fetch(a.gesture), wait: nil, origin: "here",
                   place: a.place, mode: a.mode, action: a.action, off: true)
        end
      end

      def tap_wait(at_once)
        choice = @choice.dup
        choice.tap = @choice.tap.dup.tap { |tap| tap.at_once = at_once }
        Waits.of(choice, @timing).fetch("tap")
      end

      def offered?(gesture)
        gesture == "long_press" ? !@choice.long.nil? : !@choice[gesture].nil?
      end

      # Exact: the waits of a choice that has the gesture as well, beside those of today.
      def costs(gesture, held_back)
        later = Waits.of(with(gesture, held_back:), @timing)
        today = @waits.transform_keys("builtin" => "tap")
        today.filter_map { |name, wait| [name, wait, later.fetch(name)] if later.fetch(name) != wait }
      end
    end
  end
end
