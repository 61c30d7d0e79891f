# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Fittings with something wrong, what is found of them, and whether what is offered mends it.
  module Checking
    include KindsData

    HELP = { "kind" => "help" }.freeze
    LOUDER = { "kind" => "volume", "direction" => "up" }.freeze
    NEXT = { "kind" => "app", "app" => "rookery", "command" => "next-page" }.freeze
    CLICK = { "kind" => "click", "button" => "left" }.freeze
    MOUSE = "mouse-with-five-buttons"
    LEFT = "#{MOUSE}/left".freeze
    RIGHT = "#{MOUSE}/right".freeze
    # A phone's emergency call takes it.
    EDGE = "phone/edge"

    def desk = @desk ||= assign(with_devices("mouse-five"), RIGHT, "long_press", HELP)

    # what – [button, gesture, action]
    def assign(fitting, *what, **more)
      button, gesture, action = what
      made(fitting, "assign", button:, gesture:, action:, **more)
    end

    def check(fitting, **given) = Check.of(fitting, KNOWLEDGE, **given)

    def found(fitting, id, **given) = check(fitting, **given).findings.select { |one| one.id == id }

    # [[how bad, where]…] of an id
    def told(fitting, id, **given) = found(fitting, id, **given).map { |one| [one.bad, one.where] }

    def refute_found(fitting, id) = assert_empty told(fitting, id)

    # The best of what is offered; after it the finding is gone.
    def mended(fitting, id)
      finding = found(fitting, id).first
      fix = Check::Fixes.new(fitting, KNOWLEDGE, at: NOON).of(finding).first
      after = Changes.make(fitting, Changes.read(fix.change), knowledge: KNOWLEDGE, by: "Hollis", at: NOON).fitting
      assert(found(after, id).none? { |one| one.same?(finding) }, id)
      fix.words
    end

    def shortlist(fitting, actions, host: "desk")
      items = actions.map { |action| { "action" => action } }
      made(fitting, "shortlist", shortlist: { "name" => "Often", "host" => host, "items" => items })
    end
  end
end
