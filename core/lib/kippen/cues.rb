# frozen_string_literal: true

module Kippen
  # What the client gets to hear, see or feel when something happened that can't be seen otherwise.
  module Cues
    # long_press – its time is reached; mode_begins, mode_ends; done – an action that shows nothing;
    # key_on, key_off – a key or a button that stays down until it is pressed again, and is up again;
    # ignored – a press that did not count
    EVENTS = %w[long_press mode_begins mode_ends key_on key_off done ignored].freeze
    WAYS = %w[hear see feel].freeze
    TIME = /\A([01]\d|2[0-3]):[0-5]\d\z/

    module_function

    # Takes a Press::Outcome, the Catalogue::Entry of what it did, or nil, and the button's Fitting::Timing.
    # Returns the names of the events, in their order. A hold that begins with the press has reached nothing.
    def events(outcome, entry, timing)
      return ["ignored"] if outcome.phase == "ignored"
      return [] unless %w[fire start].include?(outcome.phase)

      long = %w[long_press hold].include?(outcome.gesture) && outcome.at_us - outcome.began_us >= timing.long_press_us
      [*("long_press" if long), *("done" if entry&.silent?)]
    end

    # What an action keeps down until it is pressed again, as a stand-in host's screen names it, or nil.
    def kept(action)
      return unless action && action["how"] == "lock"

      { "modifier" => action["key"], "click" => Words.say(:main_button) }[action["kind"]]
    end

    # Which ways can be given at all: those that a host of a client, or a device on it, has.
    # fitting – the Fitting. Returns { way => [names of who gives it] }.
    def givers(fitting, knowledge)
      found = WAYS.to_h { |way| [way, []] }
      fitting.hosts.each { |host| knowledge.host_kinds.of(host.system).gives.each { |way| found[way] << (host.name || host.id) } }
      vibrating = fitting.devices.select do |device|
        knowledge.settings.for(fitting, "device", device.id).any? { |one| one.id == "vibration" }
      end
      vibrating.each { |device| found["feel"] |= [device.name || device.id] }
      found
    end
  end
end
