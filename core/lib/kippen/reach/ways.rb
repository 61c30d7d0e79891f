# frozen_string_literal: true

module Kippen
  module Reach
    # Every way to a client's wants, and what each costs. Asked of the resolver, the engine's waits and the trials.
    class Ways
      # Choosing on a screen what is shown in a list: pointing and pressing (Card, Moran and Newell 1980, keystroke-level model,
      # P 1.1 s and B 0.1 s: from memory).
      POINTED_S = 1.2

      # How often nobody said is once.
      def self.times(want) = want.times_a_day || 1

      # trials – as Check.of takes them, or presses – Check::Presses that are there already; contacts – { device id =>
      # [Kinds::Ready::Contact] }; without – ids of devices that are switched off for a look
      def initialize(fitting, knowledge, trials: [], presses: nil, contacts: {}, figures: Figures.from, without: [],
                     deadline: Deadline::NEVER)
        @fitting = fitting
        @figures = figures
        @deadline = deadline
        @case = Check::Case.new(fitting, knowledge, trials:, contacts:, deadline:)
        @without = without
        @rates = Rates.new(fitting, presses || @case.presses)
        @times = PressTimes.new(fitting, presses || @case.presses)
        @paths = ModePaths.new(fitting, without: [*without, *not_there])
        @pressed = {}
      end

      attr_reader :fitting, :figures, :case, :rates, :times

      # [Way…] of a want, the cheapest first; empty where nothing does it, or what does isn't there.
      def of(want)
        @deadline.check
        @of ||= {}
        @of[want.id] ||= places(want).flat_map { |place| all(want, place) }.uniq(&:steps)
          .sort_by { |way| [way.cost_s, way.steps.size, way.steps.map { |step| step.button.ref }] }.freeze
      end

      # Why a device has no way to a want: "no_action", "other_host", "off", "not_ready" or "nothing".
      def none_because(want, device)
        return "no_action" unless want.action
        return "other_host" unless want.hosts.empty? || want.hosts.include?(device.host)
        return "off" if device.off || @without.include?(device.id)

        not_ready.include?(device.id) ? "not_ready" : "nothing"
      end

      # Ids of the devices whose getting ready is not done; that it was not pressed yet alone is no matter.
      def not_ready
        @not_ready ||= Check::NotReady.new(@case).findings.map { |finding| finding.where["device"] }
      end

      private

      def not_there = [*not_ready, *@fitting.devices.select(&:off).map(&:id)]
      def there?(button) = !@without.include?(button.device) && !not_there.include?(button.device)

      # An app's command for which no place was said is meant in that app too.
      def places(want)
        return [] unless want.action
        return [want.place] unless want.place == Fitting::EVERYWHERE && want.action["app"]

        [want.place, *@fitting.places.select { |one| one.app == want.action["app"] && !one.off }.map(&:id)]
      end

      def all(want, place)
        direct(want.action, place, want.hosts).filter_map { |steps| way(want, steps) } +
          listed(want, place).filter_map { |steps| way(want, steps) }
      end

      # [[Way::Step…]…]: a gesture, with what takes its mode before it.
      def direct(action, place, hosts)
        wanted = Fitting::Want.new(place:, hosts:, action:)
        found = Wants.of(@fitting, @case.knowledge).ways(wanted).select { |one| there?(one.button) }
        found.filter_map { |one| with_mode(one.button, one.gesture, place, one.mode) }
      end

      def with_mode(button, gesture, place, mode)
        before = @paths.to(button.host, place, mode) or return
        steps = [*before.map { |step| [step.button, step.gesture, step.mode] }, [button, gesture, mode]]
        made = steps.map { |one, how, at| step(one, how, place, at) }
        made if made.all?
      end

      def step(button, gesture, place, mode)
        @pressed[[button.ref, gesture, place, mode]] ||= begin
          lane = (@lanes ||= {})[[button.ref, place, mode]] ||= Press::Lane.new(@fitting, button, place:, mode:)
          name = lane.choice.kind == :builtin ? "builtin" : own(lane.choice, gesture)
          taken = @times.taken(button, name, lane.choice, lane.timing)
          taken && Way::Step.new(button:, gesture:, place:, mode:, presses: Tuning::PRESSES.fetch(gesture, 1),
                                 seconds: taken / 1e6, rate: @rates.of(button, name, Rates.of_choice(lane.choice))).freeze
        end
      end

      # A lone hold of what goes through is told as a tap.
      def own(choice, gesture) = choice.lone_hold? && gesture == "tap" ? choice.long.gesture : gesture

      # By a line of a shortlist: opened, stepped or pointed to, and taken.
      def listed(want, place)
        plain = @case.catalogue.plain(want.action)
        @fitting.shortlists.flat_map do |list|
          next [] unless want.hosts.empty? || want.hosts.include?(list.host)

          line = list.items.index { |item| Steps.parts(item.action).any? { |part| @case.catalogue.plain(part) == plain } }
          line ? through(list, line, place) : []
        end
      end

      def through(list, line, place)
        opening = direct(Catalogue::OwnActions.opens(@fitting, list), place, [list.host])
        opening.filter_map { |steps| list.works == "step" ? stepped(list, steps, line, place) : pointed(steps, line) }
      end

      # As many steps as there are lines before it, then it is taken.
      def stepped(list, opening, line, place)
        mode = Catalogue::OwnActions.mode_of(@fitting, list) or return
        does = Catalogue::OwnActions.steps(list)
        onward, take = %w[next take].map { |name| in_mode(does[name], list.host, mode.id, place) }
        return unless take && (onward || line.zero?)

        [*opening, *Array.new(line) { onward.dup.tap { |step| step.line = line + 1 }.freeze }, take]
      end

      def in_mode(action, host, mode, place)
        wanted = Fitting::Want.new(place:, hosts: [host], action:)
        found = Wants.of(@fitting, @case.knowledge).ways(wanted).find { |one| one.mode == mode && there?(one.button) }
        found && step(found.button, found.gesture, place, mode)
      end

      # The host shows it: it is chosen there.
      def pointed(opening, line)
        last = opening.last
        [*opening, Way::Step.new(button: last.button, gesture: "tap", place: last.place, mode: last.mode, presses: 1,
                                 seconds: POINTED_S, rate: Rates::SURE, line: line + 1).freeze]
      end

      def way(want, steps)
        rate = steps.map(&:rate).reduce(:*)
        effort = steps.sum { |step| step.presses * effort_s(step.button) }
        seconds = steps.sum(&:seconds) + effort
        wrong = @figures.wrong_s.fetch(want.wrong || "nuisance")
        Way.new(host: steps.last.button.host, steps: steps.freeze, rate:, effort_s: effort,
                cost_s: Ways.times(want) * (seconds + ((1 - rate.right) * wrong))).freeze
      end

      # What a press of a button costs this client beyond its time, in seconds.
      def effort_s(button) = button.effort_s || 0
    end
  end
end
