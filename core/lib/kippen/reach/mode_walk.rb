# frozen_string_literal: true

module Kippen
  module Reach
    # Every state of modes that a client can come into on a host, by walking: what each button would
    # really do in each state, wherever the client is, and whether base can be come back to from there.
    class ModeWalk
      # What is on: the mode that is held and by which button, the one for the next press, the one until changed.
      State = Struct.new(:held, :by, :latched, :locked) do
        def effective = held || latched || locked || Fitting::BASE
        def base? = held.nil? && latched.nil? && locked.nil?
      end

      # One step: from – the mode that was effective; assignment – what was done; place – where; to – State
      Step = Struct.new(:from, :assignment, :place, :to)

      BASE = State.new.freeze
      # More states than anybody keeps in mind; beyond them nothing is said.
      MOST = 2_000

      # Takes a Fitting and a Host. deadline – how long it may take
      def initialize(fitting, host, deadline: Deadline::NEVER)
        @fitting = fitting
        @host = host
        @deadline = deadline
        # What takes or ends no mode anywhere can't lead anywhere; where nothing is set it is as around it.
        @buttons = fitting.buttons.select do |button|
          button.host == host.id && !button.off && fitting.assigned(button.ref).any?(&:mode_action?)
        end
        set = @buttons.flat_map { |button| fitting.assigned(button.ref) }.to_set(&:place)
        @places = [Fitting::EVERYWHERE, *fitting.places.reject(&:off).map(&:id).select { |id| set.include?(id) }]
        @gestures = {}
        @steps = {}
        @following = {}
        @back = {}
        walk
      end

      # [Step] that lead into a mode, or out of it once it is on until changed.
      def ways_in(mode)
        all.select { |step| step.assignment.action["mode"] == mode && step.from != mode && taken?(step) }.uniq do |step|
          key(step)
        end
      end

      def ways_out(mode)
        all.select { |step| step.from == mode && step.to.held.nil? && step.to.effective != mode }.uniq { |step| key(step) }
      end

      # Ids of the places in which a mode that stays on can't be left again; empty where none, or it never stays on.
      def no_way_back(mode)
        return [] if @states.size >= MOST

        stuck = @states.select { |state| state.held.nil? && state.latched.nil? && state.locked == mode }
        return [] if stuck.empty?

        @places.reject { |place| stuck.all? { |state| leads_back?(state, place) } }
      end

      private

      def all = @all ||= @states.flat_map { |state| @places.flat_map { |place| steps(state, place) } }
      def key(step) = [step.assignment, step.from]

      # WhatHappens it take its mode, and not end it?
      def taken?(step) = [step.to.held, step.to.latched, step.to.locked].include?(step.assignment.action["mode"])

      # The client may be anywhere, and go elsewhere between two presses.
      def walk
        @states = [BASE]
        known = Set.new(@states)
        @states.each do |state|
          @deadline.check
          @places.each { |place| following(state, place).each { |one| @states << one if @states.size < MOST && known.add?(one) } }
        end
      end

      def leads_back?(state, place) = (@back[place] ||= leading_back(place)).include?(state)

      # States from which base is come to without leaving a place: looked for from base on, backwards.
      def leading_back(place)
        @deadline.check
        before = Hash.new { |all, state| all[state] = [] }
        @states.each { |state| following(state, place).each { |after| before[after] << state } }
        found = Set.new(@states.select(&:base?))
        queue = found.to_a
        queue.each { |state| before[state].each { |one| queue << one if found.add?(one) } }
        found
      end

      # States that come next without going elsewhere.
      def following(state, place) = @following[[state, place]] ||= after(state, place)

      def after(state, place)
        let_go = State.new(nil, nil, state.latched, state.locked) if state.held
        used = State.new(state.held, state.by, nil, state.locked) if state.latched && !state.held
        [let_go, used, *steps(state, place).map(&:to)].compact.uniq
      end

      # [Step] that a press can make in a state, in a place.
      def steps(state, place)
        @steps[[state, place]] ||= @buttons.reject { |button| button.ref == state.by }.flat_map do |button|
          gestures(button, state.effective, place).select { |_, one| one&.mode_action? }.filter_map do |_, one|
            step(state, one, place)
          end
        end
      end

      def gestures(button, mode, place)
        @gestures[[button.ref, mode, place]] ||= WhatHappens.gestures(@fitting, button, mode, place)
      end

      def step(state, assignment, place)
        # A press that is made while one is held leaves the latch for later.
        from_latch = !state.held && state.latched
        after = HostModes.new(from_latch ? nil : state.latched, state.locked)
        to = after.act(state, assignment, from_latch)
        Step.new(state.effective, assignment, place, to) unless to == state
      end

      # What an action does to the modes that are on, by the engine's own rules.
      class HostModes
        def initialize(latched, locked)
          @host = Press::HostState.new(nil)
          @host.latched = latched
          @host.locked = locked
        end

        def act(state, assignment, from_latch)
          action = assignment.action
          case action["how"]
          when "held" then return State.new(action["mode"], assignment.button, @host.latched, @host.locked)
          when "latch" then @host.latch(action["mode"], from_latch == action["mode"])
          when "lock" then @host.lock(action["mode"])
          else @host.clear
          end
          State.new(state.held, state.by, @host.latched, @host.locked)
        end
      end
      private_constant :HostModes
    end
  end
end
