# frozen_string_literal: true

module Kippen
  module Server
    # Where and when something else holds, as the JSON of the contract.
    class RenderWhere
      # Of work of a core, for each of what has to be walked through.
      PART_S = 0.4
      NO_WAYS = { "ways_in" => [], "ways_out" => [] }.freeze

      # part_s – how long each part may take: what takes longer is left out, and said so
      def initialize(fitting, part_s: PART_S)
        @fitting = fitting
        @knowledge = KNOWLEDGE.of(fitting)
        @catalogue = @knowledge.catalogue
        @part_s = part_s
        @left_out = []
      end

      # revision – its number
      def all(revision)
        { "revision" => revision, "follow" => @fitting.follow, "hosts" => @fitting.hosts.map { |host| host(host) },
          "places" => places, "modes" => modes,
          "carried" => carried, "no_way_back" => found(Reach::NoWayBack), "never" => found(Reach::NeverHappens),
          "shortlists" => @fitting.shortlists.map { |list| shortlist(list) }, "cues" => cues, "left_out" => @left_out }
      end

      # [{ "gesture", "name", "wait", "why" }] of what a button would do. place, mode – ids
      def answers(button, place, mode)
        Reach::Answer.new(@fitting, @knowledge, button, where: @fitting.where(place), mode:).all.map do |one|
          { "gesture" => one.gesture, "gesture_name" => Words.gesture(one.gesture), "name" => one.name, "why" => one.why,
            "wait" => one.wait && Words.comes(one.wait, @fitting.timing(button)) }
        end
      end

      private

      # Yields a Deadline; nothing where it passes.
      def in_time(part)
        yield Server.deadline(@part_s)
      rescue Deadline::Passed
        @left_out << Words.say(:"#{part}_left_out")
        []
      end

      # What a finder finds of the fitting in time.
      def found(finder)
        in_time(finder::ID) { |deadline| finder.new(@fitting, @knowledge, deadline:).findings.map(&:plain) }
      end

      def host(host)
        kind = KNOWLEDGE.host_kinds.at(host)
        apps = @fitting.apps.select { |app| app.hosts.include?(host.system) && app.id != Fitting::SCREEN }
        { "id" => host.id, "name" => host.name || host.id, "system" => host.system, "most" => kind.most,
          "can_lock" => kind.locked, "choose" => kind.choose,
          "knows" => kind.knows.keys.to_h { |sort| [sort, knows(host, sort)] },
          "apps" => apps.map { |app| { "id" => app.id, "name" => app.name } } }
      end

      # By what each host knows that somebody is there, in words: those on which there is such a thing.
      def known(place)
        sort = place.part ? "part" : "app"
        sort = "region" if place.app == Fitting::SCREEN
        systems = @fitting.apps.find { |app| app.id == place.app }&.hosts
        @fitting.hosts.select { |host| sort == "region" || systems.nil? || systems.include?(host.system) }.map do |host|
          knows(host, sort)
        end
      end

      def knows(host, sort)
        how = KNOWLEDGE.host_kinds.of(host.system).knows[sort]
        Words.say(how ? :place_known : :place_unknown, host: host.name || host.id, how:)
      end

      def places
        assigned = @fitting.assignments.group_by(&:place)
        @fitting.places.map do |place|
          { "id" => place.id, "name" => Words.place(@fitting, place.id), "app" => place.app,
            "app_name" => @catalogue.app(place.app), "part" => place.part,
            "off" => place.off, "off_from_afar" => place.off_from_afar, "assigned" => in_words(assigned[place.id]),
            "known" => known(place) }
        end
      end

      def modes
        ways = @fitting.modes.empty? ? {} : in_time(:walks) { |deadline| ways(deadline) }.to_h
        assigned = @fitting.assignments.group_by(&:mode)
        @fitting.modes.map do |mode|
          { "id" => mode.id, "name" => Words.mode(@fitting, mode.id), "otherwise" => mode.otherwise, "counting" => mode.counting,
            "assigned" => in_words(assigned[mode.id]), "shortlist" => mode.shortlist, "counts" => counts(mode) }
            .merge(ways.fetch(mode.id, NO_WAYS))
        end
      end

      # { mode => { "ways_in", "ways_out" } }
      def ways(deadline)
        walks = @fitting.hosts.map { |host| Reach::ModeWalk.new(@fitting, host, deadline:) }
        @fitting.modes.to_h do |mode|
          [mode.id, NO_WAYS.keys
            .to_h { |ways| [ways, walks.flat_map { |walk| walk.public_send(ways, mode.id) }.map { |step| way(step) }] }]
        end
      end

      def way(step)
        one = step.assignment
        { "button" => one.button, "button_name" => button_name(one.button), "gesture" => one.gesture,
          "gesture_name" => Words.gesture(one.gesture),
          "how" => one.action["how"], "from" => mode_name(step.from), "to" => mode_name(step.to.effective),
          "place" => one.place == Fitting::EVERYWHERE ? nil : Words.place(@fitting, one.place) }
      end

      def mode_name(id) = (Words.mode(@fitting, id) unless id == Fitting::BASE)

      # What is counted while a mode is held.
      def counts(mode)
        on = @fitting.assignments.reject(&:off)
        held = on.select { |one| one.held_mode == mode.id }.map { |one| button_name(one.button) }.uniq
        inside = on.select { |one| one.mode == mode.id && Changes::HoldAndCount::COUNTS.include?(one.gesture) }
        held.product(inside).map { |who, one| { "held" => who }.merge(counted(one)) }
      end

      # assignments – nil where there are none
      def in_words(assignments) = assignments.to_a.map { |one| assignment(one) }

      # What is assigned, in words; the place and the mode where they are not the usual ones.
      def assignment(one)
        { "button_name" => button_name(one.button), "gesture" => one.gesture,
          "gesture_name" => Words.gesture(one.gesture), "off" => one.off,
          "place" => (Words.place(@fitting, one.place) unless one.place == Fitting::EVERYWHERE),
          "mode" => (Words.mode(@fitting, one.mode) unless one.mode == Fitting::BASE),
          "name" => @catalogue.name(one.action, @fitting.button(one.button).builtin) }
      end

      def counted(one)
        { "counted" => button_name(one.button), "gesture" => one.gesture, "gesture_name" => Words.gesture(one.gesture),
          "name" => @catalogue.name(one.action, @fitting.button(one.button).builtin) }
      end

      def carried
        @fitting.devices.filter_map do |device|
          modes = @fitting.carried(device.id)
          next if modes.empty?

          { "device" => device.id, "name" => device.name || device.id,
            "most" => KINDS.carries(device, @fitting.host(device.host).system)&.fetch("modes", nil),
            "modes" => modes.map { |id| Words.mode(@fitting, id) } }
        end
      end

      def spoken(one)
        Changes::Differences.new(@fitting, @fitting, KNOWLEDGE.of(@fitting))
          .spoken(one.gesture, [one.button, one.place, one.mode])
      end

      def shortlist(list)
        opens = @fitting.assignments.select { |one| one.action == Catalogue::OwnActions.opens(@fitting, list) }
        { "id" => list.id, "name" => list.name || list.id, "host" => list.host, "works" => list.works, "locked" => list.locked,
          "items" => list.items.map { |item| line(item) },
          "opened_by" => opens.map { |one| spoken(one) } }
      end

      def line(item) = { "name" => item.name || @catalogue.name(item.action), "given" => item.name, "action" => item.action }

      def cues
        givers = Cues.givers(@fitting, KNOWLEDGE)
        { "events" => Cues::EVENTS
          .map { |event| { "id" => event, "name" => Words.say(:"cue_#{event}"), "ways" => @fitting.cues.fetch(event, []) } },
          "ways" => Cues::WAYS.map { |way| { "id" => way, "name" => Words.say(way.to_sym), "givers" => givers.fetch(way) } },
          "quiet" => @fitting.cues["quiet"] }
      end

      def button_name(ref) = @fitting.button(ref).then { |button| Words.button(@fitting.device(button.device), button) }
    end
  end
end
