# frozen_string_literal: true

module Kippen
  module Changes
    # A link of a draft: what follows another device has the same assigned, as far as it can have it there.
    class Following
      # Brings every follower up to date whose leader was touched.
      def self.follow(draft)
        links = draft.list("links").to_a
        return if links.empty?

        was = Rows.new(draft.before.list("assignments"))
        there = links.select { |link| %w[from to].all? { |one| draft.list("devices").find(link[one]) } }
        there.each do |link|
          following = new(draft, link)
          following.bring_up_to_date if following.touched?(was)
        end
      end

      # The Kinds::Match of two devices. Raises Invalid.
      def self.between(fitting, kinds, from:, to:, mirror:)
        one, other = [from, to].map do |id|
          fitting.device(id) || raise(Invalid.at("/change", Words.say(:no_device, id: Faults.show(id))))
        end
        raise Invalid.at("/change", Words.say(:device_cant_follow_itself)) if one == other

        Kinds::Match.new(kinds, one, other, mirror:)
      end

      # Names what has no match, and what can't be had there, in words: { "buttons" => […], "assignments" => […] }.
      def self.without_match(fitting, knowledge, match)
        cautions = Cautions.new(fitting, knowledge)
        partners = match.pairs.to_h { |one, other| [one.ref, other] }
        cannot = fitting.assignments.select do |one|
          partners[one.button] && cautions.reasons(partners[one.button], fitting.list("assignments")[one.index]).any?
        end
        spoken = ->(one) { "#{fitting.button(one.button).name || one.button}: #{Words.gesture(one.gesture)}" }
        { "buttons" => match.without.map { |button| button.name || button.id }, "assignments" => cannot.map(&spoken) }
      end

      # The Kinds::Match of its devices.
      attr_reader :match

      # link – { "from", "to", "mirror" }. Raises Invalid.
      def initialize(draft, link)
        @draft = draft
        @link = link
        from, to, mirror = link.values_at("from", "to", "mirror")
        @match = Following.between(View.new(draft), draft.kinds, from:, to:, mirror:)
      end

      # Is the link itself, or what its devices have on them, another than before? was – the Rows of before
      def touched?(was)
        new? || changed_devices? || @match.pairs.any? { |one, _| @draft.rows.of(one.ref) != was.of(one.ref) }
      end

      # Has the one already what it would have by following?
      def same?
        @match.pairs.all? do |one, other|
          wanted = @draft.rows.of(one.ref).select { |item| @draft.cautions.reasons(other, item).empty? }
          wanted.to_set { |item| @match.carried(item) } == @draft.rows.of(other.ref).to_set
        end
      end

      # The rows of each partner become those of the other's button; what can't be there is left out.
      def bring_up_to_date
        followed = pairs_before
        @match.pairs.each do |one, other|
          put_own_aside(one, other) if followed && !followed.include?([one.ref, other.ref])
          @draft.rows.of(other.ref).each { |item| @draft.rows.delete(Spot.of(item), item["gesture"]) }
          @draft.rows.of(one.ref).each { |item| copy(item, other) }
        end
      end

      private

      def new? = @draft.before.list("links").none? { |one| one.equal?(@link) }

      def changed_devices?
        @link.values_at("from", "to").any? do |id|
          @draft.before.list("devices").none? { |item| item.equal?(@draft.list("devices").find(id)) }
        end
      end

      # Which buttons followed which by this link before: [[ref, ref]…]; nil where there was no such link.
      def pairs_before
        link = @draft.before.links.find { |one| one.to == @match.to.id && one.from == @match.from.id } or return
        before = Following.between(@draft.before, @draft.kinds, from: link.from, to: link.to, mirror: link.mirror)
        before.pairs.map { |pair| pair.map(&:ref) }
      end

      # A partner that is there again: what its follower had of its own meanwhile gives way, and is kept.
      def put_own_aside(one, other)
        wanted = @draft.rows.of(one.ref).to_set { |item| @match.carried(item) }
        own = @draft.rows.of(other.ref).reject { |item| wanted.include?(item) }
        return if own.empty?

        name = Words.button(View.new(@draft).device(other.device), other)
        @draft.put_aside({ "id" => other.ref, "name" => name, "assignments" => own })
        @draft.left_out << Words.say(:own_aside, button: name, count: own.size)
      end

      def copy(item, button)
        why = @draft.cautions.reasons(button, item)
        return @draft.rows.put(@match.carried(item)) if why.empty?
        # What a follower went without before needs no telling again.
        return if @draft.before.links.any? { |link| link.to == @match.to.id } && old?(item)

        where = [Words.button(@match.to, button), Words.gesture(item["gesture"])].join(", ")
        @draft.left_out << "#{where}: #{why.first.delete_suffix(".")}."
      end

      def old?(item)
        @draft.before.assignments.any? do |one|
          one.button == item["button"] && @draft.before.list("assignments")[one.index].equal?(item)
        end
      end
    end
  end
end
