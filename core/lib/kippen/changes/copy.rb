# frozen_string_literal: true

module Kippen
  module Changes
    # The assignments of one device in place of those of another, button by button as
    # Kinds::Match pairs them. mirror – left becomes right. Once, with the timing that is no matter of
    # force; or lasting: from now on it follows, with timing of its own.
    class Copy < Change.of("copy", :from, :to, mirror: false, lasting: false)
      LEVELS = %w[press_at release_at].freeze

      def make(draft)
        link = { "from" => from, "to" => to, "mirror" => mirror }
        draft.own_device(to)
        following = Following.new(draft, link)
        following.bring_up_to_date
        return timing(draft, following.match) unless lasting

        leading = draft.list("links").to_a.find { |one| one["from"] == to }
        raise Invalid.at("/links", Words.say(:follows_followed, to:)) if leading || draft.list("links").find(from)

        draft.list("links").put(link)
      end

      private

      def timing(draft, match)
        all = draft.member("button_timing", {})
        copied = match.pairs.to_h { |one, other| [other.ref, copied(draft, match, one, other)] }
        changed = all.merge(copied.select { |ref, part| part.any? || all.key?(ref) }).reject do |ref, part|
          part.empty? && all.fetch(ref, {}).any?
        end
        draft.set("button_timing", changed) if changed != all
      end

      # Its own levels, and what is given besides, as far as it can be set there.
      def copied(draft, match, one, other)
        given, own = [one, other].map { |button| draft.member("button_timing", {}).fetch(button.ref, {}) }
        allowed = draft.kinds.settable(match.to, draft.before.host(match.to.host))
        own.slice(*LEVELS).merge(Moving.settable(draft, Words.button(match.to, other), given.except(*LEVELS), allowed))
      end
    end

    # A device that follows another keeps what it has, and goes its own way.
    class Cut < Change.of("cut", :device)
      def make(draft)
        draft.list("links").delete(device) ||
          raise(Invalid.at("/links", Words.say(:follows_no_device, device: Faults.show(device))))
      end
    end
  end
end
