# frozen_string_literal: true

module Kippen
  module Handover
    # What is put on a device as a list that a person sets, one value after the other: help first, then what others speak of, then
    # the rest.
    class ByHand
      # key – what it is, whatever its value; what, where, value, see, undo – in words; mark – of the value: another value is
      # another thing to set
      Item = Struct.new(:key, :what, :where, :value, :see, :undo, :mark, keyword_init: true) do
        def plain = to_h.transform_keys(&:to_s)
      end

      LISTS = { "modes" => :hand_mode, "places" => :hand_place, "shortlists" => :hand_shortlist }.freeze

      FROM = { "press" => :from_the_press, "release" => :from_letting_go }.freeze

      # was – { key => value in words } that was set before, where that is known
      def initialize(carried, knowledge, was: {})
        @carried = carried
        @fitting = carried.fitting
        @knowledge = knowledge.of(@fitting)
        @was = was
      end

      # [Item]
      def items
        help, others = assignments.partition { |item| Steps.parts(item["action"]).any? { |part| Check::NoHelp.asks?(part) } }
        help.map { |item| assigned(item) } + lists + others.map { |item| assigned(item) } + settings
      end

      private

      def document = @carried.document

      # What a button does by itself nobody need set.
      def assignments = document["assignments"].reject { |item| item["action"]["kind"] == "builtin" }

      def system = @fitting.host(@carried.device.host).system
      def button(ref) = @fitting.button(ref)

      def item(key, words, plain)
        was = @was[key]
        words[:undo] = Words.say(:hand_undo_was, was:) if was && was != words[:value]
        Item.new(key:, mark: Handover.digest(plain)[0, 16], **words).freeze
      end

      def assigned(item)
        spot = [item["button"], item.fetch("place", Fitting::EVERYWHERE), item.fetch("mode", Fitting::BASE)]
        item([*spot, item["gesture"]].join(" "),
             { what: spoken.spoken(item["gesture"], spot), where: Words.say(:"hand_where_#{system}_keys"),
               value: @knowledge.catalogue.name(item["action"]), see: seen(item["action"]), undo: undo(item) }, item)
      end

      def spoken = @spoken ||= Changes::Differences.new(@fitting, @fitting, @knowledge)

      def seen(action)
        effect = @knowledge.catalogue.entry(action)&.effect_of(action)
        Words.say(:hand_see_action, effect: effect || "").strip
      end

      def undo(item)
        builtin = button(item["button"]).builtin if item["gesture"] == "tap"
        builtin ? Words.say(:hand_undo_action, builtin:) : Words.say(:hand_undo_nothing)
      end

      def lists
        LISTS.flat_map do |list, word|
          document[list].map do |one|
            item("#{list} #{one["id"]}",
                 { what: Words.say(word), where: Words.say(:"hand_where_#{system}_keys"), value: value_of(list, one),
                   see: Words.say(:hand_see_there), undo: Words.say(:hand_undo_there) }, one)
          end
        end
      end

      def value_of(list, one)
        name = one["name"] || one["id"]
        return name unless list == "shortlists"

        lines = one.fetch("items", []).map { |line| line["name"] || @knowledge.catalogue.name(line["action"]) }
        Words.say(:own_of_button, button: name, told: lines.join(", "))
      end

      def settings
        asked = Check::Case.new(@fitting, @knowledge)
        @carried.device.buttons.flat_map do |button|
          Check::UsedSettings.of(asked, button).map { |name| setting(button, name, document["timing"][button.ref][name]) }
        end
      end

      def setting(button, name, value)
        shown = name.end_with?("_from") ? Words.say(FROM.fetch(value)) : Words.value(name, value)
        see = :"hand_see_#{name}"
        item("#{button.ref} #{name}",
             { what: Words.say(:own_of_button, button: Words.button(@carried.device, button), told: Words.setting(name)),
               where: Words.say(:"hand_where_#{system}_timing"), value: shown,
               see: Words.said?(see) ? Words.say(see, value: shown) : Words.say(:hand_see_value),
               undo: Words.say(:hand_undo_value) }, value)
      end
    end
  end
end
