# frozen_string_literal: true

module Kippen
  module Changes
    # What is different between two fittings of one client, in words a person can check. Told is
    # every place where the documents differ, see Changes::Addresses: what has no sentence of its own
    # is named.
    class Differences
      ORDER = %w[client wants hosts apps modes places shortlists cues hands arrangements kinds devices assignments timing
                 button_timing links follow
                 known confirm_s].freeze
      COUNTED = { "by_gap" => :counted_by_gap, "while_held" => :counted_while_held }.freeze
      LISTS = { "wants" => :word_want, "hosts" => :word_host, "apps" => :word_app, "modes" => :word_mode, "places" => :word_place,
                "shortlists" => :word_shortlist, "hands" => :word_hand, "kinds" => :word_kind,
                "arrangements" => :word_arrangement, "devices" => :word_device }.freeze
      # [at once, switched off]
      ASSIGNED = { [false, false] => :assigned_now, [true, false] => :assigned_at_once, [false, true] => :assigned_off,
                   [true, true] => :assigned_at_once_off }.freeze
      # What goes along with another difference and is not told by itself.
      SILENT = %w[version_at].freeze

      # knowledge – names the actions, and the steps of getting ready
      def initialize(before, after, knowledge)
        @before = before
        @after = after
        @catalogue = knowledge.catalogue
        @kinds = knowledge.kinds
      end

      # [sentence…], empty where nothing differs. only – tell these addresses alone
      def words(only: nil)
        changed = Addresses.changed(@before.document, @after.document)
        changed = changed.slice(*only) if only
        aside, rest = changed.partition { |address, _| address.first == "taken_out" }
        told = rest.sort_by.with_index { |(address, _), index| [ORDER.index(address.first) || ORDER.size, index] }
          .flat_map { |address, (one, other)| Array(sentence(address, one, other)) }.uniq
        told.empty? && aside.any? ? [Words.say(:what_lies_aside_has_changed)] : told
      end

      # Where a gesture stands, in words. spot – [button, place, mode]
      def spoken(gesture, spot) = spot_words(gesture, spot)

      private

      def sentence(address, one, other)
        member, *rest = address
        case member
        when "client" then client(rest)
        when "devices" then device(rest, one, other)
        when "hosts" then host(rest, one, other)
        when *LISTS.keys then listed(Words.say(LISTS[member]), one[0], other[0])
        when "cues" then cue(rest, other)
        when "assignments" then assignments(rest, one, other)
        when "timing" then setting(Words.say(:for_all_buttons), rest, [one, other], Words.say(:as_is_usual))
        when "button_timing" then setting(button_words(rest[0]), rest.drop(1), [one, other], Words.say(:as_for_all))
        when "links" then link(one[0], other[0])
        when "known" then known(one[0], other[0])
        else other_member(member, other)
        end
      end

      def other_member(member, slot)
        case member
        when "follow" then Words.say(slot == ["focus"] ? :focus_counts : :pointer_counts)
        when "confirm_s" then slot.empty? ? Words.say(:confirm_usual) : Words.say(:confirm_seconds, seconds: slot[0])
        else Words.say(:member_changed, member: member.slice(0, 60))
        end
      end

      def client(rest)
        return bears if rest == %w[bears_ms]
        return next_visit if rest == %w[next_visit]
        return Words.say(:client_has_changed) unless rest.size == 1 && %w[name about].include?(rest[0])

        Words.say(:client_now, client: @after.document.fetch("client", {}).values_at("name", "about").compact.join(", "))
      end

      def next_visit
        day = @after.document.dig("client", "next_visit")
        day ? Words.say(:next_visit_on, day:) : Words.say(:next_visit_open)
      end

      def bears
        ms = @after.document.dig("client", "bears_ms")
        ms ? Words.say(:client_bears, ms:) : Words.say(:client_bears_usual)
      end

      def known(one, other)
        key = :"check_name_#{(other || one)["finding"]}"
        name = Words.said?(key) ? Words.say(key) : (other || one)["finding"]
        other ? Words.say(:known_now, name:, why: other["why"]) : Words.say(:known_no_more, name:)
      end

      # on – what it is on, where that is told with it
      def listed(word, one, other, on: nil)
        name = called(other || one)
        name = Words.say(:button_of, device: on, button: name) if on
        return Words.say(:item_added, word:, name:) unless one

        return Words.say(:item_removed, word:, name:) unless other

        if other["edition"] && other["edition"] != one["edition"]
          return Words.say(:kind_edition, name:, edition: other["edition"])
        end

        counting = [one, other].map { |item| item.fetch("counting", "by_gap") }
        counting.uniq.one? ? Words.say(:item_changed, word:, name:) : Words.say(COUNTED.fetch(counting[1]), name:)
      end

      def called(item) = shown(item["name"] || item["what"] || item["id"])

      def cue(rest, slot)
        return Words.say(:member_changed, member: "cues") unless rest.size == 1 && Cues::EVENTS.include?(rest[0])

        ways = if slot.first.is_a?(Array)
                 slot[0].grep(String).map { |way| Cues::WAYS.include?(way) ? Words.say(way.to_sym) : way }
               else
                 []
               end
        Words.say(:cue_now, event: Words.say(:"cue_#{rest[0]}"), ways: ways.empty? ? Words.say(:cue_none) : ways.join(", "))
      end

      def host((id, *rest), one, other)
        return listed(Words.say(:word_host), one[0], other[0]) if rest.empty?

        name = item(:hosts, id)
        rest[0] == "settings" ? setting(name, rest.drop(1), [one, other], Words.say(:its_own)) : Words.say(:host_changed, name:)
      end

      def device((id, *rest), one, other)
        return listed(Words.say(:word_device), one[0], other[0]) if rest.empty?

        name = item(:devices, id)
        case rest[0]
        when "off" then switched(name, other)
        when "ready" then Words.say(other.empty? ? :step_not_done : :step_done, name:, step: step_words(id, rest[1]))
        when "settings", "timing" then setting(name, rest.drop(1), [one, other],
                                               Words.say(rest[0] == "timing" ? :as_for_all : :its_own))
        when "battery" then Words.say(other.empty? ? :battery_not_noted : :battery_noted, name:, is: other.dig(0, "is"))
        when "corrected" then put_right(name, other)
        when "buttons" then button(name, [id, *rest.drop(1)], one, other)
        when *SILENT then nil
        else Words.say(:member_of_device, name:, member: member_words(rest[0]), is: shown(other[0]))
        end
      end

      def member_words(name) = Words.said?(:"member_#{name}") ? Words.say(:"member_#{name}") : name

      def put_right(words, slot) = Words.say(slot.empty? ? :button_as_its_kind : :button_put_right, words:)

      def step_words(device, id)
        of = @after.device(device) || @before.device(device)
        (of && @kinds.of(of)&.steps&.find { |step| step["id"] == id }&.fetch("title")) || id.to_s
      end

      def item(list, id)
        called([@after, @before].filter_map { |fitting| fitting.list(list.to_s).find { |one| one["id"] == id } }
          .first || { "id" => id })
      end

      def switched(name, slot) = Words.say(slot[0] ? :switched_off_now : :switched_on_now, name:)

      def button(name, (device, id, field), one, other)
        return Words.say(:buttons_have_changed, name:) unless id
        return listed(Words.say(:word_button), one[0], other[0], on: name) unless field

        words = button_words("#{device}/#{id}")
        case field
        when "off" then switched(words, other)
        when "corrected" then put_right(words, other)
        else Words.say(:button_changed, words:)
        end
      end

      def shown(value)
        return Words.say(value ? :switch_on : :switch_off) if [true, false].include?(value)

        (value.is_a?(Hash) ? value.values.join(", ") : value || Words.say(:none)).to_s.slice(0, Limits::NAME_CHARACTERS)
      end

      def assignments(spot, one, other)
        before, after = [one, other].map { |items| items.to_h { |item| [item["gesture"], item] } }
        gestures = (before.keys | after.keys).reject { |gesture| before[gesture] == after[gesture] }
        gestures.delete("tap") if gestures.size > 1 && gone?(spot, before["tap"], after["tap"])
        # What is only kept beside it comes last.
        gestures = gestures.rotate(1) if gestures.first == "tap" && gone?(spot, after["tap"], before["tap"])
        gestures.map { |gesture| assignment(gesture, spot, before[gesture], after[gesture]) }
      end

      # A tap that only stood for what the button does by itself goes with what was beside it: nothing is lost.
      def gone?((_button, place, mode), one, other)
        place == Fitting::EVERYWHERE && mode == Fitting::BASE && one && other.nil? && one["action"] == { "kind" => "builtin" }
      end

      def assignment(gesture, spot, one, other)
        where = spot_words(gesture, spot)
        return Words.say(:no_longer_here, where:, named: named(one)) unless other

        Words.say(ASSIGNED[[other["at_once"], other["off"]].map { |one| one ? true : false }], where:, named: named(other))
      end

      def named(item)
        @catalogue.name(item["action"], (@after.button(item["button"]) || @before.button(item["button"]))&.builtin)
      end

      def spot_words(gesture, (button, place, mode))
        where = [button_words(button), Words.gesture(gesture)]
        unless place == Fitting::EVERYWHERE
          where << Words.say(:lost_in, place: (@after.place(place) || @before.place(place))&.name || place)
        end
        where << Words.say(:in_mode, mode: (@after.mode(mode) || @before.mode(mode))&.name || mode) unless mode == Fitting::BASE
        where.join(", ")
      end

      def button_words(ref)
        fitting = @after.button(ref) ? @after : @before
        button = fitting.button(ref)
        button ? Words.button(fitting.device(button.device), button) : ref
      end

      # unset – how a value is told that is not there
      def setting(whose, names, slots, unset)
        return Words.say(:settings_have_changed, whose:) unless names.size == 1

        was, now = slots.map { |slot| slot.empty? ? unset : value(names[0], slot[0]) }
        Words.say(:setting_from_to, whose:, setting: called_setting(names[0]), was:, now:)
      end

      def called_setting(name)
        plain = Words.setting(name.delete_suffix("_from")).downcase
        name.end_with?("_from") ? Words.say(:setting_counted, setting: plain) : plain
      end

      def value(name, value)
        return Words.say(value == "release" ? :from_letting_go : :from_the_press) if name.end_with?("_from")

        told = value.is_a?(Array) ? value.join(", ") : shown(value)
        name.end_with?("_ms") ? Words.say(:value_ms, value: told) : told
      end

      def link(one, other)
        return Words.say(:no_longer_follows, to: device_name(one["to"]), from: device_name(one["from"])) unless other

        Words.say(other["mirror"] ? :follows_mirrored : :device_follows,
                  to: device_name(other["to"]), from: device_name(other["from"]))
      end

      def device_name(id) = (@after.device(id) || @before.device(id))&.name || id
    end
  end
end
