# frozen_string_literal: true

module Kippen
  # Of devices and what was handed over to them, what no row should be.
  module OddHandovers
    DATABASE = ServerTest::DATABASE
    ROWS = {
      "carriers" => lambda { |test|
        item = { "button" => "mouse/left", "gesture" => "wave" }
        parts = Handover::Parts.of({ "kippen" => "carried/1", "assignments" => [item] }).map(&:text)
        slot = { "number" => 1, "digest" => Handover.digest(Handover::Parts.whole(parts)), "of" => parts.size,
                 "parts" => parts.each_with_index.to_h { |text, index| [index.to_s, text] } }
        test.carrier("mouse", { "seen" => 1, "in_force" => 0, "slots" => [slot, nil] })
        test.carrier("remote", { "slots" => 7 })
        test.carrier("gone", [])
        test.carrier("half", { "seen" => "x", "in_force" => 5, "slots" => [{ "of" => -1 }, 7] })
      },
      "handovers" => lambda { |test|
        id = test.carrier("mouse", Standins::Carrier::EMPTY)
        [[1, "put", "done"], [2, "back", "failed"], [3, "empty", "away"]].each do |number, what, state|
          DATABASE[:handovers].insert(client_id: test.client, carrier_id: id, device: "mouse", number:, what:, revision: 900,
                                      document: Sequel.pg_jsonb({ "odd" => 7 }), digest: "x", together: id, author: "",
                                      state:, part: "dance", error: "\u202e")
        end
      },
      "hand_ticks" => lambda { |test|
        test.carrier("mouse", Standins::Carrier::EMPTY)
        DATABASE[:carriers].where(client_id: test.client).update(by_hand: true)
        %w[mouse gone].each do |device|
          DATABASE[:hand_ticks].insert(client_id: test.client, device:, key: "\u202e", mark: "x", value: "", set: false,
                                       author: "")
        end
      }
    }.freeze
  end
end
