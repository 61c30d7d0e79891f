# frozen_string_literal: true

require_relative "changes/spot"
require_relative "changes/change"
require_relative "changes/rows"
require_relative "changes/list"
require_relative "changes/view"
require_relative "changes/draft"
require_relative "changes/placing"
require_relative "changes/addresses"
require_relative "changes/differences"
require_relative "changes/slots"
require_relative "changes/following"
require_relative "changes/moving"
require_relative "changes/finish"
require_relative "changes/conflict"
require_relative "changes/assign"
require_relative "changes/clear"
require_relative "changes/switch"
require_relative "changes/tap_at_once"
require_relative "changes/carry"
require_relative "changes/timing"
require_relative "changes/fitted"
require_relative "changes/several"
require_relative "changes/arrange"
require_relative "changes/own_arrangements"
require_relative "changes/hands"
require_relative "changes/places"
require_relative "changes/modes"
require_relative "changes/shortlists"
require_relative "changes/put_cues"
require_relative "changes/known"
require_relative "changes/point"
require_relative "changes/wants"
require_relative "changes/hosts"
require_relative "changes/apps"
require_relative "changes/settings"
require_relative "changes/own_kinds"
require_relative "changes/take_up_kind"
require_relative "changes/correct_device"
require_relative "changes/devices"
require_relative "changes/add_devices"
require_relative "changes/buttons"
require_relative "changes/take_out"
require_relative "changes/bring_back"
require_relative "changes/reset"
require_relative "changes/copy"
require_relative "changes/become"
require_relative "changes/import"
require_relative "changes/carry_over"
require_relative "changes/carry_over/parts"
require_relative "changes/carry_over/device"
require_relative "changes/take_back"

module Kippen
  # The one door by which a fitting becomes another. A change is a value, read once from what was
  # sent; all of them are made on one Draft and finished once.
  module Changes
    # { "assign" => Assign … } of those that can be sent.
    ALL = constants.map { |name| const_get(name) }.select { |made| made.is_a?(Class) && made < Change && made.kind }
      .to_h { |made| [made.kind, made] }.freeze

    # Takes a change as the contract has it; returns the value. Raises Invalid.
    def self.read(sent)
      made = ALL[sent["kind"]] || raise(Invalid.at("/change/kind", Words.say(:unknown_kind, kind: Faults.show(sent["kind"]))))
      made.read(sent)
    end

    # changes – made one after another, as one; by – who makes them; at – now, in ISO 8601; deadline – how
    # long it may take. Returns a Finish::Result. Raises Invalid, Deadline::Passed and GivenUp.
    def self.make(fitting, changes, knowledge:, by:, at:, deadline: Deadline::NEVER)
      draft = Draft.new(fitting, knowledge, by:, at:, deadline:)
      Array(changes).each { |change| change.make(draft) }
      Finish.of(draft)
    end
  end
end
