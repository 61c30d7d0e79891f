# frozen_string_literal: true

module Kippen
  module Standins
    # The hands that press where nobody does: those of a client's fitting, and eight made-up ones named by what they do.
    # Data: core/data/hands.json.
    class Hands
      FORMAT = "hands/1"
      # What a picture of a hand shows, one after the other.
      SHOWN = %w[tap tap tap double_tap long_press rest].freeze

      # Takes JSON text. Raises Invalid.
      def self.read(text)
        document = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
        raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT)) unless document["kippen"] == FORMAT

        faults = Faults.new
        hands = Fitting::HandsReader.new(document, faults).hands
        faults.raise_any
        new(hands)
      end

      def initialize(made_up) = @made_up = made_up.freeze

      # The client's own, then the made-up ones whose name is not taken by one of those.
      def all(fitting) = fitting.hands + @made_up.reject { |hand| fitting.hands.any? { |own| own["id"] == hand["id"] } }

      # One of them, turned. dials – { id => number }, see Dials; at – where both stand in what was sent. Raises Invalid.
      def find(fitting, id, dials = {}, at: "")
        hand = all(fitting).find { |one| one["id"] == id } ||
               raise(Invalid.at("#{at}/hand", Words.say(:no_hand, id: Faults.show(id))))
        Dials.new(hand, at:).turned(dials)
      end

      # What a hand does where it is asked for each of SHOWN: [{ "asked", "touches" => [[from, to] in ms…] }…]. kind – of the
      # button.
      def self.picture(hand, seed, kind: "contact")
        player = Hand.new(hand, seed)
        SHOWN.map { |asked| { "asked" => asked, "touches" => touches(player.play(kind, [asked])) } }
      end

      # [[from, to] in ms…] from the first on.
      def self.touches(events)
        edges = events.reject { |event| event.kind == "told" }
        first = edges.first&.time_us.to_i
        edges.each_slice(2).map { |down, up| [down, up].map { |edge| ((edge.time_us - first) / 1000.0).round } }
      end
      private_class_method :touches
    end
  end
end
