# frozen_string_literal: true

module Kippen
  module Reach
    # What a press would do, somewhere, in a mode, and why: asked of the resolver, told as it looks.
    class Answer
      # gesture; action – what happens, a JSON object, or nil; name – in words, or nil where nothing happens;
      # why – sentences; wait – Press::Waits::Wait or nil
      GestureAnswer = Struct.new(:gesture, :action, :name, :why, :wait, keyword_init: true)

      # where – as a host tells where it is: "app", "app/part" or "" for nowhere
      def initialize(fitting, knowledge, button, where:, mode:)
        @fitting = fitting
        @catalogue = knowledge.catalogue
        @button = button
        @mode = mode
        @gestures = knowledge.kinds.gestures(fitting, button)
        @spot = Press::Resolver.of(fitting).spot(where)
        @choice = Press::Resolver.of(fitting).choice(button, mode, @spot)
        @limits = Press::LimitsOfTiming.of(@choice, fitting.timing(button))
        @waits = Press::Waits.of(@choice, fitting.timing(button))
      end

      # [GestureAnswer] of every gesture that says something: those assigned, and the tap.
      def all
        given = %w[tap double_tap triple_tap long_press].select do |gesture|
          gesture == "tap" || found(gesture) || looked(gesture).any?
        end
        given.map { |gesture| one(gesture) }
      end

      private

      def found(gesture) = gesture == "long_press" ? @choice.long : @choice.public_send(gesture)

      def one(gesture)
        assignment = found(gesture)
        limit = @limits.find { |one| one.gesture == assignment&.gesture && one.how == "impossible" }
        told = assignment ? assignment.gesture : gesture
        GestureAnswer.new(gesture: told, action: (assignment.action if assignment && !limit),
                          name: (name(assignment, gesture) unless limit),
                          why: [*why(gesture, assignment),
                                *(Words.say(:answer_impossible, words: Words.limit(limit, @fitting.timing(@button))) if limit)],
                          wait: (@waits[told] if assignment && !limit)).freeze
      end

      def name(assignment, gesture)
        return @catalogue.name(assignment.action, @button.builtin) if assignment

        @catalogue.name(nil, @button.builtin) if gesture == "tap" && @choice.kind == :builtin
      end

      def why(gesture, assignment)
        looked = looked(gesture)
        rungs = looked.chunk_while { |(_, one), (_, other)| one == other }.map do |same|
          rungs(same.map(&:first), same.first.last)
        end
        [(Words.say(:answer_looked, rungs: rungs.join("; ")) if rungs.any?), otherwise(gesture, assignment)].compact
      end

      # Several that had the same to say, as one.
      def rungs(names, result) = Words.say(:"rung_#{result}", count: names.size, rung: names.join(", "))

      # What happens where nothing was found.
      def otherwise(gesture, assignment)
        return if assignment
        return Words.say(:answer_otherwise_nothing, mode: Words.mode(@fitting, @mode)) if @choice.kind == :blocked
        unless gesture == "tap" && @choice.kind == :builtin
          return Words.say(:asked_nothing, button: @button.name || @button.id,
                                           gesture: Words.gesture(gesture))
        end

        @button.builtin ? Words.say(:answer_builtin_named, builtin: @button.builtin) : Words.say(:answer_builtin)
      end

      # [[rung in words, "has", "off" or "none"]…] up to the one that has it.
      def looked(gesture)
        all = Press::Candidates.new(@fitting, @mode, @spot).of(@button, gesture)
        rungs = Press::Resolver.rungs(@mode, @mode == Fitting::BASE ? nil : @fitting.mode(@mode).otherwise, places)
        return [] if all.none? { |one| %w[won off covered].include?(one.result) }

        upto = rungs.index do |mode, place|
          all.any? do |one|
            one.result == "won" && [one.assignment.mode, one.assignment.place] == [mode, place]
          end
        end || (rungs.size - 1)
        rungs.first(upto + 1).map { |mode, place| [rung(mode, place), result(all, mode, place)] }
      end

      # Those that are switched off are looked at too, to say so.
      def places
        Press::Resolver.places(@spot.where) { |app, part| @fitting.places.find { |one| one.app == app && one.part == part }&.id }
      end

      def rung(mode, place)
        Words.say(:rung, mode: mode == Fitting::BASE ? Words.say(:rung_usual) : Words.mode(@fitting, mode),
                         place: place_words(place))
      end

      def place_words(place)
        place == Fitting::EVERYWHERE ? Words.say(:rung_everywhere) : Words.say(:rung_in, place: Words.place(@fitting, place))
      end

      def result(all, mode, place)
        results = all.select { |one| [one.assignment.mode, one.assignment.place] == [mode, place] }.map(&:result)
        return "has" if results.include?("won")

        results.include?("off") ? "off" : "none"
      end
    end
  end
end
