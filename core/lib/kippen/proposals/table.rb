# frozen_string_literal: true

module Kippen
  module Proposals
    # A press on a gesture that an offer has: presses; seconds until it happens; right – the chance that it comes out as meant
    Slot = Struct.new(:presses, :seconds, :right, keyword_init: true)
    # Gestures that a button could carry together: { gesture => Slot }; cost_s – what the offer costs a day by itself
    Offer = Struct.new(:gestures, :cost_s, keyword_init: true)
    # effort_s – what a press costs beyond its time
    OneButton = Struct.new(:id, :device, :host, :effort_s, :offers, keyword_init: true)
    # wrong_s – what a wrong press costs; ways – 1 or 2, on two devices; missing_s, missing_second_s – a day without the first,
    # the second; cant – [[button, gesture]…] on which it can't be
    Wanted = Struct.new(:id, :host, :times, :wrong_s, :ways, :missing_s, :missing_second_s, :cant, keyword_init: true) do
      # Seconds a day on a slot of a button.
      def cost(slot, button) = times * (slot.seconds + (slot.presses * button.effort_s) + ((1 - slot.right) * wrong_s))
    end
    # That a want is done by a gesture of a button.
    Serves = Struct.new(:want, :button, :gesture)

    # What is known, and what must be kept: a value that stands by itself (slots/1). All figures are seconds a day.
    #   today – [Serves] that hold now; fixed – those of them that stay; closed – [[button, gesture]…] that may not be used
    #   document – as it was read
    Table = Struct.new(:wants, :buttons, :today, :fixed, :closed, :second_share, :change_s, :document, keyword_init: true) do
      # Takes a parsed JSON object. Raises Invalid with every fault in it.
      def self.read(document) = TableReader.new(document).table

      def self.format = "slots/1"

      def button(id) = @by_id.fetch(id)
      def want(id) = @wants_by_id.fetch(id)

      def initialize(**parts)
        super
        @by_id = buttons.to_h { |one| [one.id, one] }.freeze
        @wants_by_id = wants.to_h { |one| [one.id, one] }.freeze
        freeze
      end

      # May a want be done there at all?
      def open?(want, button, gesture)
        want.host == button.host && !closed.include?([button.id, gesture]) && !want.cant.include?([button.id, gesture])
      end

      # The same with other rules.
      def with(**rules) = self.class.new(**to_h, **rules)
    end
  end
end
