# frozen_string_literal: true

module Kippen
  module Standins
    # A stand-in computer, tablet, phone or television: what its screen shows, and what becomes of it by
    # what presses do. Its state is plain JSON; given the same state and the same actions, it is the same.
    class Screen
      FORMAT = "screen/1"
      EMPTY = { "kippen" => FORMAT, "open" => [], "closed" => [], "pointer" => [30, 50], "part" => nil, "locked" => false,
                "afar" => false, "list" => nil,
                "run" => 1, "moved" => 0,
                "mode" => nil, "said" => "", "counts" => {}, "volume" => 5, "muted" => false, "playing" => false,
                "call" => "none", "light" => false,
                "lights" => true, "help" => 0, "text" => "", "modifiers" => [], "course" => nil }.freeze
      OPEN_AT_FIRST = 2

      # Who does something and when: the ref of a button, "" for none; ms on the clock of whoever asks.
      Moment = Struct.new(:ref, :ms)
      NOBODY = Moment.new("", 0).freeze

      attr_reader :fitting, :knowledge, :host, :state, :moment

      # state – as #state gives it; nil: a screen on which nothing has happened yet
      def initialize(fitting, knowledge, host, state = nil, moment: NOBODY)
        @moment = moment
        @fitting = fitting
        @knowledge = knowledge.of(fitting)
        @host = host
        @state = EMPTY.merge(state || { "open" => apps.first(host.system == "computer" ? OPEN_AT_FIRST : 1) })
      end

      # Is it a state that can be taken up? It may have been kept by another version.
      def self.state?(value)
        return false unless value.is_a?(Hash) && value["kippen"] == FORMAT

        kept = EMPTY.all? { |name, usual| usual.nil? || !value.key?(name) || alike?(usual, value[name]) }
        kept && Course.state?(value["course"]) && list?(value["list"]) && (value["mode"].nil? || value["mode"].is_a?(Hash)) &&
          pointer?(value.fetch("pointer", [0, 0])) &&
          [*value["open"], *value["closed"], *value["modifiers"]].all?(String)
      end

      def self.alike?(usual, value)
        if [true, false].include?(usual)
          [true, false].include?(value)
        else
          value.is_a?(usual.is_a?(Integer) ? Integer : usual.class)
        end
      end

      def self.list?(value) = value.nil? || (value.is_a?(Hash) && value["id"].is_a?(String) && value["marked"].is_a?(Integer))
      def self.pointer?(value) = value.size == 2 && value.all?(Numeric)
      private_class_method :alike?, :list?, :pointer?

      # The same screen with some of its state another.
      def with(**members) = Screen.new(fitting, knowledge, host, state.merge(members.transform_keys(&:to_s)), moment:)

      # The same at a moment, with what was due by then done.
      def at(time_ms, ref = "") = Course.new(Screen.new(fitting, knowledge, host, state, moment: Moment.new(ref, time_ms))).go_on

      # The screen after a press that counts, whatever it comes to. See Course#press.
      def pressed(ref, began_us) = Course.new(self).press(ref, began_us)

      # The screen after a Press::Outcome. own – the action that stands for what the button does by itself, or nil
      def did(outcome, own)
        return Effects.new(self).let_go(outcome.action) if outcome.phase == "end" && outcome.action
        return self if !%w[fire start repeat].include?(outcome.phase) || Course.new(self).spent?(outcome)

        action = outcome.action.nil? || outcome.action["kind"] == "builtin" ? own : outcome.action
        # How many times without letting go: what moves may get faster.
        run = outcome.phase == "repeat" ? state["run"] + 1 : 1
        action ? with(run:).does(knowledge.catalogue.whole(action)) : self
      end

      # The same while a mode is on: [id, how], or nil. A list that is stepped through is open in its mode alone.
      def in_mode(mode)
        open = state["list"] unless list&.works == "step" && Catalogue::OwnActions.mode_of(fitting, list)&.id != mode&.first
        with(mode: mode && { "id" => mode[0], "how" => mode[1] }, list: open)
      end

      # The screen after an action, a JSON object.
      def does(action)
        refused = refuses(action)
        return with(said: refused) if refused
        return Course.new(self).begin(action) if Steps.of(action)

        Effects.of(self, action)
      end

      # What it has no room or no means for, in words, or nil.
      def refuses(action)
        hosts = knowledge.catalogue.hosts(action)
        Words.say(:screen_cant, action: knowledge.catalogue.name(action), host: name) if hosts && !hosts.include?(host.system)
      end

      # Everything of the fitting that this host can't carry: [Finding].
      def refusals
        fitting.recall([:refusals, host.id, knowledge.kinds.object_id]) do
          cautions = Cautions.new(fitting, knowledge)
          [*assignments_refused(cautions), *lists_refused].freeze
        end
      end

      def layout = Layout.new(fitting, knowledge, host, open: state["open"] & apps, locked: state["locked"])

      # Where pointer and focus are, as the host tells it: { "pointer" => "app/part", "focus" => … }
      def where
        front = state["open"].first
        focus = state["locked"] || front.nil? ? "" : [front, state["part"]].compact.join("/")
        { "pointer" => in_force(told(layout.at(state["pointer"])&.where || "")), "focus" => in_force(told(focus)) }
      end

      # [Fitting::Button] that stand for what happens to this host.
      def happenings
        own = fitting.devices.select { |device| device.host == host.id && !device.off && knowledge.kinds.of(device)&.itself? }
        own.flat_map(&:buttons).reject(&:off)
      end

      def name = host.name || host.id
      def apps = fitting.apps.select { |app| app.hosts.include?(host.system) && app.id != Fitting::SCREEN }.map(&:id)
      def kind = knowledge.host_kinds.at(host)

      # The shortlist that is open: a Fitting::Shortlist, or nil.
      def list = state["list"] && fitting.shortlist(state["list"]["id"])

      # Its lines as they are shown; where it is stepped through the last one leaves it.
      def lines
        shown = list.items.first(kind.most).map { |item| item.name || knowledge.catalogue.name(item.action) }
        list.works == "step" ? [*shown, Words.say(:leave_list)] : shown
      end

      private

      # As far as such a host knows it: a phone doesn't know in which part of an app one is.
      def told(where)
        app, part = where.split("/", 2)
        return where if part.nil? || kind.knows[app == Fitting::SCREEN ? "region" : "part"]

        app == Fitting::SCREEN ? state["open"].first || "" : app
      end

      # A place may be out of force while somebody works on the host from afar.
      def in_force(where)
        return where unless state["afar"]

        app, part = where.split("/", 2)
        steps = [where, (app if part && app != Fitting::SCREEN), ""].compact
        steps.find do |one|
          one.empty? || fitting.places.none? { |place| place.off_from_afar && place.where == one }
        end
      end

      def assignments_refused(cautions)
        on = fitting.assignments.reject(&:off).select { |one| fitting.button(one.button).host == host.id }
        on.filter_map do |one|
          why = cautions.reasons(fitting.button(one.button), fitting.list("assignments")[one.index]).first
          why && not_carried("#{spoken(one)}: #{why}", "button" => one.button, "gesture" => one.gesture, "place" => one.place,
                                                       "mode" => one.mode)
        end
      end

      def spoken(one)
        button = fitting.button(one.button)
        "#{Words.button(fitting.device(button.device), button)}, #{Words.gesture(one.gesture)}"
      end

      def lists_refused
        long = fitting.shortlists.select { |list| list.host == host.id && list.items.size > kind.most }
        long.map do |list|
          not_carried(Words.say(:shortlist_grew_too_long, name: list.name || list.id, host: name, most: kind.most,
                                                          first: kind.most + 1),
                      "shortlist" => list.id)
        end
      end

      def not_carried(what, where) = Finding.new(id: "not_carried", bad: "serious", what:, where: { "host" => host.id, **where })
    end
  end
end
