# frozen_string_literal: true

module Kippen
  module Proposals
    # The table of slots of a fitting: its wants, what each button could carry, and what serves what today.
    class FromFitting
      # pinned – ids of wants whose slots stay; shut – { "buttons" => [refs] that stay as they are, "gestures" => [gesture…] that
      # nothing uses }
      def initialize(ways, pinned: [], shut: {})
        @ways = ways
        @fitting = ways.fitting
        @catalogue = ways.case.catalogue
        @pinned = pinned
        @shut = shut
        @rows = Rows.new(ways)
        @cautions = Cautions.new(@fitting, ways.case.knowledge)
      end

      # Row of Rows, in the table's order.
      def rows = @rows.all

      # As a JSON object, see docs/reach.md.
      def document
        figures = @ways.figures
        today = rows.flat_map { |row| today(row) }
        { "kippen" => Table.format, "second_share" => figures.second_share, "change_s" => figures.change_s,
          "wants" => rows.map { |row| @rows.plain(row, besides(row, today), cant(row)) },
          "buttons" => buttons.map { |button| one(button) }, "today" => today,
          "fixed" => today.select { |one| pinned?(one["want"]) }, "closed" => closed }
      end

      private

      # Those that can be given something: there, ready, following nobody.
      def buttons
        @buttons ||= @fitting.buttons.select do |button|
          device = @fitting.device(button.device)
          !button.off && !device.off && !@ways.not_ready.include?(device.id) && @fitting.links.none? do |link|
            link.to == device.id
          end &&
            @ways.case.data(button)["is"] != "fixed" && rows.any? { |row| row.host == button.host }
        end
      end

      def one(button)
        { "id" => button.ref, "device" => button.device, "host" => button.host, "effort_s" => button.effort_s || 0,
          "offers" => stays?(button) ? [as_it_is(button)] : offers(button) }
      end

      def offers(button)
        Offers.new(@ways, button, kept: kept(button), closed: needed(button), own: own_unwanted?(button)).all
      end

      def stays?(button) = @shut.fetch("buttons", []).include?(button.ref)

      # What it carries for wants today, and nothing else.
      def as_it_is(button)
        now = serving(button).sort
        found = offers(button).find { |offer| offer["gestures"].keys.sort == now }
        found ? found.merge("offer_s" => 0) : { "gestures" => {}, "offer_s" => 0 }
      end

      # Its gestures that serve some row.
      def serving(button)
        does = Reach::WhatHappens.gestures(@fitting, button, Fitting::BASE, Fitting::EVERYWHERE)
        found = does.select do |_, assignment|
          action = Reach::WhatHappens.action(@fitting, @ways.case.kinds, button, assignment)
          action && wanted?(button, action)
        end
        found.map(&:first) & Offers::FREE
      end

      # What a button has, as usual everywhere: { gesture => Assignment }.
      def own(button)
        @fitting.assigned(button.ref).reject(&:off)
          .select { |one| [one.place, one.mode] == Check::Presses::USUAL }.to_h { |one| [one.gesture, one] }
      end

      # Gestures whose action no want asks for stay as they are.
      def kept(button)
        own(button).reject { |_, one| one.action["kind"] == "builtin" }
          .reject { |gesture, one| gesture != "hold" && wanted?(button, one.action) }.keys
      end

      def wanted?(button, action)
        plain = @catalogue.plain(action)
        rows.any? { |row| row.host == button.host && @catalogue.plain(row.action) == plain }
      end

      # Does it do something by itself, untouched, that is no want of its host?
      def own_unwanted?(button)
        action = @ways.case.data(button)["builtin_action"]
        return false unless own(button).empty? && (button.builtin || action)

        !(action && wanted?(button, action))
      end

      # The tap of what is needed to get around, unless a want asks for it or another device of the host does it too.
      def needed(button)
        data = @ways.case.data(button)
        return [] unless data["is"] == "needed" && Reach::Rates.offered(@fitting, button) == %w[tap] && own(button).empty?

        action = data["builtin_action"]
        other = action && @ways.case.buttons_of(@fitting.host(button.host)).any? do |one|
          one.device != button.device && @ways.case.data(one)["builtin_action"] == action && own(one).empty?
        end
        other || (action && wanted?(button, action)) ? [] : %w[tap]
      end

      # Slots that serve a row now; what a button does by itself is one of its tap.
      def today(row)
        @today ||= {}
        @today[row.id] ||= serving_row(row)
      end

      def serving_row(row)
        plain = @catalogue.plain(row.action)
        buttons.select { |button| button.host == row.host }.flat_map do |button|
          does = Reach::WhatHappens.gestures(@fitting, button, Fitting::BASE, Fitting::EVERYWHERE)
          found = does.select do |_, assignment|
            action = Reach::WhatHappens.action(@fitting, @ways.case.kinds, button, assignment)
            action && @catalogue.plain(action) == plain
          end
          usable = found.map(&:first) & Offers::FREE
          usable.select { |gesture| offered(button).include?(gesture) }
            .map { |gesture| { "want" => row.id, "button" => button.ref, "gesture" => gesture } }
        end
      end

      def offered(button)
        @offered ||= {}
        @offered[button.ref] ||= one(button)["offers"].flat_map { |offer| offer["gestures"].keys }.uniq
      end

      # The cheapest way that is none of these slots: in a mode, a place, by a shortlist.
      def besides(row, today)
        slots = today.select { |one| one["want"] == row.id }.map { |one| one.values_at("button", "gesture") }
        other = row.wants.flat_map { |want| @ways.of(want) }.reject do |way|
          step = way.steps.last
          way.steps.one? && slots.include?([step.button.ref, step.gesture])
        end
        other.map(&:cost_s).min
      end

      # Where its action can't be.
      def cant(row)
        buttons.select { |button| button.host == row.host }.flat_map do |button|
          offered(button).reject { |gesture| can?(button, gesture, row) }.map { |gesture| [button.ref, gesture] }
        end
      end

      # What it does already it can; what stays as it is gets nothing else.
      def can?(button, gesture, row)
        return true if serves?(button, gesture, row)

        !stays?(button) && @cautions.reasons(button, { "gesture" => gesture, "action" => row.action }).empty?
      end

      def serves?(button, gesture, row)
        today(row).include?({ "want" => row.id, "button" => button.ref, "gesture" => gesture })
      end

      # Gestures that are used by nothing, wherever they are offered.
      def closed
        shut = @shut.fetch("gestures", [])
        buttons.flat_map { |button| (offered(button) & shut).map { |gesture| { "button" => button.ref, "gesture" => gesture } } }
      end

      def pinned?(id) = row(id).wants.map(&:id).intersect?(@pinned)
      def row(id) = rows.find { |row| row.id == id }
    end
  end
end
