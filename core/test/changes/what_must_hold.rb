# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # What must hold after every change of EditFuzz, told in words where it does not.
  module WhatMustHold
    KNOWLEDGE = KindsData::KNOWLEDGE
    KINDS = KindsData::KINDS
    # Kinds that take something away on purpose: what they took may be gone.
    TAKE_AWAY = %w[clear carry assign several arrange copy reset remove_arrangement hold_and_count open_shortlist point
                   shortlist remove_place
                   remove_mode].freeze
    ON_GESTURES = %w[assign clear switch tap_at_once carry hold_and_count open_shortlist].freeze
    # Kinds that change where something holds, and what each is of: what holds elsewhere stays.
    PLACES_KINDS = %w[place remove_place].freeze
    QUIET_KINDS = %w[cues].freeze

    private

    def wrong(before, change, result, &)
      after = result.fitting
      again = attempt(before, change)
      unless again && JSON.generate(again.fitting.document) == JSON.generate(after.document)
        yield "made again it comes to something else"
      end
      undone = Changes.make(after, Changes::Become.new(document: before.document), knowledge: KNOWLEDGE, by: nil, at: nil)
      yield "undo does not give the same bytes" unless JSON.generate(undone.fitting.document) == JSON.generate(before.document)
      yield "#{lost(before, change, after)} is lost" if lost(before, change, after).any?
      inverse(before, after, &)
      not_possible(after).each(&)
      links(after, &)
      covered(before, change, after, result, &)
      elsewhere(before, change, after, &)
    end

    # What is done to a place changes nothing in another; cues change nothing at all.
    def elsewhere(before, change, after)
      kind = change["kind"]
      return unless PLACES_KINDS.include?(kind) || QUIET_KINDS.include?(kind)

      id = change["id"] || change.dig("place", "id")
      app = before.place(id)&.app
      others = ["everywhere", *before.places
        .reject { |place| place.id == id || (place.app == app && before.place(id).part.nil?) }.map(&:id)]
      modes = ["base", *before.modes.map(&:id)]
      before.buttons.sample(8, random: @random).each do |button|
        moved = others.product(modes).find do |place, mode|
          jobs(before, button.ref, place, mode) != jobs(after, button.ref, place, mode)
        end
        yield "#{button.ref} does something else in #{moved.join(", ")}" if moved
      end
    end

    def marks(value, found = [])
      case value
      when Hash
        found << value["x-mark"] if value.key?("x-mark")
        value.each_value { |inside| marks(inside, found) }
      when Array then value.each { |inside| marks(inside, found) }
      end
      found
    end

    # Marks that are there no more; an assignment's may go with what takes it away.
    def lost(before, change, after)
      gone = marks(before.document) - marks(after.document)
      TAKE_AWAY.include?(change["kind"]) ? gone - marks(before.list("assignments")) - marks(before.list("arrangements")) : gone
    end

    def inverse(before, after)
      back = Changes.make(after, Changes::TakeBack.new(revisions: [[before, after]]), knowledge: KNOWLEDGE, by: nil, at: nil)
      left = Changes::Addresses.changed(back.fitting.document, before.document)
      yield "taken back, #{left.keys} differ" unless left.empty? || back.left_out.any?
    end

    # Whatever is in force can be there.
    def not_possible(fitting)
      cautions = Cautions.new(fitting, KNOWLEDGE.of(fitting))
      fitting.assignments.reject(&:off).filter_map do |one|
        why = cautions.reasons(fitting.button(one.button), fitting.list("assignments")[one.index])
        "#{one.button}, #{one.gesture}: #{why}" if why.any?
      end
    end

    def links(fitting)
      cautions = Cautions.new(fitting, KNOWLEDGE.of(fitting))
      rows = Changes::Rows.new(fitting.list("assignments"))
      fitting.links.each do |link|
        match = Changes::Following.between(fitting, KINDS, from: link.from, to: link.to, mirror: link.mirror)
        match.pairs.each do |one, other|
          expected = rows.of(one.ref).select { |item| cautions.reasons(other, item).empty? }.map { |item| match.carried(item) }
          yield "#{other.ref} does not follow #{one.ref}" unless expected.to_set == rows.of(other.ref).to_set
        end
      end
    end

    # Only where it was asked to does a change make a gesture do something else; and a tap that is
    # kept does what it did, now and with everything switched on.
    def covered(before, change, after, result)
      return unless ON_GESTURES.include?(change["kind"])

      asked = result.spots
      followed = followers(after, change)
      [[before, after], [all_on(before), all_on(after)]].each_with_index do |(one, other), on|
        [*asked.map(&:button), *followed].uniq.each do |ref|
          each_spot(one, ref) do |place, mode|
            old, new = [one, other].map { |fitting| jobs(fitting, ref, place, mode) }
            where = "in #{place}, #{mode}#{" with everything on" if on == 1}"
            Fitting::GESTURES.each do |gesture|
              told(old, new, gesture, [ref, asked, followed]) { |words| yield "#{words} #{where}" }
            end
            kept(change, old, new, ref, everything_on: on == 1) { |words| yield "#{words} #{where}" }
          end
        end
      end
    end

    def followers(fitting, change)
      device = (change["button"] || change["counted"]).split("/").first
      fitting.links.select { |link| link.from == device || change.dig("to", "button").to_s.start_with?("#{link.from}/") }
        .flat_map { |link| fitting.device(link.to).buttons.map(&:ref) }
    end

    def each_spot(fitting, ref, &)
      return unless fitting.button(ref)

      ["everywhere", *fitting.places.map(&:id)].product(["base", *fitting.modes.map(&:id)]).each(&)
    end

    # { gesture => [what happens, the spot that won] }
    def jobs(fitting, ref, place, mode)
      choice = Press::Resolver.of(fitting).choice(fitting.button(ref), mode,
                                                  Press::Resolver.of(fitting).spot(fitting.where(place)))
      found = [choice.tap, choice.double_tap, choice.triple_tap, choice.long].compact.to_h do |one|
        [one.gesture, [one.action, [one.place, one.mode]]]
      end
      found["tap"] ||= [choice.kind == :builtin ? { "kind" => "builtin" } : nil, nil]
      found
    end

    def told(old, new, gesture, (ref, asked, followed))
      one, other = [old, new].map { |jobs| jobs[gesture] || [nil, nil] }
      return if one[0] == other[0] || followed.include?(ref)

      # A tap may be lost where something else is put beside one that is switched off.
      by = [old, new].flat_map { |jobs| jobs.values.filter_map(&:last) }
      touched = asked.select { |spot| spot.button == ref }.map { |spot| [spot.place, spot.mode] }
      yield "#{ref}, #{gesture}: #{one[0]} became #{other[0]} unasked" unless by.intersect?(touched)
    end

    def kept(change, old, new, ref, everything_on:)
      target = change["kind"] == "carry" ? change["to"] : change
      unless %w[assign carry].include?(change["kind"]) && target["gesture"] != "tap" && target["button"] == ref &&
             change["keep"] != false
        return
      end
      return if change["kind"] == "carry" && !change["copy"] && change["button"] == ref

      one, other = [old, new].map { |jobs| jobs["tap"][0] }
      # What was kept falls back to where there was nothing; and now, a tap that is switched off leaves
      # nothing in its place.
      return if one == other || (one.nil? && other == { "kind" => "builtin" }) || (!everything_on && other.nil?)

      yield "#{ref}: the tap #{one} became #{other}"
    end

    def all_on(fitting)
      strip = ->(item) { item.except("off") }
      document = fitting.document
      document = document.merge("assignments" => fitting.list("assignments").map(&strip),
                                "places" => fitting.list("places").map(&strip), "devices" => fitting.list("devices")
                                  .map { |item| strip.call(item).merge("buttons" => item["buttons"].map(&strip)) })
      Fitting.read(document)
    end
  end
end
