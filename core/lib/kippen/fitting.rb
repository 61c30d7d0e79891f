# frozen_string_literal: true

require_relative "fitting/ids"
require_relative "fitting/timing"
require_relative "fitting/parts"
require_relative "fitting/members"
require_relative "fitting/reader"
require_relative "fitting/corrected_reader"
require_relative "fitting/corrected_host"
require_relative "fitting/corrected_device"
require_relative "fitting/list_reader"
require_relative "fitting/assignment_reader"
require_relative "fitting/wants_reader"
require_relative "fitting/seats_reader"
require_relative "fitting/hands_reader"
require_relative "fitting/extras_reader"
require_relative "fitting/known_reader"
require_relative "fitting/shortlists_reader"
require_relative "fitting/apps"
require_relative "fitting/apps_reader"
require_relative "fitting/own_ids"

module Kippen
  # Everything that is set up for one client: hosts, devices with their buttons,
  # places, modes, timing, assignments. Valid as a whole and frozen.
  class Fitting
    FORMAT = "fitting/1"
    EVERYWHERE = "everywhere"
    BASE = "base"
    # The reserved app whose parts are regions of the screen.
    SCREEN = "screen"
    GESTURES = %w[tap double_tap triple_tap long_press hold].freeze
    FOLLOW = %w[pointer focus].freeze

    # document – the JSON object it was read from, frozen, unknown members included
    # cues – { event => ways }, see Cues; known – findings that are known and wanted, as the document has them
    attr_reader :document, :follow, :hosts, :devices, :modes, :places, :buttons, :assignments, :wants, :links, :hands,
                :shortlists, :cues, :known

    # Of what need not be there.
    NOTHING = { wants: [], links: [], hands: [], shortlists: [], cues: {}, known: [] }.freeze

    # Takes a parsed JSON object. Raises Invalid with every fault in it.
    def self.read(document) = Reader.new(document).fitting

    # What the readers made of the document, each under its own name.
    def initialize(timings:, declared_apps: [], **parts)
      NOTHING.merge(parts).each { |name, value| instance_variable_set("@#{name}", value) }
      @timings = timings
      @declared_apps = declared_apps
      @buttons = devices.flat_map(&:buttons).freeze
      @by_ref = @buttons.to_h { |button| [button.ref, button] }.freeze
      lists = { host: hosts, device: devices, mode: modes, place: places, shortlist: shortlists }
      @by_id = lists.transform_values { |list| list.to_h { |one| [one.id, one] }.freeze }.freeze
      @worked_out = {}
      @lock = Mutex.new
      freeze
    end

    # A list of the document, empty where it isn't there.
    def list(member) = document.fetch(member, [])

    # Who it is for.
    def name = document.dig("client", "name") || Words.say(:client_without_name)

    # ref – "device/button". Returns the Button or nil.
    def button(ref) = @by_ref[ref]

    # Takes a Button; returns its Timing, defaults filled in.
    def timing(button) = @timings.fetch(button.ref)

    # What a Button is worked with: its own word for it, or its device's.
    def worked_with(button) = button.worked_with || device(button.device).worked_with

    # The settings that a Button has of its own, { setting => value }.
    def own_timing(button) = @document.dig("button_timing", button.ref) || {}

    # The Timing of a Device's buttons that have none of their own.
    def shared_timing(device)
      own = list("devices").find { |item| item["id"] == device.id }&.fetch("timing", nil)
      Timing.from(@document.fetch("timing", {}).merge(own || {}))
    end

    def host(id) = @by_id[:host][id]
    def device(id) = @by_id[:device][id]
    def mode(id) = @by_id[:mode][id]
    def place(id) = @by_id[:place][id]
    def shortlist(id) = @by_id[:shortlist][id]

    # A place as pointer_in and focus_in tell it: "app", "app/part", "" for everywhere.
    def where(place_id) = place(place_id)&.where || ""

    # Nobody's name stands in a log because something went wrong.
    def inspect = "#<#{self.class} #{buttons.size} buttons, #{assignments.size} assignments>"

    # [App] of the client, see Apps.
    def apps
      recall(:apps) do
        Apps.all(@declared_apps, places, [*assignments.map(&:action), *wants.filter_map(&:action),
                                          *shortlists.flat_map { |list| list.items.map(&:action) }])
      end
    end

    # The assignments of a button, by its ref.
    def assigned(ref) = recall(:assigned) { assignments.group_by(&:button) }.fetch(ref, [])

    # Ids of the modes that a device carries, see .carried.
    def carried(device)
      own = self.device(device).buttons.flat_map { |button| assigned(button.ref) }
      Fitting.carried(own.reject(&:off).map { |one| { "mode" => one.mode, "action" => one.action } })
    end

    # Ids of modes that assignments, as they stand in a document, are in or take.
    def self.carried(items) = items.flat_map { |item| modes_of(item) }.uniq

    def self.modes_of(item) = [item["mode"], (item["action"]["mode"] if item["action"]["kind"] == "mode")].compact.uniq - [BASE]

    NOT_YET = Object.new.freeze
    private_constant :NOT_YET

    # What the block makes of this fitting, worked out once for everybody who asks by this name. Many threads may ask:
    # a hash that grows while another thread looks into it can bring Ruby 3.1 down, for the hash of an array lets threads
    # change. Who is slower takes what was there first.
    def recall(name)
      known = @lock.synchronize { @worked_out.fetch(name, NOT_YET) }
      return known unless NOT_YET.equal?(known)

      made = yield
      @lock.synchronize { @worked_out.fetch(name) { @worked_out[name] = made } }
    end
  end
end
