# frozen_string_literal: true

module Kippen
  module Server
    # Lanes as the JSON of the contract.
    class RenderLanes
      def initialize(fitting)
        @fitting = fitting
        @catalogue = CATALOGUE.of(fitting)
        @cautions = Cautions.new(fitting, KNOWLEDGE.of(fitting))
      end

      def lane(lane)
        { "button" => Render.button(lane.button, @fitting.device(lane.button.device)),
          "regions" => Render.regions(lane.regions),
          "chips" => lane.chips.map { |chip| chip(lane, chip) }, "empties" => empties(lane), "tap_choice" => tap_choice(lane),
          "own" => own(lane) }
          .merge(times(lane), "cautions" => cautions(lane).map { |one| one.plain.merge("stands" => stands?(lane, one)) })
      end

      # What of a Lane is another with another timing.
      def moved(lane)
        { "regions" => Render.regions(lane.regions),
          "waits" => lane.waits.transform_values { |wait| Words.wait(wait, lane.timing) },
          "costs" => empties(lane).to_h { |one| one.values_at("gesture", "costs") }, "tap_choice" => tap_choice(lane) }
          .merge(times(lane).slice("boundaries", "limits"))
      end

      # Lanes of a device for which this is the same are moved alike.
      def moves_like(lane)
        [lane.shape, lane.timing, @cautions.held_back?(lane.button), lane.choice.tap&.action&.fetch("kind") == "builtin",
         cautions_of(lane.button).select(&:bars?).map(&:gesture)]
      end

      # What the buttons of a Fitting::Device share that have no time of their own; nothing where none depends on time.
      def head(device)
        timed = device.buttons.any? { |button| timed?(button) }
        boundaries = timed ? Press::Boundaries.of(@fitting.shared_timing(device)) : []
        { "device" => device.id, "boundaries" => boundaries.map { |one| boundary(device.id, one) } }
      end

      private

      # Asked for in several places, and the same for as long as the fitting is.
      def cautions_of(button) = (@cautions_of ||= {})[button.ref] ||= @cautions.of(button)

      def times(lane)
        { "timed" => timed?(lane.button), "boundaries" => lane.boundaries.map { |one| boundary(lane.button.device, one) },
          "limits" => lane.limit_findings.map(&:plain) }
      end

      # Does, or could, anything on a button depend on time?
      def timed?(button) = button.kind != "notch" && cautions_of(button).none? { |one| one.bars? && one.gesture.nil? }

      def own(lane)
        OwnDoing.on(@fitting, KINDS, lane).map do |one|
          { "gesture" => one.gesture, "words" => one.words, "kept" => one.kept, "lost" => one.lost, "hardly" => one.hardly,
            "brief" => one.brief }
        end
      end

      def chip(lane, chip)
        { "gesture" => chip.gesture, "gesture_name" => Words.gesture(chip.gesture), "stretch" => chip.stretch,
          "origin" => chip.origin, "from" => (Words.from(@fitting, lane, chip) if chip.origin == "inherited"),
          "place" => chip.place, "mode" => chip.mode, "off" => chip.off, "action" => chip.action,
          "name" => @catalogue.name(chip.action, lane.button.builtin), "kept" => chip.action.nil? ||
            chip.action["kind"] == "builtin", "app" => @catalogue.app_name(chip.action), "wait" => chip.wait &&
              Words.wait(chip.wait, lane.timing), "steps" => several(lane, chip.action) }
      end

      # What several steps by one press are, or nil.
      def several(lane, action)
        return unless action && Steps.of(action)

        entry = @catalogue.entry(action)
        stop = @fitting.button(Steps.stop(action, lane.button.ref, @fitting))
        { "told" => entry.in_order, "undo" => entry.facts["undo"], "stop" => Words.button(@fitting.device(stop.device), stop) }
      end

      # Nothing is offered where nothing can be put.
      def empties(lane)
        barred = cautions_of(lane.button).select(&:bars?).map(&:gesture)
        return [] if barred.include?(nil)

        lane.empties(held_back: @cautions.held_back?(lane.button)).reject { |one| barred.include?(one.gesture) }.map do |one|
          empty(one)
        end
      end

      def empty(empty)
        { "gesture" => empty.gesture, "gesture_name" => Words.gesture(empty.gesture), "stretch" => empty.stretch,
          "costs" => empty.costs.filter_map { |gesture, before, after| Words.cost(gesture, before, after) } }
      end

      def boundary(device, boundary)
        { "setting" => boundary.setting, "stretch" => boundary.stretch, "own" => boundary.own,
          "value_ms" => milliseconds(boundary.value_us),
          "from_ms" => milliseconds(boundary.from_us),
          "to_ms" => milliseconds(boundary.to_us) }.merge(steps(device, boundary.setting))
      end

      # What can be set there: in steps, within narrower ends where the device has them.
      def steps(device, setting)
        allowed = settable(device)[setting] || {}
        values = allowed["values"] || allowed["fixed"]&.then { |fixed| [fixed] }
        ends = { "from_ms" => allowed["from"] || values&.min, "to_ms" => allowed["to"] || values&.max }.compact
        { "step_ms" => allowed.fetch("step", Kinds::Settable::STEP) }.merge(ends)
      end

      def settable(id)
        @settable ||= {}
        @settable[id] ||= @fitting.device(id).then { |device| KINDS.settable(device, @fitting.host(device.host)) }
      end

      # Whole where it is whole, else with its decimals.
      def milliseconds(microseconds) = (microseconds % 1000).zero? ? microseconds / 1000 : microseconds / 1000.0

      def cautions(lane)
        tap = lane.choice.tap
        [*cautions_of(lane.button), tap && @cautions.print(lane.button, tap.action)].compact
      end

      # Does a caution concern what is on the button now?
      def stands?(lane, caution)
        return true if %w[fixed other_print].include?(caution.id)
        return false if caution.id == "needed" && done_elsewhere?(lane.button)

        gesture = caution.gesture || "tap"
        lane.chips.any? { |chip| chip.gesture == gesture && !chip.off && chip.action && chip.action["kind"] != "builtin" }
      end

      # What one points and confirms with is needed no more where another button does it.
      def done_elsewhere?(button)
        job = KINDS.button(@fitting.device(button.device), button)&.fetch("builtin_action", nil)
        Reach::MainJob::ACTIONS.include?(job) && Reach::MainJob.new(KNOWLEDGE).buttons(@fitting, @fitting.host(button.host)).any?
      end

      def tap_choice(lane)
        choice = lane.tap_choice or return
        { "chosen" => choice.chosen, "waits" => Words.tap_waits(choice, lane.timing),
          "at_once" => Words.tap_at_once(choice, lane.timing), "only" => only_at_once(lane) }
      end

      # What the device does by itself can't be made to wait.
      def only_at_once(lane)
        return if @cautions.held_back?(lane.button) || lane.choice.tap.action["kind"] != "builtin"

        Words.say(:device_at_once)
      end
    end
  end
end
