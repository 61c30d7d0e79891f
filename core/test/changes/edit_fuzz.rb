# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Random changes to a client with everything in it, and what must hold after each. Given a seed it
  # makes the same changes again.
  class EditFuzz
    include KindsData

    HOSTS = [{ "id" => "desk", "system" => "computer" }, { "id" => "tv", "system" => "television" }, { "id" => "slate", "system" => "tablet" },
             { "id" => "pocket", "system" => "phone" }].freeze
    PLACES = [{ "id" => "letters", "app" => "rookery" }, { "id" => "margin", "app" => "rookery", "part" => "margin" },
              { "id" => "log", "app" => "tidebook", "off" => true }].freeze
    MODES = [{ "id" => "reading" }, { "id" => "quiet", "otherwise" => "nothing" }, { "id" => "plain", "otherwise" => "builtin" }].freeze
    DEVICES = [%w[mouse-five desk], %w[mouse-five desk], %w[remote tv], %w[switch-box desk], %w[switch desk], %w[grip desk left], %w[grip desk right],
               %w[phone pocket], %w[tablet slate], %w[pen slate], %w[direction-pad desk]].freeze
    ACTIONS = [{ "kind" => "builtin" }, { "kind" => "help" }, { "kind" => "click", "button" => "left" }, { "kind" => "volume", "direction" => "up" },
               { "kind" => "app", "app" => "rookery", "command" => "next-page" }, { "kind" => "modifier", "key" => "Shift", "how" => "held" },
               { "kind" => "system", "do" => "light-toggle" }, { "kind" => "mode", "mode" => "reading", "how" => "lock" },
               { "kind" => "mode", "mode" => "quiet", "how" => "held" }, { "kind" => "mode", "how" => "clear" }, { "kind" => "hum", "tune" => "low" },
               { "kind" => "steps", "stop" => "remote/ok",
                 "steps" => [{ "action" => { "kind" => "volume", "direction" => "up" } },
                             { "action" => { "kind" => "app", "app" => "rookery", "command" => "next-page" }, "pause_ms" => 500 }] }].freeze
    TIMING = { "long_press_ms" => [100, 333, 400, 900], "tap_gap_ms" => [200, 333, 450], "bounce_guard_ms" => [0, 100, 155], "press_at" => [0.5, 0.7],
               "gap_bridge_ms" => [0, 20] }.freeze
    OWN_KIND = JSON.parse(File.read(File.join(DATA, "kinds", "touchpad.json"))).merge("id" => "reed-pad").freeze
    # Kinds that take something away on purpose: what they took may be gone.
    TAKE_AWAY = %w[clear carry assign several arrange copy reset remove_arrangement hold_and_count open_shortlist point shortlist remove_place
                   remove_mode].freeze
    ON_GESTURES = %w[assign clear switch tap_at_once carry hold_and_count open_shortlist].freeze
    # Kinds that change where something holds, and what each is of: what holds elsewhere stays.
    PLACES_KINDS = %w[place remove_place].freeze
    QUIET_KINDS = %w[cues].freeze

    attr_reader :fitting, :counts

    def initialize(seed)
      @random = Random.new(seed)
      @counts = Hash.new(0)
      @fitting = marked(beginning)
    end

    # One change, taken or refused; yields what is wrong, in words.
    def step
      mark_an_assignment if chance(4)
      change = random_change
      kind = change["kind"]
      before = @fitting
      text = JSON.generate(before.document)
      result = attempt(before, change)
      yield "#{change}: the fitting it was made on has changed" unless JSON.generate(before.document) == text
      return count(kind, :refused) unless result

      count(kind, :taken)
      wrong(before, change, result) { |words| yield "#{change}: #{words}" }
      @fitting = result.fitting
    end

    private

    def count(kind, how) = @counts[[kind, how]] += 1

    def attempt(fitting, change)
      Changes.make(fitting, Changes.read(change), knowledge: KNOWLEDGE, by: "Hollis", at: NOON)
    rescue Invalid
      nil
    end

    def pick(list) = list[@random.rand(list.size)]
    def chance(one_in) = @random.rand(one_in).zero? # rubocop:disable Naming/PredicateMethod

    # --- the beginning --------------------------------------------------------

    def beginning
      start = Fitting.read("kippen" => "fitting/1", "hosts" => HOSTS, "places" => PLACES, "modes" => MODES)
      made = DEVICES.reduce(start) { |fitting, (of, host, variant)| add(fitting, of, host:, **(variant ? { variant: } : {})) }
      made(made, "copy", from: "squeeze-grip-left-hand", to: "squeeze-grip-right-hand", mirror: true, lasting: true)
    end

    def add(fitting, of, **given) = made(fitting, "add_device", of:, **given)

    # Every thing carries a member that nobody here knows.
    def marked(fitting)
      @marks = 0
      document = fitting.document.merge("shelf" => mark, "nothing" => nil, "client" => { "name" => "Somebody" }.merge(mark))
      %w[hosts places modes devices].each { |list| document = document.merge(list => document[list].map { |item| item.merge(mark) }) }
      document = document.merge("devices" => document["devices"].map { |item| item.merge("buttons" => item["buttons"].map { |button| button.merge(mark) }) })
      Fitting.read(document.merge("wants" => [{ "id" => "w", "what" => "Read", "hosts" => %w[desk tv] }.merge(mark)]))
    end

    def mark = { "x-mark" => (@marks += 1), "x-nothing" => nil }

    # As a file might have it.
    def mark_an_assignment
      list = @fitting.list("assignments")
      index = @random.rand(list.size + 1)
      followed = @fitting.links.flat_map { |link| [link.from, link.to] }
      return if index == list.size || list[index].key?("x-mark") || followed.include?(list[index]["button"].split("/").first)

      @fitting = Fitting.read(@fitting.document.merge("assignments" => list.dup.tap { |all| all[index] = list[index].merge(mark) }))
    end

    # --- changes --------------------------------------------------------------

    def random_change
      case @random.rand(100)
      when 0...62 then gesture_change
      when 62...72 then timing_change
      when 72...80 then where_change
      when 80...82 then { "kind" => "several", "changes" => Array.new(1 + @random.rand(4)) { gesture_change } }
      else other_change
      end
    end

    def button = pick(@fitting.buttons).ref
    def device = pick(@fitting.devices).id

    def spot
      { "place" => pick(["everywhere", "everywhere", *@fitting.places.map(&:id)]), "mode" => pick(["base", "base", *@fitting.modes.map(&:id)]) }
    end

    # Places, modes, shortlists, cues.
    def where_change # rubocop:disable Metrics
      place = pick(@fitting.places.map(&:id) + ["none"])
      mode = pick(@fitting.modes.map(&:id) + ["none"])
      list = pick(@fitting.shortlists.map(&:id) + ["none"])
      case @random.rand(15)
      when 14 then { "kind" => "point", "directions" => %w[up right down left].to_h { |one| [one, button] }, "step_px" => 12, "faster" => "no" }
      when 0 then { "kind" => "place", "place" => { "app" => pick(%w[rookery screen wrenbox]), "part" => pick(["margin", "Left edge", nil]) }.compact }
      when 1 then { "kind" => "place", "place" => { "id" => place, "off" => chance(2), "off_from_afar" => chance(2) } }
      when 2 then { "kind" => "remove_place", "id" => place }
      when 3 then { "kind" => "mode", "mode" => { "name" => pick(%w[Reading Radio Bells]), "otherwise" => pick(%w[base builtin nothing]) } }
      when 4 then { "kind" => "mode", "mode" => { "id" => mode, "name" => "Called anew" } }
      when 5 then { "kind" => "remove_mode", "id" => mode }
      when 6, 7 then { "kind" => "shortlist",
                       "shortlist" => { "name" => "Often", "host" => pick(HOSTS)["id"], "works" => pick(%w[open step]), "items" => lines } }
      when 8 then { "kind" => "shortlist", "shortlist" => { "id" => list, "works" => pick(%w[open step]), "items" => lines } }
      when 9 then { "kind" => "remove_shortlist", "id" => list }
      when 10, 11 then { "kind" => "open_shortlist", "shortlist" => list, "button" => button, "gesture" => pick(%w[tap double_tap long_press]) }
      when 12 then { "kind" => "hold_and_count", "held" => button, "counted" => button, "counts" => { "tap" => pick(ACTIONS), "double_tap" => pick(ACTIONS) } }
      else { "kind" => "cues",
             "cues" => { "long_press" => pick([%w[hear], %w[see feel], []]), "quiet" => pick([nil, { "from" => "21:00", "to" => "07:00" }]) } }
      end
    end

    def lines = Array.new(1 + @random.rand(7)) { |index| { "action" => index.zero? ? pick(ACTIONS) : { "kind" => "text", "text" => "Line #{index}" } } }

    def gesture_change
      there = @fitting.list("assignments")
      return assign if there.empty? || chance(2)

      item = pick(there)
      at = { "button" => item["button"], "gesture" => item["gesture"], "place" => item.fetch("place", "everywhere"), "mode" => item.fetch("mode", "base") }
      case @random.rand(5)
      when 0 then { "kind" => "clear", **at }
      when 1 then { "kind" => "switch", "off" => !item["off"], **at }
      when 2 then { "kind" => "tap_at_once", "at_once" => chance(2), **at.except("gesture") }
      else { "kind" => "carry", "copy" => chance(2), "to" => { "button" => button, "gesture" => pick(Fitting::GESTURES) }, **at }
      end
    end

    def assign
      change = { "kind" => "assign", "button" => button, "gesture" => pick(Fitting::GESTURES), "action" => pick(ACTIONS), **spot }
      change["keep"] = false if chance(6)
      change["at_once"] = chance(2) if chance(4)
      change["repeat"] = { "after_ms" => 300, "every_ms" => 100 } if chance(5)
      change
    end

    # Several values at once, as a fit has them.
    def fitted
      scope = pick(%w[button device worked_with])
      of = { "button" => button, "device" => device, "worked_with" => pick(["left thumb", "right hand", "head"]) }.fetch(scope)
      { "kind" => "fitted", "scope" => scope, "of" => of, "timing" => TIMING.to_a.sample(1 + @random.rand(3), random: @random).to_h do |name, values|
        [name, pick(values)]
      end }
    end

    def timing_change
      return fitted if chance(4)

      setting, values = TIMING.to_a[@random.rand(TIMING.size)]
      value = chance(6) ? nil : pick(values)
      return { "kind" => "device_timing", "device" => device, "setting" => setting, "value" => value, "nearest" => chance(2) } if chance(3)

      { "kind" => "timing", "button" => button, "setting" => setting, "value" => value, "nearest" => chance(2) }
    end

    def other_change # rubocop:disable Metrics
      case @random.rand(25)
      when 23, 24 then { "kind" => "take_up_kind", "document" => edition }
      when 20 then { "kind" => "kind", "document" => OWN_KIND.merge("name" => pick(["Reed pad", "Reed pad", "Other pad"])) }
      when 21 then { "kind" => "add_device", "of" => pick(@fitting.list("kinds") + [{ "id" => "none" }])["id"], "host" => pick(HOSTS)["id"] }
      when 22 then { "kind" => "remove_kind", "id" => pick(@fitting.list("kinds") + [{ "id" => "none" }])["id"] }
      when 18, 19 then { "kind" => "correct", "button" => button, "set" => put_right }
      when 0 then { "kind" => "device", "device" => device, "set" => { "off" => chance(2) } }
      when 1 then { "kind" => "button", "button" => button, "set" => { "off" => chance(2) } }
      when 2 then { "kind" => "device", "device" => device, "set" => { "host" => pick(HOSTS)["id"] } }
      when 3 then { "kind" => "take_out", "id" => chance(2) ? device : button }
      when 4, 5, 6 then { "kind" => "bring_back", "id" => pick(@fitting.list("taken_out") + [{ "id" => "none" }])["id"] }
      when 7 then { "kind" => "reset", "device" => device }
      when 8 then { "kind" => "copy", "from" => device, "to" => device, "mirror" => chance(2), "lasting" => chance(3) }
      when 9 then { "kind" => "cut", "device" => pick(@fitting.list("links").map { |link| link["to"] } + [device]) }
      when 10 then { "kind" => "arrange", "arrangement" => pick(%w[left-handed-mouse pen-three-buttons own-mine]), "device" => device }
      when 11 then if @fitting.list("arrangements").size < 5
                     { "kind" => "save_arrangement", "device" => device,
                       "name" => "mine" }
                   else
                     { "kind" => "remove_arrangement",
                       "id" => pick(@fitting.list("arrangements"))["id"] }
                   end
      when 12 then { "kind" => "want", "want" => { "id" => "w", "what" => pick(%w[Read Write]), "hosts" => pick([%w[desk], %w[desk tv]]),
                                                   "place" => pick(["everywhere", { "app" => "rookery" }, { "app" => { "name" => "Heron" } }]) } }
      when 13 then { "kind" => "host", "host" => { "id" => "slate", "name" => "Slate", "system" => pick(%w[tablet phone computer]) } }
      when 14 then { "kind" => "add_button", "device" => device, "button" => { "name" => "Extra", "kind" => "contact", "codes" => [] } }
      when 15 then { "kind" => "ready", "device" => device, "step" => "pair", "done" => chance(2) }
      when 16 then { "kind" => "add_device", "of" => pick(%w[switch remote pen]), "host" => pick(HOSTS)["id"] }
      else { "kind" => "setting", "of" => "device", "id" => device, "setting" => "wheel_lines", "value" => pick([1, nil]) }
      end
    end

    # Another edition of a kind that is there: some of its buttons, with some of the gestures.
    def edition
      of = pick(@fitting.list("kinds") + [OWN_KIND])
      buttons = JSON.parse(JSON.generate(OWN_KIND["buttons"])).reject { chance(4) }.map { |one| one.except("mirror") }
      buttons.each { |one| one["gestures"] = pick([%w[tap], %w[tap double_tap], Fitting::GESTURES]) if chance(3) }
      hosts = chance(3) ? OWN_KIND["hosts"].slice("computer") : OWN_KIND["hosts"]
      OWN_KIND.merge("id" => of["id"], "name" => of["name"], "edition" => 1 + @random.rand(9), "buttons" => buttons, "hosts" => hosts)
    end

    # What somebody says of a button of this model; nil: as its kind has it.
    def put_right
      return if chance(4)

      all = { "is" => pick(%w[free free needed]), "why" => "Invented.", "held_back" => chance(2),
              "builtin" => pick([{}, { "tap" => "Louder" }, { "hold" => "Torch" }]),
              "gestures" => pick([%w[tap], %w[tap double_tap], Fitting::GESTURES]),
              "claims" => pick([[], [{ "gesture" => "tap", "by" => "the system", "free_by" => "Settings", "freed" => chance(2) }]]) }
      all["is"] = "fixed" if chance(8)
      all.slice("is", "why", *all.keys.drop(2).sample(1 + @random.rand(3), random: @random))
    end

    # --- what must hold -------------------------------------------------------

    def wrong(before, change, result, &)
      after = result.fitting
      again = attempt(before, change)
      yield "made again it comes to something else" unless again && JSON.generate(again.fitting.document) == JSON.generate(after.document)
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
      others = ["everywhere", *before.places.reject { |place| place.id == id || (place.app == app && before.place(id).part.nil?) }.map(&:id)]
      modes = ["base", *before.modes.map(&:id)]
      before.buttons.sample(8, random: @random).each do |button|
        moved = others.product(modes).find { |place, mode| jobs(before, button.ref, place, mode) != jobs(after, button.ref, place, mode) }
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
        match = Changes::Following.between(fitting, KINDS, link.from, link.to, link.mirror)
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
            Fitting::GESTURES.each { |gesture| told(old, new, gesture, asked, ref, followed) { |words| yield "#{words} #{where}" } }
            kept(change, old, new, ref, on) { |words| yield "#{words} #{where}" }
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
      choice = Press::Resolver.of(fitting).choice(fitting.button(ref), mode, Press::Resolver.of(fitting).spot(fitting.where(place)))
      found = [choice.tap, choice.double_tap, choice.triple_tap, choice.long].compact.to_h { |one| [one.gesture, [one.action, [one.place, one.mode]]] }
      found["tap"] ||= [choice.kind == :builtin ? { "kind" => "builtin" } : nil, nil]
      found
    end

    def told(old, new, gesture, asked, ref, followed)
      one, other = [old, new].map { |jobs| jobs[gesture] || [nil, nil] }
      return if one[0] == other[0] || followed.include?(ref)

      # A tap may be lost where something else is put beside one that is switched off.
      by = [old, new].flat_map { |jobs| jobs.values.filter_map(&:last) }
      touched = asked.select { |spot| spot.button == ref }.map { |spot| [spot.place, spot.mode] }
      yield "#{ref}, #{gesture}: #{one[0]} became #{other[0]} unasked" unless by.intersect?(touched)
    end

    def kept(change, old, new, ref, on)
      target = change["kind"] == "carry" ? change["to"] : change
      return unless %w[assign carry].include?(change["kind"]) && target["gesture"] != "tap" && target["button"] == ref && change["keep"] != false
      return if change["kind"] == "carry" && !change["copy"] && change["button"] == ref

      one, other = [old, new].map { |jobs| jobs["tap"][0] }
      # What was kept falls back to where there was nothing; and now, a tap that is switched off leaves
      # nothing in its place.
      return if one == other || (one.nil? && other == { "kind" => "builtin" }) || (on.zero? && other.nil?)

      yield "#{ref}: the tap #{one} became #{other}"
    end

    def all_on(fitting)
      strip = ->(item) { item.except("off") }
      document = fitting.document
      document = document.merge("assignments" => fitting.list("assignments").map(&strip), "places" => fitting.list("places").map(&strip),
                                "devices" => fitting.list("devices").map { |item| strip.call(item).merge("buttons" => item["buttons"].map(&strip)) })
      Fitting.read(document)
    end
  end
end
