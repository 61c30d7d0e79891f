# frozen_string_literal: true

module Kippen
  # What a change does besides its waits: what it displaces, which wants it serves.
  class Consequences
    def initialize(before, after, knowledge)
      @before = before
      @after = after
      @knowledge = knowledge.of(after)
      @catalogue = @knowledge.catalogue
      @cautions = Cautions.new(after, @knowledge)
    end

    # What is displaced on one button in a place and mode: [Finding], "builtin_lost", "own_lost", "replaced", "covered",
    # "other_print" or "taken_off". ref – "device/button"
    def displaced(ref, place:, mode:)
      lanes = [@before, @after].map do |fitting|
        (button = fitting.button(ref)) && Press::Lane.new(fitting, button, place:, mode:)
      end
      return [] unless lanes.all?

      old, new = lanes.map { |lane| lane.chips.reject(&:off).to_h { |chip| [stretch(chip.gesture), chip] } }
      gone = (old.keys | new.keys).filter_map { |stretch| one(lanes.last, old[stretch], new[stretch]) }
      [*gone, *own_lost(lanes, where(lanes.last)), *print(lanes.last.button, old["tap"], new["tap"])]
    end

    # The same of buttons that were not touched themselves: their host's time, or a timing they share, is another.
    # spots – those that are told of already. Returns sentences.
    def own_lost_elsewhere(spots)
      told = spots.select { |spot| spot.place == Fitting::EVERYWHERE && spot.mode == Fitting::BASE }.map(&:button)
      @after.buttons.select { |button| !told.include?(button.ref) && @before.button(button.ref) && does_more?(button) }
        .flat_map do |button|
        lanes = [@before, @after].map { |fitting| Press::Lane.new(fitting, fitting.button(button.ref)) }
        own_lost(lanes).map do |lost|
          Words.say(:own_of_button, button: Words.button(@after.device(button.device), button), told: lost.what)
        end
      end
    end

    # Names of wants: [served afterwards and not before, served before and no longer].
    def wants
      states = [@before, @after].map do |fitting|
        wants = Reach::Wants.of(fitting, @knowledge)
        fitting.wants.to_h { |want| [want.what, wants.state(want) == "done"] }
      end
      old, new = states
      [new.keys.select { |what| new[what] && !old[what] }, old.keys.select { |what| old[what] && new.key?(what) && !new[what] }]
    end

    private

    def displaced_by(id, gesture, what) = Finding.new(id:, bad: "look", what:, where: { "gesture" => gesture })

    # hold and long-press are two uses of one stretch; what is built in stands for the tap.
    def stretch(gesture) = { "hold" => "long_press", "builtin" => "tap" }.fetch(gesture, gesture)

    def one(lane, old, new)
      button = lane.button
      return if old.nil? || (new && old.action == new.action && old.gesture == new.gesture) || kept?(old, new)
      return builtin_lost(lane, old, new) if builtin?(old)

      name = @catalogue.name(old.action, button.builtin)
      gesture = Words.gesture(old.gesture)
      return displaced_by("taken_off", old.gesture, Words.say(:no_longer_on, name:, gesture:)) unless new
      if old.origin == "inherited"
        return displaced_by("covered", old.gesture, Words.say(:here_covers_from, name:, old: place(old)))
      end

      displaced_by("replaced", old.gesture, Words.say(:takes_place_on, name:, gesture:))
    end

    def builtin?(chip) = chip.action.nil? || chip.action["kind"] == "builtin"

    # What was untouched is kept as a tap.
    def kept?(old, new) = new && builtin?(old) && builtin?(new)

    def builtin_lost(lane, old, new)
      button = lane.button
      return unless button.builtin && @cautions.held_back?(button) && !same_again?(button, new)

      where = where(lane)
      key = where ? :does_not_happen_there : :no_longer_happens_on_tap
      displaced_by("builtin_lost", old.gesture, Words.say(key, builtin: button.builtin, where:))
    end

    # Was what the button does by itself put on again?
    def same_again?(button, chip)
      return false unless chip

      own = (@knowledge.kinds.button(@after.device(button.device), button) || {})["builtin_action"]
      !own.nil? && chip.action.slice(*own.keys) == own && (chip.action.keys - own.keys - %w[times]).empty? &&
        chip.action.fetch("times", 1) == 1
    end

    # In which app, and while which mode is on, in words; nil for everywhere and always.
    def where(lane)
      parts = [(Words.say(:lost_in, place: Words.place(@after, lane.place)) unless lane.place == Fitting::EVERYWHERE),
               (Words.say(:lost_while, mode: Words.mode(@after, lane.mode)) unless lane.mode == Fitting::BASE)].compact
      parts.join(" ") if parts.any?
    end

    # What the host made of its presses and makes no more, or hardly.
    def own_lost(lanes, where = nil)
      before, after = [@before, @after].zip(lanes).map { |fitting, lane| OwnDoing.on(fitting, @knowledge.kinds, lane) }
      before.zip(after).filter_map do |old, new|
        next unless old && new&.worse_than?(old)

        displaced_by("own_lost", new.gesture,
                     where ? Words.say(:told_there, where: where[0].upcase + where[1..], told: new.trouble) : new.trouble)
      end
    end

    # Does the host make more of its presses than its tap?
    def does_more?(button)
      (@knowledge.kinds.button(@after.device(button.device), button) || {}).fetch("builtin", {}).keys
        .intersect?(OwnDoing::GESTURES)
    end

    def place(chip) = Words.place(@before, chip.place)

    def print(button, old, new)
      return [] unless new && (old.nil? || builtin?(old))

      [@cautions.print(button, new.action)].compact
    end
  end
end
