# frozen_string_literal: true

module Kippen
  module Press
    # From raw events to outcomes. Knows no clock: every call brings its time, and
    # times never go back. The same events give the same outcomes whether they come
    # at once or one by one with any ticks of the clock in between.
    #
    # At one instant all due timers run before the raw events of that instant.
    class Engine
      include Gestures
      include Modes
      include Saving

      # Time went back. Says which time came after which.
      class TimeRunsBackwards < Error; end

      attr_reader :now_us

      # recorder – is told what happened inside, for explanations; nil for speed
      # resolver – may be shared by engines of one fitting
      def initialize(fitting, recorder: nil, resolver: Resolver.new(fitting))
        @fitting = fitting
        @resolver = resolver
        @recorder = recorder
        @follow_focus = fitting.follow == "focus"
        @hosts = fitting.hosts.to_h { |host| [host.id, HostState.new(@resolver.spot(""))] }
        @contacts = fitting.buttons.map { |button| contact_for(button) }
        @schedule = Schedule.new
        @outcomes = []
        @now_us = 0
      end

      # One raw event. button – its index in the fitting; the kinds follow the trace.
      def down(time_us, button)
        advance(time_us)
        close_contact(@contacts[button])
        run_due(time_us) if @schedule.due_us <= time_us
      end

      def up(time_us, button)
        advance(time_us)
        open_contact(@contacts[button])
        run_due(time_us) if @schedule.due_us <= time_us
      end

      # level – 0..1, in parts of full scale
      def level(time_us, button, level)
        advance(time_us)
        contact = @contacts[button]
        if contact.closed
          open_contact(contact) if level <= contact.release_at
        elsif level >= contact.press_at
          close_contact(contact)
        end
        run_due(time_us) if @schedule.due_us <= time_us
      end

      def notch(time_us, button)
        advance(time_us)
        take_notch(@contacts[button])
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
      def take
        taken = @outcomes
        @outcomes = []
        taken
      end

      private

      def contact_for(button) = Contact.new(button, @fitting.timing(button), @hosts.fetch(button.host))

      def advance(time_us)
        raise TimeRunsBackwards, Words.say(:time_goes_back, time_us:, now_us: @now_us) if time_us < @now_us

        run_due(time_us) if @schedule.due_us <= time_us
        @now_us = time_us
      end

      # Runs what is due at or before the time, one after another; each may bring more.
      def run_due(time_us)
        while (due = @schedule.due_us) <= time_us
          @now_us = due
          contact = @schedule.take
          run(contact)
          arm(contact)
        end
      end

      def run(contact)
        case contact.due_kind
        when Schedule::RELEASE_KNOWN then release_known(contact)
        when Schedule::PRESS_KNOWN then press_known(contact)
        when Schedule::LONG_PRESS then become_long(contact)
        when Schedule::TAP_GAP then count_over(contact)
        when Schedule::REPEAT then repeat(contact)
        end
      end

      # --- click filter -------------------------------------------------------

      def close_contact(contact)
        return stray(contact) if contact.closed

        contact.closed = true
        contact.opened_us ? bridge(contact) : begin_contact(contact)
        arm(contact)
      end

      def bridge(contact)
        @recorder&.bridged(contact, contact.opened_us, @now_us)
        contact.opened_us = nil
      end

      def begin_contact(contact)
        contact.began_us = @now_us
        contact.hold_then = contact.host.held.last
        @recorder&.closed(contact, @now_us)
        if contact.bounces?(@now_us)
          contact.verdict = :bounce
        elsif contact.brush_guard == 0
          press_known(contact)
        else
          contact.verdict = :pending
        end
      end

      def open_contact(contact)
        return stray(contact) unless contact.closed

        contact.closed = false
        contact.opened_us = @now_us
        @recorder&.opened(contact, @now_us)
        release_known(contact) if contact.gap_bridge == 0
        arm(contact)
      end

      # A contact has lasted as long as the brush guard asks: it is a press.
      def press_known(contact)
        contact.verdict = :press
        contact.bounce_ref = contact.began_us unless contact.bounce_from_release
        @recorder&.press_known(contact, @now_us)
        joined_or_new(contact)
      end

      # The release happened at opened_us; now nothing can bridge it any more.
      def release_known(contact)
        began = contact.began_us
        ended = contact.opened_us
        verdict = contact.verdict
        contact.bounce_ref = ended if contact.bounce_from_release
        @recorder&.release_known(contact, began, ended, @now_us)
        contact.contact_over
        if verdict == :press
          let_go(contact, began, ended)
        else
          ignore(contact, verdict == :bounce ? "bounce" : "brush", began, ended)
        end
      end

      def take_notch(contact)
        began = @now_us
        # Notches know only the bounce guard, from the last accepted notch.
        if contact.bounces?(began)
          @recorder&.closed(contact, began)
          return ignore(contact, "bounce", began, began)
        end
        contact.bounce_ref = began
        @recorder&.notch(contact, began)
        notch_known(contact)
      end

      def stray(contact) = ignore(contact, "stray", @now_us, @now_us)

      def ignore(contact, reason, began, ended)
        outcome = Outcome::Ignored.new(@now_us, contact.button.ref, reason, began, ended)
        @outcomes << outcome
        @recorder&.ignored(contact, outcome)
      end

      # --- timers -------------------------------------------------------------

      # Works out the button's next timer anew. What became possible only now is due now.
      # One method, for it runs at every step.
      def arm(contact) # rubocop:disable Metrics
        due = nil
        if (opened = contact.opened_us)
          # In a gap: the release becomes known, unless the burst has something sooner. A burst
          # that waits is not held up by a contact that the bounce guard ignores.
          due = opened + contact.gap_bridge
          kind = Schedule::RELEASE_KNOWN
          other = contact.burst && contact.verdict != :pending && contact.burst.timer_in_gap(contact)
          if other && other < due
            due = other
            kind = contact.burst.state == :holding ? Schedule::REPEAT : Schedule::TAP_GAP
          end
        elsif contact.verdict == :pending
          due = contact.began_us + contact.brush_guard
          kind = Schedule::PRESS_KNOWN
        elsif (burst = contact.burst)
          case burst.state
          when :first
            due = burst.began_us + contact.long_press
            kind = Schedule::LONG_PRESS
          when :between, :after
            due = burst.joins_before(contact)
            kind = Schedule::TAP_GAP
          when :holding
            due = burst.repeat_us
            kind = Schedule::REPEAT
          end
        end
        return @schedule.put(contact, due < @now_us ? @now_us : due, kind) if due

        @schedule.drop(contact) if contact.due_us
      end
    end
  end
end
