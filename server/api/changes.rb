# frozen_string_literal: true

module Kippen
  module Server
    # Changes as the contract has them, made by the core. What follows another device is
    # brought up to date with every one of them.
    class Changes
      # Where the last change touched a button: [[ref, place, mode]…]; what of an arrangement
      # did not fit, and what must be known of it.
      attr_reader :spots, :left_out, :notes

      # author – whose name stands by a step that is ticked off; at – now, in ISO 8601
      def initialize(fitting, author:, at:)
        @fitting = fitting
        @author = author
        @at = at
        @spots = []
        @left_out = []
        @notes = []
      end

      # change – as in the contract; returns the changed Fitting. Raises Invalid.
      def apply(change)
        changed = public_send(MAKERS.fetch(change["kind"]), change)
        Fitting::Copying.follow(changed, KINDS)
      end

      MADE = %w[assign clear timing switch tap_at_once carry several arrange save_arrangement remove_arrangement client want remove_want
                host remove_host setting add_device device take_out bring_back reset add_button button ready copy cut note].freeze
      MAKERS = MADE.to_h { |kind| [kind, kind.to_sym] }.freeze

      def assign(change)
        button, gesture, action = change.values_at("button", "gesture", "action")
        CATALOGUE.check(action, "/change/action")
        cautions.bar(@fitting.button(own(button)), gesture, action)
        check_repeat(action) if change["repeat"]
        Fitting::Edit.assign(@fitting, button:, gesture:, action:, repeat: change["repeat"], at_once: at_once(change), keep: keep?(change), **spot(change))
      end

      def clear(change) = Fitting::Edit.clear(@fitting, button: own(change["button"]), gesture: change["gesture"], **spot(change))

      def timing(change)
        spot(change)
        Fitting::Edit.set_timing(@fitting, button: own(change["button"]), setting: change["setting"], value: change["value"])
      end

      def switch(change)
        Fitting::Edit.switch(@fitting, button: own(change["button"]), gesture: change["gesture"], off: change["off"], **spot(change))
      end

      def tap_at_once(change)
        Fitting::Edit.tap_at_once(@fitting, button: own(change["button"]), at_once: change["at_once"], **spot(change))
      end

      def carry(change)
        to = change["to"]
        where = spot(change)
        spot(change.merge("button" => own(to["button"])))
        carried = carried(change, where)
        cautions.bar(@fitting.button(to["button"]), to["gesture"], carried.action) if carried
        Fitting::Edit.carry(@fitting, button: change["button"], gesture: change["gesture"], to:, copy: change["copy"], **where)
      end

      # Each on what the one before left; what is refused says of which button.
      def several(change)
        change["changes"].each_with_index do |one, index|
          @fitting = public_send(MAKERS.fetch(one["kind"]), one)
        rescue Invalid => e
          name = @fitting.button(one["button"])&.name || one["button"]
          raise(Invalid, e.faults.map { |fault| Fault.new("/change/changes/#{index}", "#{name}: #{fault.message}") })
        end
        @fitting
      end

      def arrange(change)
        own_device(change["device"])
        arrangement = ARRANGEMENTS.find(@fitting, change["arrangement"])
        answers = change.fetch("answers", {})
        answers.except("button").each { |ask, action| CATALOGUE.check(action, "/change/answers/#{ask}") }
        applied = arrangement.apply(@fitting, KINDS, CATALOGUE, device: change["device"], answers:)
        @left_out = applied.left_out
        @notes = applied.notes
        @spots = applied.buttons.map { |ref| [ref, Fitting::EVERYWHERE, Fitting::BASE] }
        applied.fitting
      end

      def save_arrangement(change) = Arrangements.save(@fitting, KINDS, device: change["device"], name: change["name"])
      def remove_arrangement(change) = Arrangements.remove(@fitting, change["id"])

      def client(change) = Fitting::WantEdits.describe(@fitting, name: change["name"], about: change["about"])
      def want(change) = Fitting::WantEdits.put(@fitting, change["want"])
      def remove_want(change) = Fitting::WantEdits.remove(@fitting, change["id"])
      def host(change) = Fitting::WantEdits.put_host(@fitting, change["host"])
      def remove_host(change) = Fitting::WantEdits.remove_host(@fitting, change["id"])

      def setting(change)
        SETTINGS.set(@fitting, of: change["of"], id: change["id"], setting: change["setting"], value: change["value"])
      end

      def add_device(change)
        kind = KINDS.find(change["of"]) || raise(Invalid.at("/change/of", "unknown kind #{Faults.show(change["of"])}"))
        Fitting::DeviceEdits.add(@fitting, kind, change.except("kind", "of"))
      end

      def device(change) = Fitting::DeviceEdits.change(@fitting, change["device"], change["set"], at: @at)
      def take_out(change) = Fitting::TakingOut.take_out(@fitting, change["id"])
      def bring_back(change) = Fitting::TakingOut.bring_back(@fitting, change["id"])
      def reset(change) = Fitting::DeviceEdits.reset(@fitting, change["device"])
      def add_button(change) = Fitting::DeviceEdits.add_button(@fitting, change["device"], change["button"])
      def button(change) = Fitting::DeviceEdits.change_button(@fitting, change["button"], change["set"])

      def ready(change)
        Fitting::DeviceEdits.mark_ready(@fitting, change["device"], change["step"], change["done"] ? { by: @author, at: @at } : nil)
      end

      def copy(change)
        how = change["lasting"] ? :link : :copy
        Fitting::Copying.public_send(how, @fitting, KINDS, from: change["from"], to: change["to"], mirror: change["mirror"])
      end

      def cut(change) = Fitting::Copying.cut(@fitting, change["device"])

      # The state as it is, saved once more for the sake of the note beside it.
      def note(_change) = @fitting

      private

      def cautions = Cautions.new(@fitting, KINDS, CATALOGUE)

      # Where a change to a button applies; remembered for whoever asks what it touched.
      def spot(change)
        where = { place: change.fetch("place", Fitting::EVERYWHERE), mode: change.fetch("mode", Fitting::BASE) }
        @spots |= [[change["button"], *where.values]]
        where
      end

      # Beside a built-in that can't be held back nothing waits: its tap acts at once.
      def at_once(change)
        return change["at_once"] if change["gesture"] == "tap" || cautions.held_back?(@fitting.button(change["button"]))

        true
      end

      # The Assignment that a change speaks of, or nil.
      def carried(change, where)
        asked = { button: own(change["button"]), gesture: change["gesture"], **where }
        @fitting.assignments.find { |one| one.to_h.slice(*asked.keys) == asked }
      end

      # What can't be held back happens anyway.
      def keep?(change) = change.fetch("keep", true) || !cautions.held_back?(@fitting.button(change["button"]))

      def check_repeat(action)
        entry = CATALOGUE.entry(action)
        raise Invalid.at("/change/repeat", "“#{CATALOGUE.name(action)}” can't be repeated") if entry && !entry.repeats?
      end

      # A button that may be changed by itself: not one of a device that follows another.
      def own(ref)
        button = @fitting.button(ref) || raise(Invalid.at("/change/button", "unknown button #{Faults.show(ref)}"))
        own_device(button.device)
        ref
      end

      def own_device(id)
        link = Fitting::Copying.leader(@fitting, id) or return
        leader = @fitting.device(link.from)
        raise Invalid.at("/change/button", "this device follows #{leader.name || leader.id}: change it there, or cut the link first")
      end
    end
  end
end
