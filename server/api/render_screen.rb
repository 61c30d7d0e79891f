# frozen_string_literal: true

module Kippen
  module Server
    # The screen of a stand-in host as the JSON of the contract.
    module RenderScreen
      module_function

      # screen – a Standins::Screen
      def view(screen)
        layout = screen.layout
        under = layout.at(screen.state["pointer"])
        { "host" => screen.host.id, "name" => screen.name, "system" => screen.host.system, "size" => screen.kind.screen,
          "elements" => layout.elements.map { |one| element(one, one == under) }, "where" => screen.where,
          "facts" => Standins::Facts.of(screen),
          "due_in_ms" => due(screen), "mode" => mode(screen), "list" => list(screen), "happenings" => happenings(screen),
          "refuses" => screen.refusals.map(&:plain) }
          .merge(screen.state.slice("pointer", "said", "locked", "afar", "call"))
      end

      # How soon it changes by itself, in ms, or nil.
      def due(screen) = Standins::Course.new(screen).due_ms&.then { |due| [due - screen.moment.ms, 0].max }

      def mode(screen)
        mode = screen.state["mode"]
        mode && screen.fitting.mode(mode["id"]) && { "name" => Words.mode(screen.fitting, mode["id"]), "how" => mode["how"] }
      end

      def happenings(screen) = screen.happenings.map { |one| { "button" => one.ref, "name" => one.name || one.id } }

      def element(one, under)
        { "key" => one.key, "kind" => one.kind, "label" => one.label, "rect" => one.rect, "where" => one.where,
          "place" => one.place, "under" => under }
      end

      def list(screen)
        return unless screen.list

        { "name" => screen.list.name || screen.list.id, "works" => screen.list.works, "choose" => screen.kind.choose,
          "marked" => screen.state["list"]["marked"],
          "lines" => screen.lines }
      end

      # The cues of what was decided, of modes that came and went, and of keys that stay down: [{ "event", "words", "ways" }].
      # screens – { host id => Standins::Screen } after it
      def cues(fitting, decided, mode_changes, screens)
        told = decided.flat_map do |outcome|
          of_outcome(fitting, outcome) + kept(screens[fitting.button(outcome.button)&.host], outcome)
        end
        told += mode_changes.flat_map { |_, before, after| modes(fitting, before, after) }
        cues = told.map { |event, words| { "event" => event, "words" => words, "ways" => fitting.cues.fetch(event, []) } }
        cues.reject { |cue| cue["ways"].empty? }
      end

      # [[event, words]…]
      def of_outcome(fitting, outcome)
        catalogue = CATALOGUE.of(fitting)
        entry = outcome.action && catalogue.entry(outcome.action)
        Cues.events(outcome, entry, fitting.timing(fitting.button(outcome.button))).map do |event|
          [event, words(event, outcome, catalogue)]
        end
      end

      # A key that stays down is down now, or up again.
      def kept(screen, outcome)
        key = Cues.kept(outcome.action)
        return [] unless screen && key && %w[fire start].include?(outcome.phase)

        on = screen.state["modifiers"].include?(key) ? "on" : "off"
        [["key_#{on}", Words.say(:"key_is_#{on}", key:)]]
      end

      def words(event, outcome, catalogue)
        event == "ignored" ? Words.say(:cue_ignored) : catalogue.name(outcome.action)
      end

      # From one mode to another, one ends and one begins.
      def modes(fitting, before, after)
        [(["mode_ends", Words.say(:mode_over, mode: Words.mode(fitting, before[0]))] if before),
         (["mode_begins", Words.mode(fitting, after[0])] if after)].compact
      end
      private_class_method :due, :mode, :happenings, :element, :list, :of_outcome, :kept, :words, :modes
    end
  end
end
