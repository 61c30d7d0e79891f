# frozen_string_literal: true

module Kippen
  class Search
    # All that can be found at a client's desk: what can be done, settings and their values, help, what the fitting has,
    # actions. Data: core/data/topics.json, for what is the same at every desk.
    class Topics
      FORMAT = "topics/1"
      LEVELS = %w[press_at release_at].freeze

      # text – JSON. Returns [Topic], frozen. Raises Invalid.
      def self.read(text)
        document = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
        unless document.is_a?(Hash) && document["kippen"] == FORMAT
          raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT))
        end

        document.fetch("topics").map do |item|
          kind, id, name, note, leads, also = item.values_at("kind", "id", "name", "note", "leads", "words")
          Topic.new(kind:, id:, name:, note:, leads:, also:)
        end.freeze
      end

      # The Index of a fitting's actions alone. knowledge – with its apps
      def self.of_actions(fitting, knowledge)
        fitting.recall([:found_actions, knowledge.kinds.object_id]) { Index.new(knowledge.catalogue.entries.map(&:topic)) }
      end

      # The Index of all there is.
      def self.of(fitting, knowledge)
        fitting.recall([:found, knowledge.kinds.object_id]) { new(fitting, knowledge).index }
      end

      def initialize(fitting, knowledge)
        @fitting = fitting
        @knowledge = knowledge
        @spoken = Spoken::Often.new
      end

      def index
        Index.new([*everywhere, *wants, *hosts, *devices, *@knowledge.catalogue.entries.map(&:topic), *where, *values, *settings,
                   *buttons, *assigned])
      end

      private

      def topic(kind, id, name, of: nil, note: nil, also: "") = Topic.new(kind:, id:, name:, of:, note:, also:, spoken: @spoken)

      # Levels are of buttons that tell how hard they are pressed.
      def everywhere
        @knowledge.topics.reject { |topic| LEVELS.include?(topic.id) && @fitting.buttons.none? { |one| one.kind == "force" } }
      end

      def wants = @fitting.wants.map { |want| topic("want", want.id, want.what) }
      def hosts = @fitting.hosts.map { |host| topic("host", host.id, host.name, also: host.system) }

      def devices
        @fitting.devices.map do |device|
          topic("device", device.id, device.name, of: @fitting.host(device.host)&.name,
                                                  also: @knowledge.kinds.of(device)&.name.to_s)
        end
      end

      def where
        @fitting.places.map { |place| topic("place", place.id, place.name) } +
          @fitting.modes.reject(&:shortlist).map { |mode| topic("mode", mode.id, mode.name) } +
          @fitting.shortlists.map { |list| topic("shortlist", list.id, list.name, also: list.items.map(&:name).join(" ")) }
      end

      def buttons
        @fitting.buttons.map do |button|
          topic("button", button.ref, button.name || button.id,
                of: @fitting.device(button.device).name, also: [button.printed, button.worked_with].join(" "))
        end
      end

      # What each button was given, by the action's name.
      def assigned
        @fitting.assignments.map do |one|
          name = @knowledge.catalogue.name(one.action, @fitting.button(one.button).builtin)
          note = [Words.gesture(one.gesture), @fitting.place(one.place)&.name,
                  @fitting.mode(one.mode)&.name].compact.join(", ")
          topic("assignment", [one.button, one.gesture, one.place, one.mode].join(" "), name, of: full_name(one.button), note:)
        end
      end

      # Times that a button has of its own.
      def values
        @fitting.buttons.flat_map do |button|
          @fitting.own_timing(button).filter_map do |setting, value|
            about = timings[setting] or next
            unit = "ms" if Fitting::Timing::SETTINGS.fetch(setting).duration?
            topic("value", "#{button.ref} #{setting}", value_name(about.name, value, unit), of: full_name(button.ref))
          end
        end
      end

      # Settings of hosts and devices, with what they are set to.
      def settings
        [["host", @fitting.hosts, :of_host], ["device", @fitting.devices, :of_device]].flat_map do |of, items, list|
          items.flat_map do |item|
            set = @fitting.list("#{of}s").find { |one| one["id"] == item.id } || {}
            @knowledge.settings.public_send(list, item).map do |setting|
              topic("setting", "#{of} #{item.id} #{setting.id}",
                    value_name(setting.name, Settings.value(setting, set), setting.data["unit"]),
                    of: item.name, note: setting.data["good_for"], also: setting.data["words"].to_s)
            end
          end
        end
      end

      def timings = @timings ||= @knowledge.topics.select { |one| one.kind == "setting" }.to_h { |one| [one.id, one] }

      def value_name(name, value, unit)
        value.nil? ? name : "#{name}: #{[{ true => "on", false => "off" }.fetch(value, value), unit].compact.join(" ")}"
      end

      def full_name(ref) = @fitting.button(ref).then { |button| Words.button(@fitting.device(button.device), button) }
    end
  end
end
