# frozen_string_literal: true

module Kippen
  module Press
    # From raw events to outcomes. Knows no clock: every call brings its time, and
    # times never go back. The same events give the same outcomes whether they come
    # at once or one by one with any ticks of the clock in between.
    #
    # At one instant all due timers run before the raw events of that instant.
    class Engine
      # Time went back. Says which time came after which.
      class TimeRunsBackwards < Error; end

      # recorder – is told what happened inside, for explanations; nil for speed
      # resolver – may be shared by engines of one fitting
      def initialize(fitting, recorder: nil, resolver: Resolver.new(fitting))
        @resolver = resolver
        nowhere = resolver.spot("")
        @hosts = fitting.hosts.to_h { |host| [host.id, HostState.new(nowhere, by_focus: fitting.follow == "focus")] }
        @contacts = fitting.buttons.map { |button| Contact.new(button, fitting.timing(button), @hosts.fetch(button.host)) }
        @schedule = Schedule.new
        @decisions = Decisions.new(@schedule, recorder)
        @bursts = Bursts.new(resolver, @schedule, @decisions, recorder)
        @filter = ClickFilter.new(@bursts, @schedule, @decisions, recorder)
      end

      # One raw event. button – its index in the fitting; the kinds follow the trace.
      def down(time_us, button)
        advance(time_us)
        @filter.close(@contacts[button])
        run_due(time_us) if @schedule.due_us <= time_us
      end

      def up(time_us, button)
        advance(time_us)
        @filter.open(@contacts[button])
        run_due(time_us) if @schedule.due_us <= time_us
      end

      # level – 0..1, in parts of full scale
      def level(time_us, button, level)
        advance(time_us)
        contact = @contacts[button]
        if contact.closed
          @filter.open(contact) if level <= contact.release_at
        elsif level >= contact.press_at
          @filter.close(contact)
        end
        run_due(time_us) if @schedule.due_us <= time_us
      end

      def notch(time_us, button)
        advance(time_us)
        @filter.notch(@contacts[button])
        run_due(time_us) if @schedule.due_us <= time_us
      end

      # where – "app", "app/part" or "" for nowhere; host – its id
      def pointer_in(time_us, host, where)
        advance(time_us)
        @hosts.fetch(host).pointer_in = @resolver.spot(where)
      end

      def focus_in(time_us, host, where)
        advance(time_us)
        @hosts.fetch(host).focus_in = @resolver.spot(where)
      end

      # Lets time run on to +time_us+: whatever is due by then happens.
      def tell(time_us) = advance(time_us)

      def now_us = @schedule.now_us

      # The next moment at which the engine needs to be told the time, or nil.
      def next_us = @schedule.due_us == Schedule::NEVER ? nil : @schedule.due_us

      # What every button waits for next, in the fitting's order: an Array of Bench::Waiting.
      def waiting
        @contacts.filter_map do |contact|
          Bench::Waiting.new(contact.button.ref, Bench::FOR[contact.due_kind], contact.due_us) if contact.due_us
        end
      end

      # { host => [mode, how] or nil }, see HostState#effective.
      def modes = @hosts.transform_values(&:effective)

      # The outcomes decided since this was last asked, in the order decided.
      def take = @decisions.take

      # Its state: a Hash of Strings, Integers, booleans, Arrays and Hashes.
      def save = snapshot.save

      # Takes up what #save gave, on the same fitting; for an engine that is new.
      def resume(state)
        snapshot.resume(state)
        self
      end

      # What goes on from a moment of rest (nothing down, nothing waiting), as plain JSON values, whatever
      # becomes of the fitting: where pointer and focus are, modes taken for the next press or until
      # changed, from when the bounce guards count. nil where it is no such moment.
      def rest = snapshot.rest

      # Goes on from what #rest gave, on any fitting of the same client: what is no more is passed
      # over. For an engine that is new.
      def go_on(rest)
        snapshot.go_on(rest)
        self
      end

      private

      def snapshot = Snapshot.new(@resolver, @schedule, @hosts, @contacts)

      def advance(time_us)
        raise TimeRunsBackwards, Words.say(:time_goes_back, time_us:, now_us: @schedule.now_us) if time_us < @schedule.now_us

        run_due(time_us) if @schedule.due_us <= time_us
        @schedule.now_us = time_us
      end

      # Runs what is due at or before the time, one after another; each may bring more.
      def run_due(time_us)
        while (due = @schedule.due_us) <= time_us
          @schedule.now_us = due
          contact = @schedule.take
          run(contact)
          @schedule.arm(contact)
        end
      end

      def run(contact)
        case contact.due_kind
        when Schedule::RELEASE_KNOWN then @filter.release_known(contact)
        when Schedule::PRESS_KNOWN then @filter.press_known(contact)
        when Schedule::LONG_PRESS then @bursts.on_long(contact.burst)
        when Schedule::TAP_GAP then @bursts.on_gap(contact.burst)
        when Schedule::REPEAT then @bursts.on_repeat(contact.burst)
        end
      end
    end
  end
end
