# frozen_string_literal: true

module Kippen
  # Tables of slots, made up: small enough to try everything, or as large as anybody's.
  class RandomTable
    GESTURES = %w[tap double_tap long_press].freeze

    def initialize(seed, wants:, buttons:, hosts: 1, offers: 3)
      @random = Random.new(seed)
      @sizes = { wants:, buttons:, hosts:, offers: }
    end

    def document
      made = Array.new(@sizes[:buttons]) { |index| button(index) }
      wants = Array.new(@sizes[:wants]) { |index| want(index) }
      today = today(wants, made)
      { "kippen" => "slots/1", "second_share" => 0.1, "change_s" => pick(0, 5, 30, 200), "wants" => wants, "buttons" => made,
        "today" => today, "fixed" => today.select { chance?(0.25) }, "closed" => closed(made, today) }
    end

    private

    def pick(*values) = values.sample(random: @random)
    def chance?(share) = @random.rand < share

    def want(index)
      { "id" => "w#{index}", "host" => "h#{@random.rand(@sizes[:hosts])}", "times" => @random.rand(1..40),
        "wrong_s" => pick(2, 10, 120, 1800), "ways" => pick(1, 1, 2), "missing_s" => pick(600, 3600, 14_400),
        "missing_second_s" => pick(60, 360, 1440) }
    end

    def button(index)
      gestures = GESTURES.first(@random.rand(1..3))
      sets = (1..gestures.size).flat_map { |count| gestures.combination(count).to_a }.sample(@sizes[:offers], random: @random)
      { "id" => "d#{index / 2}/b#{index}", "device" => "d#{index / 2}", "host" => "h#{(index / 2) % @sizes[:hosts]}",
        "effort_s" => pick(0, 0, 0.5),
        "offers" => sets.map { |set| { "gestures" => set.to_h { |one| [one, slot(one)] }, "offer_s" => pick(0, 0, 12.5) } } }
    end

    def slot(gesture)
      { "presses" => gesture == "double_tap" ? 2 : 1, "seconds" => (0.2 + @random.rand).round(3),
        "right" => (0.5 + (@random.rand / 2)).round(3) }
    end

    # Slots that serve something now, each one want: all of a button's of one of its offers.
    def today(wants, buttons)
      slots = buttons.flat_map { |button| pick(*button["offers"])["gestures"].keys.map { |gesture| [button, gesture] } }
      slots.select { chance?(0.4) }.filter_map do |button, gesture|
        mine = wants.select { |want| want["host"] == button["host"] }
        mine.any? ? { "want" => pick(*mine)["id"], "button" => button["id"], "gesture" => gesture } : nil
      end
    end

    def closed(buttons, today)
      taken = today.map { |one| one.values_at("button", "gesture") }
      spots = buttons.flat_map { |button| GESTURES.map { |gesture| [button["id"], gesture] } } - taken
      spots.select { chance?(0.1) }.map { |button, gesture| { "button" => button, "gesture" => gesture } }
    end
  end
end
