# frozen_string_literal: true

module Kippen
  module Server
    # What is on a client's devices, against the fitting as it is, for the page.
    class RenderHandover
      # Of work of a core, for how presses would come out.
      REPLAYS_S = 0.8
      # And for what each mix of old and new would bring.
      MIXES_S = 2.5
      MOST_WORDS = 40

      # app – App; client – its id
      def initialize(app, client)
        @app = app
        @client = client
        @fitting, @revision = app.revisions.fitting(client)
        @carriers = app.carriers.all(client)
        @newest = app.handovers.newest(client)
        @trials = CheckPresses.new(app, client, @fitting)
        @deadline = Server.deadline(REPLAYS_S)
        @mixing = Server.deadline(MIXES_S)
      end

      def to_h
        { "revision" => @revision[:number], "devices" => @fitting.devices.map { |device| device(device) }, "mixes" => mixes,
          "gone" => gone, "record" => @app.handovers.latest(@client).map { |row| recorded(row) } }
      end

      private

      def carried(device) = Handover::Carried.of(@fitting, device, KNOWLEDGE)
      def on_it(device) = @app.handovers.on_it(@carriers[device.id])
      def newest(device) = @carriers[device.id] && @newest[@carriers[device.id][:id]]

      def device(device)
        row = @carriers[device.id]
        on = on_it(device)
        latest = newest(device)
        { "device" => device.id, "state" => state(device, on, latest), "seen" => on, "brought" => brought(row, on),
          "by_hand" => by_hand(device, row), "away_since" => (if row && !row[:reach]
                                                                Times.iso(row[:reach_since])
                                                              end), **progress(latest),
          "differs" => differences(device, on), "left" => left(device),
          "back" => row && @app.handovers.before(row[:id], on)&.then { |before| before[:revision] } }
      end

      # In one word, see docs/handing-over.md.
      def state(device, on, latest)
        return by_hand_state(device, on) if @carriers[device.id]&.fetch(:by_hand)

        under_way(latest) || ("unknown" if @carriers[device.id]&.fetch(:unasked)) || standing(device, on)
      end

      def under_way(latest)
        case latest&.fetch(:state)
        when "waiting" then "waiting"
        when "working" then "writing"
        when Store::Handovers::AWAY then latest[:done].positive? ? "broken_off" : "away"
        end
      end

      def standing(device, on)
        return carried(device).nothing? ? "nothing" : "differs" if on.nil?
        return "on_it" if on == carried(device).digest

        brought(@carriers[device.id], on) ? "differs" : "anothers"
      end

      def by_hand_state(device, on) = on == carried(device).digest ? "on_it" : "by_hand"

      # How far the list is: { "of", "set", "cant" }; nil where Kippen puts it on.
      def by_hand(device, row)
        return unless row && row[:by_hand]

        ticks = @app.by_hand(@client).lines(device).map(&:tick)
        { "of" => ticks.size, "set" => ticks.compact.count { |tick| tick["set"] },
          "cant" => ticks.compact.count { |tick| !tick["set"] } }
      end

      def progress(latest)
        return { "done" => 0, "of" => 0, "part" => nil, "error" => nil } unless latest

        key = :"part_#{latest[:part]}"
        part = Words.say(key) if Words.said?(key)
        { "done" => latest[:done], "of" => latest[:of], "part" => part, "error" => latest[:error] }
      end

      # What brought it there, or nil where nothing of this client's did.
      def brought(row, digest)
        brought = row && @app.handovers.of_digest(row[:id], digest)
        brought && { "revision" => brought[:revision], "since" => Times.iso(brought[:ended_at]), "by" => brought[:author] }
      end

      # What would be another on it: [sentence…]
      def differences(device, on)
        return [] if on == carried(device).digest

        was = Handover::InForce.of(@fitting, { device.id => document(device) })
        now = Handover::InForce.of(@fitting, { device.id => carried(device).document })
        Changes::Differences.new(was, now, KNOWLEDGE).words.first(MOST_WORDS)
      rescue Invalid
        # What is on it is none of ours.
        []
      end

      # What is on a device: of one that is set by hand, what was set last.
      def document(device)
        row = @carriers[device.id]
        return Store::Carriers.carrier(row).on_it unless row && row[:by_hand]

        @app.handovers.of_digest(row[:id], on_it(device))&.fetch(:document)&.to_hash
      end

      def left(device)
        Handover::LeftBehind.new(carried(device), KNOWLEDGE, trials: @trials, deadline: @deadline).told.map(&:plain)
      end

      # What would be wrong meanwhile, where those that differ are handed over: host by host.
      def mixes
        devices = @fitting.devices.reject { |device| on_it(device) == carried(device).digest }
        now = @fitting.devices.to_h { |device| [device.id, document(device)] }
        devices.group_by(&:host).flat_map do |_, own|
          later = own.to_h { |device| [device.id, carried(device).document] }
          next [] if own.size < 2

          Handover::Mixes.of(@fitting, KNOWLEDGE, now:, later:, deadline: @mixing).map { |mix| mixed(mix) }
        end
      rescue Invalid
        []
      rescue Deadline::Passed
        [Words.say(:mixes_too_long)]
      end

      def mixed(mix)
        device = @fitting.device(mix.device)
        Words.say(:mix_brings, device: device.name || device.id, what: mix.findings.map(&:what).join(" "))
      end

      # Devices that were taken out of the fitting and have something on them still.
      def gone
        rows = @carriers.except(*@fitting.devices.map(&:id)).values
        rows.filter_map do |row|
          on = @app.handovers.on_it(row)
          { "device" => row[:device], "seen" => on, "brought" => brought(row, on), "away" => !row[:reach] } if on
        end
      end

      def recorded(row)
        { "device" => row[:device], "name" => @fitting.device(row[:device])&.name || row[:device], "what" => row[:what],
          "revision" => row[:revision],
          "state" => row[:state], "done" => row[:done], "of" => row[:of], "by" => row[:author],
          "at" => Times.iso(row[:ended_at] || row[:asked_at]), "error" => row[:error] }
      end
    end
  end
end
