# frozen_string_literal: true

module Kippen
  # Which buttons one confirms with: those whose tap clicks, or chooses what is marked.
  class MainJob
    ACTIONS = [{ "kind" => "click", "button" => "left" }, { "kind" => "system", "do" => "choose" }].freeze

    # lost – Fitting::Buttons that had it and have it no more; now – those of the same host that have it afterwards
    Moved = Struct.new(:host, :lost, :now, keyword_init: true)

    def initialize(kinds) = @kinds = kinds

    # [Fitting::Button] of a host, in base, everywhere.
    def buttons(fitting, host)
      resolver = Press::Resolver.new(fitting)
      fitting.devices.select { |device| device.host == host.id }.flat_map do |device|
        device.buttons.reject(&:off).select { |button| ACTIONS.include?(tap(device, button, resolver)) }
      end
    end

    # [Moved] of the hosts on which a button lost it between two states of a fitting; one that was
    # taken out, or to another host, is not asked after.
    def moved(before, after)
      before.hosts.filter_map do |host|
        now = buttons(after, host)
        lost = buttons(before, host).select { |button| after.button(button.ref)&.host == host.id && now.none? { |other| other.ref == button.ref } }
        Moved.new(host:, lost:, now:) if lost.any?
      end
    end

    private

    # The action of a tap, or nil.
    def tap(device, button, resolver)
      choice = resolver.choice(button, Fitting::BASE, resolver.spot(""))
      return choice.tap&.action unless choice.kind == :builtin || choice.tap&.action&.fetch("kind") == "builtin"

      @kinds.button(device, button)&.fetch("builtin_action", nil)
    end
  end
end
