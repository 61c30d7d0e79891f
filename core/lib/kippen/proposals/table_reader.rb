# frozen_string_literal: true

module Kippen
  module Proposals
    # Reads a table of slots, and tells all that is wrong with it, each by its JSON pointer.
    class TableReader
      MOST_WANTS = Limits::WANTS
      MOST_BUTTONS = Limits::BUTTONS
      MOST_OFFERS = 64
      MOST_S = 1e9

      def initialize(document)
        @document = document
        @faults = Faults.new
      end

      def table
        unless @document.is_a?(Hash) && @document["kippen"] == Table.format
          raise Invalid.at("/kippen", Words.say(:must_be, value: Table.format))
        end

        parts = { wants: wants, buttons: buttons, today: serves("today"), fixed: serves("fixed"), closed: spots(@document, ""),
                  second_share: number(@document, "second_share", "", 0.1), change_s: number(@document, "change_s", "", 30),
                  document: @document }
        @faults.raise_any
        check(parts)
        @faults.raise_any
        Table.new(**parts)
      end

      private

      def wants
        list("wants", MOST_WANTS).each_with_index.map do |item, index|
          at = "/wants/#{index}"
          Wanted.new(id: text(item, "id", at), host: text(item, "host", at), times: number(item, "times", at),
                     wrong_s: number(item, "wrong_s", at), ways: ways(item, at), missing_s: number(item, "missing_s", at),
                     missing_second_s: number(item, "missing_second_s", at, 0), cant: spots(item, at, "cant")).freeze
        end
      end

      def ways(item, at)
        ways = item.fetch("ways", 1)
        @faults.add("#{at}/ways", Words.say(:must_whole_number, from: 1, to: 2)) unless [1, 2].include?(ways)
        ways
      end

      def buttons
        list("buttons", MOST_BUTTONS).each_with_index.map do |item, index|
          at = "/buttons/#{index}"
          offers = item["offers"].is_a?(Array) ? item["offers"] : []
          unless offers.size.between?(1, MOST_OFFERS) && offers.all?(Hash)
            @faults.add("#{at}/offers", Words.say(:must_array_of, from: 1, to: MOST_OFFERS))
          end
          OneButton.new(id: text(item, "id", at), device: text(item, "device", at), host: text(item, "host", at),
                        effort_s: number(item, "effort_s", at, 0),
                        offers: offers.grep(Hash).each_with_index.map { |one, place| offer(one, "#{at}/offers/#{place}") }).freeze
        end
      end

      def offer(item, at)
        gestures = item["gestures"]
        unless gestures.is_a?(Hash) && gestures.values.all?(Hash) && (gestures.keys - Fitting::GESTURES).empty?
          @faults.add("#{at}/gestures", Words.say(:must_gestures_of, gestures: Fitting::GESTURES.join(", ")))
          gestures = {}
        end
        slots = gestures.to_h { |gesture, slot| [gesture, slot(slot, "#{at}/gestures/#{gesture}")] }
        Offer.new(gestures: slots.freeze, cost_s: number(item, "offer_s", at, 0)).freeze
      end

      def slot(item, at)
        right = number(item, "right", at)
        @faults.add("#{at}/right", Words.say(:must_be_share)) if right > 1
        Slot.new(presses: number(item, "presses", at), seconds: number(item, "seconds", at), right:).freeze
      end

      def serves(name)
        list(name, MOST_WANTS * 20, needed: false).each_with_index.map do |item, index|
          at = "/#{name}/#{index}"
          Serves.new(text(item, "want", at), text(item, "button", at), text(item, "gesture", at)).freeze
        end
      end

      # [[button, gesture]…]
      def spots(item, at, name = "closed")
        found = item.fetch(name, [])
        unless found.is_a?(Array) && found.all?(Hash)
          @faults.add("#{at}/#{name}", Words.say(:must_be_an_array))
          found = []
        end
        found.each_with_index.map { |one, index| %w[button gesture].map { |part| text(one, part, "#{at}/#{name}/#{index}") } }
      end

      def list(name, most, needed: true)
        found = @document.fetch(name) { needed ? nil : [] }
        return found if found.is_a?(Array) && found.all?(Hash) && found.size <= most

        @faults.add("/#{name}", Words.say(:must_array_of, from: 0, to: most))
        []
      end

      def text(item, name, at)
        value = item[name]
        return value if value.is_a?(String) && value.length.between?(1, 2 * Limits::NAME_CHARACTERS)

        @faults.add("#{at}/#{name}", Words.say(:must_be_text_from_to, needed: 1, characters: 2 * Limits::NAME_CHARACTERS))
        ""
      end

      def number(item, name, at, usual = nil)
        value = item.fetch(name, usual)
        return value if value.is_a?(Numeric) && value.real? && value.to_f.finite? && value.between?(0, MOST_S)

        @faults.add("#{at}/#{name}", Words.say(:must_number, from: 0, to: MOST_S.round))
        0
      end

      # What speaks of what: each once, and there.
      def check(parts)
        twice(parts[:wants], "wants")
        twice(parts[:buttons], "buttons")
        %i[today fixed].each { |name| parts[name].each_with_index { |one, index| there(one, parts, "/#{name}/#{index}") } }
        parts[:fixed].each_with_index do |one, index|
          @faults.add("/fixed/#{index}", Words.say(:fixed_not_today)) unless parts[:today].include?(one)
        end
      end

      def twice(items, name)
        items.map(&:id).tally.each { |id, count| @faults.add("/#{name}", Words.say(:named_twice, id:)) if count > 1 }
      end

      def there(serves, parts, at)
        want = parts[:wants].find { |one| one.id == serves.want }
        button = parts[:buttons].find { |one| one.id == serves.button }
        @faults.add("#{at}/want", Words.say(:not_known_here)) unless want
        @faults.add("#{at}/button", Words.say(:not_known_here)) unless button
        return unless want && button

        @faults.add("#{at}/button", Words.say(:not_on_its_host)) unless want.host == button.host
        offered = button.offers.any? { |offer| offer.gestures.key?(serves.gesture) }
        @faults.add("#{at}/gesture", Words.say(:no_offer_has)) unless offered
      end
    end
  end
end
