# frozen_string_literal: true

module Kippen
  class Fitting
    # The parts a fitting is made of; each frozen, made by the readers only.
    Host = Struct.new(:id, :name, keyword_init: true)

    Device = Struct.new(:id, :name, :host, :off, :buttons, keyword_init: true)

    # kind    – "contact" (closes and opens), "force" (a level), "notch" (a step of a wheel)
    # builtin – in words, what it does by itself, or nil where nobody said
    # index   – its place in the fitting's order, which settles ties in the engine
    Button = Struct.new(:ref, :id, :name, :print, :builtin, :kind, :host, :device, :off, :index, keyword_init: true)

    # otherwise – what a button does in this mode where the mode says nothing about it
    Mode = Struct.new(:id, :name, :otherwise, keyword_init: true)

    Place = Struct.new(:id, :name, :app, :part, :off, keyword_init: true)

    Repeat = Struct.new(:after_us, :every_us, keyword_init: true)

    # action – the JSON object as given, frozen
    Assignment = Struct.new(:button, :gesture, :place, :mode, :action, :at_once, :repeat, :off, :index, keyword_init: true) do
      def mode_action? = action["kind"] == "mode"
      def held_mode = (action["mode"] if mode_action? && action["how"] == "held")
    end
  end
end
