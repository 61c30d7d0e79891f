# frozen_string_literal: true

module Kippen
  module Handover
    # What a device can't carry, in words: what happens instead, and how many of this client's presses would come out otherwise.
    class LeftBehind
      # id – see Carried::Left; what – a sentence; where – as of a Finding; changed, of – presses, of 0: nobody knows
      Told = Struct.new(:id, :what, :where, :changed, :of, keyword_init: true) do
        def plain = to_h.transform_keys(&:to_s)
      end

      # carried – Carried; trials – as Check.of takes them
      # deadline – after it no presses are replayed: of those nobody knows
      def initialize(carried, knowledge, trials: [], deadline: Deadline::NEVER)
        @carried = carried
        @fitting = carried.fitting
        @knowledge = knowledge.of(@fitting)
        @trials = trials
        @deadline = deadline
      end

      # [Told], in the order of the device's buttons.
      def told = @carried.left.map { |left| tell(left) }

      private

      def tell(left)
        changed, of = left.thing ? [0, 0] : presses(left)
        Told.new(id: left.id, what: [words(left), said(left, changed, of)].compact.join(" "), where: where(left), changed:, of:)
      end

      def words(left)
        one = left.assignment
        case left.id
        when "gesture", "room", "action", "way" then Words.say(:"left_#{left.id}", **named(one))
        when "setting" then left.finding.what
        else Words.say(:"left_#{left.id}", device: device.name || device.id, name: left.thing.name || left.thing.id)
        end
      end

      def named(one)
        { button: Words.button(device, @fitting.button(one.button)), gesture: Words.gesture(one.gesture),
          action: @knowledge.catalogue.name(one.action), device: device.name || device.id }
      end

      def device = @carried.device

      # How the presses come out, and what does it all the same.
      def said(left, changed, of)
        elsewhere = left.assignment && elsewhere(left.assignment)
        other = Words.say(:left_elsewhere, where: elsewhere) if elsewhere
        presses = of.zero? ? Words.say(:left_unknown) : Words.say(:left_presses, count: of, changed:)
        [presses, other].compact.join(" ") unless left.thing
      end

      # Another button or gesture that does it there.
      def elsewhere(one)
        way = check.ways(one.action, place: one.place).find do |other|
          [other.button.ref, other.gesture] != [one.button, one.gesture] && after?(other)
        end
        way && Words.say(:way_on, gesture: Words.gesture(way.gesture),
                                  button: Words.button(@fitting.device(way.button.device), way.button))
      end

      # Is it there afterwards too?
      def after?(way)
        way.button.device != device.id || @carried.document["assignments"].any? do |item|
          item.values_at("button", "gesture") == [way.button.ref, way.gesture]
        end
      end

      def check = @check ||= Check::Case.new(@fitting, @knowledge)

      def where(left)
        return left.finding.where if left.finding
        return { "device" => device.id, left.id => left.thing.id } if left.thing

        one = left.assignment
        { "button" => one.button, "gesture" => one.gesture, "place" => (one.place unless one.place == Fitting::EVERYWHERE),
          "mode" => (one.mode unless one.mode == Fitting::BASE) }.compact
      end

      # [presses that would come out otherwise, of all] of the button it is about.
      def presses(left)
        button = @fitting.button(left.finding ? left.finding.where["button"] : left.assignment.button)
        spot = left.assignment ? [left.assignment.place, left.assignment.mode] : Check::Presses::USUAL
        meant, instead = [@fitting, after].map { |one| outcomes(one, button, spot) }
        [meant.zip(instead).count { |one, other| one != other }, meant.size]
      rescue Deadline::Passed
        [0, 0]
      end

      # What is carried, with all else as it is meant.
      def after = @after ||= InForce.of(@fitting, { device.id => @carried.document })

      def outcomes(fitting, button, spot)
        own = fitting.button(button.ref)
        spot = Check::Presses::USUAL if fitting.place(spot[0]).nil? && spot[0] != Fitting::EVERYWHERE
        source = @trials.is_a?(Array) ? Check::Presses::Given.new(@trials) : @trials
        Check::Presses.new(fitting, source, deadline: @deadline).of(own, spot).map { |_, score| score.got }
      end
    end
  end
end
