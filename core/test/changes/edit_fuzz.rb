# frozen_string_literal: true

require_relative "../kinds_data"
require_relative "what_must_hold"
require_relative "random_where"

module Kippen
  # Random changes to a client with everything in it, and what must hold after each. Given a seed it
  # makes the same changes again.
  class EditFuzz
    include KindsData
    include WhatMustHold
    include RandomWhere

    HOSTS = [{ "id" => "desk", "system" => "computer" }, { "id" => "tv", "system" => "television" },
             { "id" => "slate", "system" => "tablet" },
             { "id" => "pocket", "system" => "phone" }].freeze
    PLACES = [{ "id" => "letters", "app" => "rookery" }, { "id" => "margin", "app" => "rookery", "part" => "margin" },
              { "id" => "log", "app" => "tidebook", "off" => true }].freeze
    MODES = [{ "id" => "reading" }, { "id" => "quiet", "otherwise" => "nothing" },
             { "id" => "plain", "otherwise" => "builtin" }].freeze
    DEVICES = [%w[mouse-five desk], %w[mouse-five desk], %w[remote tv], %w[switch-box desk], %w[switch desk], %w[grip desk left],
               %w[grip desk right],
               %w[phone pocket], %w[tablet slate], %w[pen slate], %w[direction-pad desk]].freeze
    ACTIONS = [{ "kind" => "builtin" }, { "kind" => "help" }, { "kind" => "click", "button" => "left" },
               { "kind" => "volume", "direction" => "up" },
               { "kind" => "app", "app" => "rookery", "command" => "next-page" },
               { "kind" => "modifier", "key" => "Shift", "how" => "held" },
               { "kind" => "system", "do" => "light-toggle" }, { "kind" => "mode", "mode" => "reading", "how" => "lock" },
               { "kind" => "mode", "mode" => "quiet", "how" => "held" }, { "kind" => "mode", "how" => "clear" },
               { "kind" => "hum", "tune" => "low" },
               { "kind" => "steps", "stop" => "remote/ok",
                 "steps" => [{ "action" => { "kind" => "volume", "direction" => "up" } },
                             { "action" => { "kind" => "app", "app" => "rookery", "command" => "next-page" },
                               "pause_ms" => 500 }] }].freeze
    TIMING = { "long_press_ms" => [100, 333, 400, 900], "tap_gap_ms" => [200, 333, 450], "bounce_guard_ms" => [0, 100, 155],
               "press_at" => [0.5, 0.7],
               "gap_bridge_ms" => [0, 20] }.freeze
    OWN_KIND = JSON.parse(File.read(File.join(DATA, "kinds", "touchpad.json"))).merge("id" => "reed-pad").freeze

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
      %w[hosts places modes devices].each do |list|
        document = document.merge(list => document[list].map { |item| item.merge(mark) })
      end
      document = document.merge("devices" => document["devices"]
        .map { |item| item.merge("buttons" => item["buttons"].map { |button| button.merge(mark) }) })
      Fitting.read(document.merge("wants" => [{ "id" => "w", "what" => "Read", "hosts" => %w[desk tv] }.merge(mark)]))
    end

    def mark = { "x-mark" => (@marks += 1), "x-nothing" => nil }

    # As a file might have it.
    def mark_an_assignment
      list = @fitting.list("assignments")
      index = @random.rand(list.size + 1)
      followed = @fitting.links.flat_map { |link| [link.from, link.to] }
      return if index == list.size || list[index].key?("x-mark") || followed.include?(list[index]["button"].split("/").first)

      @fitting = Fitting.read(@fitting.document
        .merge("assignments" => list.dup.tap { |all| all[index] = list[index].merge(mark) }))
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
      { "place" => pick(["everywhere", "everywhere", *@fitting.places.map(&:id)]),
        "mode" => pick(["base", "base", *@fitting.modes.map(&:id)]) }
    end

    def gesture_change
      there = @fitting.list("assignments")
      return assign if there.empty? || chance(2)

      item = pick(there)
      at = { "button" => item["button"], "gesture" => item["gesture"], "place" => item.fetch("place", "everywhere"),
             "mode" => item.fetch("mode", "base") }
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
      { "kind" => "fitted", "scope" => scope, "of" => of,
        "timing" => TIMING.to_a.sample(1 + @random.rand(3), random: @random).to_h do |name, values|
          [name, pick(values)]
        end }
    end

    def timing_change
      return fitted if chance(4)

      setting, values = TIMING.to_a[@random.rand(TIMING.size)]
      value = chance(6) ? nil : pick(values)
      if chance(3)
        return { "kind" => "device_timing", "device" => device, "setting" => setting, "value" => value, "nearest" => chance(2) }
      end

      { "kind" => "timing", "button" => button, "setting" => setting, "value" => value, "nearest" => chance(2) }
    end

    def other_change
      case @random.rand(25)
      when 23, 24 then { "kind" => "take_up_kind", "document" => edition }
      when 20 then { "kind" => "kind", "document" => OWN_KIND.merge("name" => pick(["Reed pad", "Reed pad", "Other pad"])) }
      when 21 then { "kind" => "add_device", "of" => pick(@fitting.list("kinds") + [{ "id" => "none" }])["id"],
                     "host" => pick(HOSTS)["id"] }
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
      when 10 then { "kind" => "arrange", "arrangement" => pick(%w[left-handed-mouse pen-three-buttons own-mine]),
                     "device" => device }
      when 11 then if @fitting.list("arrangements").size < 5
                     { "kind" => "save_arrangement", "device" => device,
                       "name" => "mine" }
                   else
                     { "kind" => "remove_arrangement",
                       "id" => pick(@fitting.list("arrangements"))["id"] }
                   end
      when 12 then { "kind" => "want",
                     "want" => { "id" => "w", "what" => pick(%w[Read Write]), "hosts" => pick([%w[desk], %w[desk tv]]),
                                 "place" => pick(["everywhere", { "app" => "rookery" }, { "app" => { "name" => "Heron" } }]) } }
      when 13 then { "kind" => "host",
                     "host" => { "id" => "slate", "name" => "Slate", "system" => pick(%w[tablet phone computer]) } }
      when 14 then { "kind" => "add_button", "device" => device,
                     "button" => { "name" => "Extra", "kind" => "contact", "codes" => [] } }
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
      OWN_KIND.merge("id" => of["id"], "name" => of["name"], "edition" => 1 + @random.rand(9), "buttons" => buttons,
                     "hosts" => hosts)
    end

    # What somebody says of a button of this model; nil: as its kind has it.
    def put_right
      return if chance(4)

      all = { "is" => pick(%w[free free needed]), "why" => "Invented.", "held_back" => chance(2),
              "builtin" => pick([{}, { "tap" => "Louder" }, { "hold" => "Torch" }]),
              "gestures" => pick([%w[tap], %w[tap double_tap], Fitting::GESTURES]),
              "claims" => pick([[], [{ "gesture" => "tap", "by" => "the system", "free_by" => "Settings",
                                       "freed" => chance(2) }]]) }
      all["is"] = "fixed" if chance(8)
      all.slice("is", "why", *all.keys.drop(2).sample(1 + @random.rand(3), random: @random))
    end
  end
end
