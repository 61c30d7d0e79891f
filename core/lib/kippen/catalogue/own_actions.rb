# frozen_string_literal: true

module Kippen
  class Catalogue
    # Actions that a client's own modes and shortlists bring along, as JSON objects of the catalogue's data.
    #
    # A shortlist that is stepped through is a mode of its own: opening it locks that mode, taking a
    # line or leaving clears it, each with the shortlist's id beside it.
    module OwnActions
      GROUPS = { "modes" => 8, "shortlists" => 8.5 }.freeze
      ALL = %w[computer tablet phone television].freeze
      CLEAR = { "kind" => "mode", "how" => "clear" }.freeze
      # how it is taken => the only gesture that can
      HOW = { "lock" => nil, "latch" => nil, "held" => %w[hold] }.freeze

      module_function

      # Takes a Fitting; returns groups as the data files have them, those with something in them.
      def groups(fitting)
        { "modes" => modes(fitting), "shortlists" => shortlists(fitting) }.reject { |_, actions| actions.empty? }
          .map do |id, actions|
            { "group" => id, "name" => Words.say(:"group_#{id}"), "place" => GROUPS.fetch(id), "actions" => actions }
          end
      end

      # The mode that is on while a shortlist is stepped through: a Fitting::Mode, or nil.
      def mode_of(fitting, shortlist) = fitting.modes.find { |mode| mode.shortlist == shortlist.id }

      # What opens a shortlist.
      def opens(fitting, shortlist)
        mode = mode_of(fitting, shortlist) if shortlist.works == "step"
        return { "kind" => "shortlist", "shortlist" => shortlist.id } unless mode

        { "kind" => "mode", "mode" => mode.id, "how" => "lock", "shortlist" => shortlist.id }
      end

      # What one does in it: { "next" => action … }
      def steps(shortlist)
        { "next" => { "kind" => "shortlist", "shortlist" => shortlist.id, "do" => "next" },
          "previous" => { "kind" => "shortlist", "shortlist" => shortlist.id, "do" => "previous" },
          "take" => CLEAR.merge("shortlist" => shortlist.id, "do" => "take"),
          "leave" => CLEAR.merge("shortlist" => shortlist.id, "do" => "leave") }
      end

      def modes(fitting)
        own = fitting.modes.reject(&:shortlist)
        taking = own.flat_map { |mode| HOW.map { |how, only| taking(mode, how, only) } }
        if own.empty?
          []
        else
          [*taking,
           item("mode-clear", Words.say(:mode_clear), Words.say(:mode_clear_effect), CLEAR, words: Words.say(:mode_clear_search))]
        end
      end

      def taking(mode, how, only)
        name = mode.name || mode.id
        item("mode-#{mode.id}-#{how}", Words.say(:"mode_#{how}_action", mode: name), Words.say(:"mode_#{how}_effect", mode: name),
             { "kind" => "mode", "mode" => mode.id, "how" => how },
             words: Words.say(:mode_search, mode: name)).merge(only ? { "only" => only } : {})
      end

      def shortlists(fitting)
        fitting.shortlists.flat_map do |list|
          system = fitting.host(list.host)&.system or next []
          at = { "hosts" => [system], "locked" => list.locked ? [system] : [] }
          name = list.name || list.id
          [item("shortlist-#{list.id}", Words.say(:shortlist_open, name:), Words.say(:shortlist_open_effect, name:),
                opens(fitting, list),
                words: Words.say(:shortlist_search)),
           *(steps(list).map { |step, action| step(list, step, action, name) } if list.works == "step")].map do |one|
            one.merge(at)
          end
        end
      end

      def step(list, step, action, name)
        item("shortlist-#{list.id}-#{step}", Words.say(:"shortlist_#{step}", name:),
             Words.say(:"shortlist_#{step}_effect", name:), action,
             words: Words.say(:shortlist_step_search, step:))
      end

      def item(id, name, effect, action, words:)
        { "id" => id, "name" => name, "effect" => effect, "words" => words, "action" => action, "hosts" => ALL, "locked" => [],
          "harm" => { "cost" => "nothing", "words" => Words.say(:harm_nothing) } }
      end
      private_class_method :modes, :taking, :shortlists, :step, :item
    end
  end
end
