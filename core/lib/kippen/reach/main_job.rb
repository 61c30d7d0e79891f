# frozen_string_literal: true

module Kippen
  module Reach
    # Which buttons one confirms with: those whose tap clicks, or chooses what is marked.
    class MainJob
      ACTIONS = [{ "kind" => "click", "button" => "left" }, { "kind" => "system", "do" => "choose" }].freeze

      # lost – Fitting::Buttons that had it and have it no more; now – those of the same host that have it afterwards
      Moved = Struct.new(:host, :lost, :now, keyword_init: true)

      def initialize(knowledge)
        @kinds = knowledge.kinds
        @plain = ->(action) { knowledge.catalogue.plain(action) }
        @actions = ACTIONS.map(&@plain)
      end

      # [Fitting::Button] of a host, in base, everywhere.
      def buttons(fitting, host) = of_hosts(fitting).fetch(host.id, [])

      # Is a Press::Outcome the main job done, once? A hold that clicks counts as it starts.
      def done?(fitting, outcome)
        return false unless %w[fire start].include?(outcome.phase)

        assigned = outcome.action && outcome.action["kind"] != "builtin"
        job?(assigned ? outcome.action : own(fitting, fitting.button(outcome.button)))
      end

      # [Moved] of the hosts on which a button lost it between two states of a fitting; one that was
      # taken out, or to another host, is not asked after.
      def moved(before, after)
        before.hosts.filter_map do |host|
          now = buttons(after, host)
          lost = buttons(before, host).select do |button|
            after.button(button.ref)&.host == host.id && now.none? { |other| other.ref == button.ref }
          end
          Moved.new(host:, lost:, now:) if lost.any?
        end
      end

      private

      def of_hosts(fitting)
        fitting.recall([:main_job, @kinds.object_id]) do
          fitting.buttons.reject(&:off).select { |button| tapped?(fitting, button) }.group_by(&:host)
        end
      end

      def tapped?(fitting, button)
        _, assignment = WhatHappens.gestures(fitting, button, Fitting::BASE, Fitting::EVERYWHERE).assoc("tap") || (return false)
        job?(WhatHappens.action(fitting, @kinds, button, assignment))
      end

      def own(fitting, button) = WhatHappens.action(fitting, @kinds, button, nil)
      def job?(action) = !action.nil? && @actions.include?(@plain.call(action))
    end
  end
end
