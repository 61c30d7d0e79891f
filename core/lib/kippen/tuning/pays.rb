# frozen_string_literal: true

module Kippen
  module Tuning
    # Who pays for a timing: what becomes late or impossible with it, what no timing saves, and what would help.
    class Pays
      # How bad each is.
      BAD = { "unsaved" => "serious", "double_click" => "serious", "drag" => "serious", "risk" => "serious",
              "host" => "look", "tremor" => "look", "slowed" => "look", "later" => "look", "sooner" => "gain" }.freeze

      # Where fewer come out right it is told.
      GOOD = 0.9
      # Nobody notices less.
      NOTICED_US = 30_000
      # So many strikes are a tremor that goes on.
      OFTEN = 8
      WITHIN_MS = [300, 500, 700, 900, 1200, 1500, 2000, 3000].freeze

      # fitting – as it is now; button – Fitting::Button; series – the trials; timing – { setting => value } that would be
      # applied; unsaved – [Unsaved::Found]
      def initialize(fitting, button, knowledge, timing, series:, unsaved: [])
        @fitting = fitting
        @button = button
        @kinds = knowledge.kinds
        @catalogue = knowledge.catalogue
        @series = series
        @unsaved = unsaved
        @before = fitting.timing(button)
        @after = Fitting::Timing.from(@before.settings.merge(timing))
      end

      # [Finding], what weighs most first; their ids: those of BAD, and "impossible".
      def list
        [*unsaved, *risks, *limits, *(@series.pass_through? ? [*double_click, *slow_double_click, *drag] : []), *tremor, *slowed,
         *waits].then do |all|
          once(all)
        end
      end

      private

      # What helps in two ways is offered once.
      def once(findings)
        told = []
        findings.map do |one|
          fresh = one.fixes.reject { |fix| told.include?(fix.change) }
          told.concat(fresh.map(&:change))
          one.with(fixes: fresh.compact)
        end.freeze
      end

      def cost(id, gesture, what, *fixes)
        Finding.new(id:, bad: BAD.fetch(id), what:, where: { "button" => @button.ref, "gesture" => gesture },
                    fixes: fixes.compact)
      end

      # Of what was asked, whether it is on the button already or not.
      def waits
        choice = Replays.new(@series).choice
        was, now = [@before, @after].map { |timing| Press::Waits.of(choice, timing) }
        now.filter_map do |gesture, wait|
          by = moment(wait, @after) - moment(was.fetch(gesture), @before)
          next if by.abs < NOTICED_US

          words = Words.say(by.positive? ? :pays_later : :pays_sooner,
                            gesture: Words.gesture(gesture).capitalize, by: Words.ms(by.abs), now: Words.wait(wait, @after))
          cost(by.positive? ? "later" : "sooner", gesture, words)
        end
      end

      # From the beginning of the press or from letting go, whichever it counts from.
      def moment(wait, timing) = wait.us + (wait.after == "long_press" ? timing.long_press_us : 0)

      # What is dear when it comes by mistake, and becomes easier.
      def risks = Risks.of(@series, @before.settings, @after.settings).map { |risk| cost("risk", risk.gesture, risk.words) }

      # What it is taken for may go elsewhere as well as it itself.
      def unsaved
        @unsaved.map do |one|
          cost("unsaved", one.gesture, one.words, *elsewhere(one.gesture), *(elsewhere(one.as) if GESTURES.include?(one.as)))
        end
      end

      def limits
        return [] if @series.pass_through?

        Press::Lane.new(@fitting, @button).with_timing(@after).limit_findings.map do |one|
          one.with(fixes: elsewhere(one.gesture).compact)
        end
      end

      # A guard as long as the host's double-click time leaves none.
      def double_click
        return [] if @after.bounce_guard_us < @series.double_click_ms * 1000

        [cost("double_click", "double_click",
              Words.say(:guard_beyond_double_click, guard: Words.ms(@after.bounce_guard_us), double: @series.double_click_ms),
              *elsewhere("double_click"))]
      end

      # Clicks too far apart for the host: would a longer time do?
      def slow_double_click
        trials = @series.trials.select { |trial| trial.intended == "double_click" }
        return [] if trials.empty? || share(trials, @series) >= GOOD

        longer = WITHIN_MS.select { |ms| ms > @series.double_click_ms }.find do |ms|
          share(trials, @series.dup.tap do |other|
            other.double_click_ms = ms
          end) >= GOOD
        end
        return [] unless longer

        host = @fitting.host(@button.host)
        [cost("host", "double_click", Words.say(:host_too_quick, host: host.name || host.id, double: @series.double_click_ms),
              Fix.new(Words.say(:host_longer, ms: longer),
                      { "kind" => "host", "host" => { "id" => host.id, "double_click_ms" => longer } }))]
      end

      def drag
        trials = @series.trials.select { |trial| trial.intended == "drag" }
        return [] if trials.empty? || share(trials, @series) >= GOOD

        broken = trials.size - (share(trials, @series) * trials.size).round
        [cost("drag", "drag", Words.say(:drag_breaks, broken:, of: trials.size), *elsewhere("drag"))]
      end

      def share(trials, series) = Replays.new(series).scores(trials, @after.settings).count(&:right?).fdiv(trials.size)

      # What comes sooner on purpose is lost too.
      def slowed
        guard = @after.bounce_guard_us
        return [] if guard - @before.bounce_guard_us < NOTICED_US

        [cost("slowed", nil, Words.say(:pays_slowed, guard: Words.ms(guard),
                                                     from: Words.say(:"counted_from_#{@after.bounce_guard_from}")))]
      end

      # Counted from the release, each strike begins the guard anew: a tremor that goes on keeps it shut.
      def tremor
        guard = @after.bounce_guard_us
        return [] unless @after.bounce_guard_from == "release" && guard.positive?

        opens = @series.trials.flat_map do |trial|
          Marks.of(trial, press_at: @after.press_at, release_at: @after.release_at)["apart"]
        end
        again = opens.select { |ms| ms * 1000 < guard }
        return [] if again.size < OFTEN || again.size < opens.size / 3

        [cost("tremor", nil, Words.say(:tremor_keeps_shut, guard: Words.ms(guard), count: again.size))]
      end

      # Where what is on a gesture could go: to a long-press here, or to another button of the device.
      def elsewhere(gesture)
        gesture == "double_click" ? [double_click_on_another] : [on_long_press(gesture), on_another(gesture)]
      end

      def assigned(gesture)
        @fitting.assigned(@button.ref).find do |one|
          !one.off && one.gesture == gesture && one.place == Fitting::EVERYWHERE && one.mode == Fitting::BASE
        end
      end

      def on_long_press(gesture)
        return unless %w[double_tap triple_tap].include?(gesture) && (there = assigned(gesture)) && assigned("long_press").nil?
        return unless @kinds.gestures(@fitting, @button).include?("long_press")

        carried(there, @button, "long_press", Words.say(:carry_to_long_press, action: @catalogue.name(there.action)))
      end

      def on_another(gesture)
        there = assigned(gesture) or return
        other = free.first or return
        carried(there, other, "tap",
                Words.say(:carry_to_button, action: @catalogue.name(there.action),
                                            button: Words.button(@fitting.device(other.device), other)))
      end

      def carried(there, button, gesture, words)
        Fix.new(words, { "kind" => "carry", "button" => @button.ref, "gesture" => there.gesture, "copy" => false,
                         "to" => { "button" => button.ref, "gesture" => gesture } })
      end

      def double_click_on_another
        other = free.first or return
        Fix.new(Words.say(:double_click_there, button: Words.button(@fitting.device(other.device), other)),
                { "kind" => "assign", "button" => other.ref, "gesture" => "tap",
                  "action" => { "kind" => "click", "button" => "left", "times" => 2 } })
      end

      # Buttons on which nothing is, of this device before others of its host.
      def free
        @free ||= @fitting.buttons.select { |one| one.host == @button.host && one.ref != @button.ref && free?(one) }
          .sort_by { |one| [one.device == @button.device ? 0 : 1, much_used?(one) ? 1 : 0, one.index] }
      end

      # By itself it does what is wanted all the time.
      def much_used?(button)
        %w[primary secondary].include?(@kinds.button(@fitting.device(button.device), button)&.fetch("role", nil))
      end

      # Not what is needed for itself.
      def free?(button)
        return false if button.kind != "contact" || button.off || @fitting.assigned(button.ref).any?

        device = @fitting.device(button.device)
        @kinds.gestures(@fitting, button).include?("tap") && @kinds.button(device, button)&.fetch("is", "free") == "free"
      end
    end
  end
end
