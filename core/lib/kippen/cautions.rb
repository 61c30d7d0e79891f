# frozen_string_literal: true

module Kippen
  # What must be known of a button before a gesture of it gets something to do, from its kind,
  # its host and how far its device is got ready.
  class Cautions
    # knowledge – with the apps, modes and shortlists of the fitting
    def initialize(fitting, knowledge)
      @fitting = fitting
      @kinds = knowledge.kinds
      @catalogue = knowledge.catalogue
      @host_kinds = knowledge.host_kinds
    end

    # [Finding] of a Fitting::Button, where: its gesture, or nothing for all of them; those that bar what they are about.
    # Their ids: "fixed", "cannot_carry", "not_ready", "needed", "claimed", "not_held_back".
    def of(button, system: @fitting.host(button.host).system)
      device = @fitting.device(button.device)
      data = @kinds.button(device, button) || {}
      [*fixed(data), *needed(data), *claims(data), *not_held_back(button, data), *not_carried(button, device, data, system),
       *not_ready(device, system)]
    end

    # Where a tap does something else than the button says: the Finding "other_print", or nil.
    # action – of the tap in force; nil for the built-in
    def print(button, action)
      return if button.printed.nil? || action.nil? || action["kind"] == "builtin"

      caution("tap", "other_print", Words.say(:print_says_tap_does, print: button.printed, action: @catalogue.name(action)))
    end

    # Raises Invalid where an assignment, as it stands in a document, can't be on a button.
    def bar(button, item)
      @catalogue.check(item["action"], "/change/action")
      reasons = reasons(button, item)
      raise(Invalid, reasons.map { |words| Fault.new("/change/gesture", words) }) if reasons.any?
    end

    # Why it can't be there, in words; empty where it can. system – what the button's host is, where
    # it shall be asked of another
    def reasons(button, item, system: @fitting.host(button.host).system)
      gesture, action = item.values_at("gesture", "action")
      carried = of(button, system:).select { |one| one.bars? && [nil, gesture].include?(one.gesture) }.map(&:what)
      (carried + [*not_that_gesture(gesture, action), *not_on_host(system, action), *not_held(gesture, action),
                  *not_repeated(item),
                  *not_more_modes(button, item, system), *not_that_shortlist(button, action),
                  *not_those_steps(button, action, system)]).uniq
    end

    # Why a host can't do the steps of an action, in words; empty where it can, or it is one alone. kind – a HostKinds::Kind
    def self.steps(kind, action)
      steps = Steps.of(action) or return []
      can = kind.steps
      system = kind.system
      pauses = steps.drop(1).map(&:pause_ms).reject { |ms| can.pause?(ms) }.uniq
      [*(Words.say(:more_steps, system:, most: can.most, count: steps.size) if steps.size > can.most),
       *pauses.map do |ms|
         Words.say(:no_such_pause, system:, pause: Words.pause(ms), from: Words.pause(can.from_ms), to: Words.pause(can.to_ms),
                                   step: Words.pause(can.step_ms))
       end]
    end

    # Can a device hold back what this button does by itself?
    def held_back?(button) = (@kinds.button(@fitting.device(button.device), button) || {}).fetch("held_back", true)

    private

    def caution(gesture, id, what, bars: false)
      Finding.new(id:, bad: bars ? "bars" : "look", what:, where: { "gesture" => gesture })
    end

    def fixed(data)
      if data["is"] == "fixed"
        [caution(nil, "fixed", Words.say(:this_button_cant_given_anything, why: data["why"]), bars: true)]
      else
        []
      end
    end

    def needed(data) = data["is"] == "needed" ? [caution("tap", "needed", Words.say(:needed_get_around, why: data["why"]))] : []

    # Those that nobody has freed.
    def claims(data)
      data.fetch("claims", []).reject { |claim| claim["freed"] }.map do |claim|
        caution(claim["gesture"], "claimed",
                Words.say(:taken_free, by: claim["by"], free_by: claim["free_by"].delete_suffix(".")))
      end
    end

    def not_held_back(button, data)
      return [] if data.fetch("held_back", true)

      builtin = data.dig("builtin", "tap") || button.builtin || Words.say(:what_does_itself)
      [caution(nil, "not_held_back", Words.say(:cant_held_back_happens_as, builtin:))]
    end

    def not_carried(button, device, data, system)
      return [] if data["is"] == "fixed"

      (Fitting::GESTURES - @kinds.gestures(@fitting, button, system:)).map do |gesture|
        caution(gesture, "cannot_carry",
                Words.say(:cant_carry_here, device: device.name || device.id, gesture: Words.gesture(gesture)),
                bars: true)
      end
    end

    # What can't be told apart until a step of getting ready is done.
    def not_ready(device, system)
      kind = @kinds.of(device)
      return [] unless kind&.steps&.any? { |step| step["stops_gestures"] }

      open = Kinds::Ready.new(kind, device, Fitting::Host.new(system:)).open.to_h { |step| [step.id, step] }
      kind.steps.select { |step| open[step["id"]] }.flat_map do |step|
        step.fetch("stops_gestures", []).map do |gesture|
          caution(gesture, "not_ready", Words.say(:yet_first, stops: step["stops"], title: step["title"]), bars: true)
        end
      end
    end

    def not_that_gesture(gesture, action)
      only = @catalogue.entry(action)&.only(action)
      return [] if only.nil? || only.include?(gesture)

      [Words.say(:lasts_as_long_as_button, action: @catalogue.name(action),
                                           only: Words.list(only.map { |one| Words.gesture(one) }, either: true))]
    end

    def not_on_host(system, action)
      @catalogue.not_on(action, system).map { |name| Words.say(:does_not_exist_on, action: name, system:) }
    end

    def not_held(gesture, action)
      action["kind"] == "mode" && action["how"] == "held" && gesture != "hold" ? [Words.say(:mode_can_only_held_hold)] : []
    end

    # A device carries so many modes on a host and no more; those that came first have their place.
    def not_more_modes(button, item, system)
      modes = Fitting.modes_of(item)
      return [] if modes.empty?

      device = @fitting.device(button.device)
      most = @kinds.carries(device, system)&.fetch("modes", nil) or return []
      there = @fitting.carried(button.device)
      more = modes - (there | modes).first(most)
      more.map do |id|
        Words.say(:carries_modes, device: device.name || device.id, count: many_modes(most), modes: names(there.first(most)),
                                  mode: names([id]))
      end
    end

    def many_modes(most) = Words.say(:more_modes, count: most)
    def names(modes) = modes.map { |id| @fitting.mode(id)&.name || id }.join(", ")

    # One host shows it.
    def not_that_shortlist(button, action)
      lists = Steps.parts(action).filter_map { |part| part["shortlist"].is_a?(String) && @fitting.shortlist(part["shortlist"]) }
      lists.reject { |list| list.host == button.host }.map do |list|
        Words.say(:shortlist_of_other_host, name: list.name || list.id, host: @fitting.host(list.host)&.name || list.host)
      end
    end

    # A host does so many one after another, with pauses that it can make.
    def not_those_steps(button, action, system)
      host = @fitting.host(button.host)
      Cautions.steps(host.system == system ? @host_kinds.at(host) : @host_kinds.of(system), action)
    end

    def not_repeated(item)
      entry = item["repeat"] && @catalogue.entry(item["action"])
      entry.nil? || entry.repeats? ? [] : [Words.say(:cant_repeated, catalogue: @catalogue.name(item["action"]))]
    end
  end
end
