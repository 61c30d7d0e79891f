# frozen_string_literal: true

module Kippen
  module Handover
    # What of a fitting would be put on one device, as its kind can carry it; whatever it can't is named with what happens
    # instead. How it is called, and what is noted about it, stays here: so a new name is no difference.
    #   document – { "kippen" => "carried/1", "device", "off", "assignments", "timing" => { button => settings }, "modes",
    #              "places", "shortlists", "cues" }
    #   left     – [Left]
    class Carried
      FORMAT = "carried/1"

      # What is not put on it. id – gesture, action, way, mode, place, shortlist, setting or room; assignment – the Fitting::Assignment,
      # or nil; finding – for a setting, see Check::NotSettable; thing – the mode, place or shortlist
      Left = Struct.new(:id, :assignment, :finding, :thing, keyword_init: true)

      # The lists of what a kind says how many of it are carried.
      COUNTED = { "modes" => "mode", "places" => "place", "shortlists" => "shortlist" }.freeze

      attr_reader :fitting, :device, :document, :left

      # The same, worked out once for as long as a fitting is.
      def self.of(fitting, device, knowledge)
        fitting.recall([:carried, device.id, knowledge.kinds.object_id]) { new(fitting, device, knowledge) }
      end

      # device – Fitting::Device
      def initialize(fitting, device, knowledge)
        @fitting = fitting
        @device = device
        @knowledge = knowledge.of(fitting)
        @left = []
        @kept = assignments
        unsettable
        fit_memory
        @document = put_together
        freeze
      end

      def digest = Handover.digest(document)

      # Is there nothing that it would do otherwise than by itself?
      def nothing?
        document["assignments"].empty? && !document["off"] && document["buttons_off"].empty? &&
          buttons.all? { |button| @fitting.timing(button).settings == Fitting::Timing.from({}).settings }
      end

      private

      def kinds = @knowledge.kinds
      def carries = kinds.carries(@device, host.system) || {}
      def host = @fitting.host(@device.host)
      def buttons = @device.buttons

      # Those that are carried, in their order.
      def assignments
        own = buttons.flat_map { |button| @fitting.assigned(button.ref) }.reject { |one| one.off || button_off?(one) }
        known, strange = own.partition { |one| kinds.gestures(@fitting, @fitting.button(one.button)).include?(one.gesture) }
        strange.each { |one| @left << Left.new(id: "gesture", assignment: one).freeze }
        room(COUNTED.reduce(done(known)) { |list, (member, word)| counted(list, member, word) })
      end

      # Those that it can do: by their actions, and by the ways into a mode.
      def done(list)
        list = able(list, "action", carries["actions"]) { |action| Steps.parts(action).map { |part| part["kind"] } }
        able(list, "way", carries["mode_ways"]) { |action| action["kind"] == "mode" ? [action["how"]] : [] }
      end

      # Those of which it can do all that the block names; nil: it can do any.
      def able(list, id, can)
        return list if can.nil?

        kept, left = list.partition { |one| (yield(one.action) - can).empty? }
        left.each { |one| @left << Left.new(id:, assignment: one).freeze }
        kept
      end

      def button_off?(one) = @fitting.button(one.button).off

      # As many modes, places or shortlists as it carries, the first that are needed; what speaks of others stays here.
      def counted(list, member, word)
        most = carries[member] or return list

        needed = @fitting.public_send(member).map(&:id) & list.flat_map { |one| named(one, word) }
        over = needed.drop(most)
        over.each { |id| @left << Left.new(id: word, thing: @fitting.public_send(word, id)).freeze }
        list.reject { |one| named(one, word).intersect?(over) }
      end

      # Ids of what an assignment speaks of.
      def named(one, word)
        case word
        when "mode" then Fitting.modes_of({ "mode" => one.mode, "action" => one.action })
        when "place" then [one.place] - [Fitting::EVERYWHERE]
        else Steps.parts(one.action).filter_map { |part| part["shortlist"] || stepped(part) }
        end
      end

      def stepped(part) = part["mode"] && @fitting.mode(part["mode"])&.shortlist

      # Where there is room for so many only: help first, then what must be done, then as they stand.
      def room(list)
        most = carries["assignments"]
        return list if most.nil? || list.size <= most

        kept = list.sort_by.with_index { |one, index| [rank(one), index] }.first(most)
        (list - kept).each { |one| @left << Left.new(id: "room", assignment: one).freeze }
        list & kept
      end

      # As many as its memory holds, in bytes as they are sent.
      def fit_memory
        most = carries["bytes"] or return

        order = @kept.sort_by.with_index { |one, index| [rank(one), index] }
        while order.any? && JSON.generate(put_together).bytesize > most
          gone = order.pop
          @left << Left.new(id: "room", assignment: gone).freeze
          @kept -= [gone]
        end
      end

      def rank(one)
        return 0 if Steps.parts(one.action).any? { |part| Check::NoHelp.asks?(part) }

        must.include?(@knowledge.catalogue.plain(one.action)) ? 1 : 2
      end

      def must
        @fitting.wants.select { |want| want.importance == "must" && want.action }
          .map { |want| @knowledge.catalogue.plain(want.action) }
      end

      def put_together
        modes = @kept.flat_map { |one| named(one, "mode") }.uniq
        lists = lists_of(modes)
        { "kippen" => FORMAT, "device" => @device.id, "off" => @device.off,
          "buttons_off" => buttons.select(&:off).map(&:id),
          "assignments" => @kept.map { |one| item(one) }, "timing" => buttons.to_h { |button| [button.ref, timing(button)] },
          "modes" => items("modes", modes), "places" => items("places", @kept.map(&:place)),
          "shortlists" => items("shortlists", lists), "cues" => @fitting.cues }
      end

      def lists_of(modes)
        opened = @kept.flat_map { |one| named(one, "shortlist") }
        (opened + modes.filter_map { |id| @fitting.mode(id)&.shortlist }).uniq
      end

      # As they stand in the document, unknown members too.
      def items(list, ids) = @fitting.list(list).select { |item| ids.include?(item["id"]) }
      def item(one) = @fitting.list("assignments")[one.index]

      def timing(button)
        settable = kinds.settable(@device, host)
        @fitting.timing(button).settings.to_h { |name, value| [name, Kinds::Settable.nearest(settable[name], value)] }
      end

      # What a gesture on it uses and it can't be set to.
      def unsettable
        refs = buttons.map(&:ref)
        found = @fitting.recall([:not_settable, kinds.object_id]) do
          Check::NotSettable.new(Check::Case.new(@fitting, @knowledge)).findings
        end
        found.select { |one| refs.include?(one.where["button"]) }
          .each { |one| @left << Left.new(id: "setting", finding: one).freeze }
      end
    end
  end
end
