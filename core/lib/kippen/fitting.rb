# frozen_string_literal: true

require_relative "fitting/ids"
require_relative "fitting/timing"
require_relative "fitting/parts"
require_relative "fitting/members"
require_relative "fitting/reader"
require_relative "fitting/list_reader"
require_relative "fitting/assignment_reader"
require_relative "fitting/wants_reader"
require_relative "fitting/seats_reader"
require_relative "fitting/hands_reader"
require_relative "fitting/extras_reader"
require_relative "fitting/edit"
require_relative "fitting/own_ids"
require_relative "fitting/want_edits"
require_relative "fitting/device_edits"
require_relative "fitting/taking_out"
require_relative "fitting/copying"
require_relative "fitting/differences"

module Kippen
  # Everything that is set up for one client: hosts, devices with their buttons,
  # places, modes, timing, assignments. Valid as a whole and frozen.
  class Fitting
    FORMAT = "fitting/1"
    EVERYWHERE = "everywhere"
    BASE = "base"
    GESTURES = %w[tap double_tap triple_tap long_press hold].freeze
    FOLLOW = %w[pointer focus].freeze

    # document – the JSON object it was read from, frozen, unknown members included
    attr_reader :document, :follow, :hosts, :devices, :modes, :places, :buttons, :assignments, :wants, :links, :hands

    # Takes a parsed JSON object. Raises Invalid with every fault in it.
    def self.read(document) = Reader.new(document).fitting

    def initialize(document:, follow:, hosts:, devices:, modes:, places:, assignments:, timings:, wants: [], links: [], hands: [])
      @document = document
      @follow = follow
      @hosts = hosts
      @devices = devices
      @modes = modes
      @places = places
      @assignments = assignments
      @timings = timings
      @wants = wants
      @links = links
      @hands = hands
      @buttons = devices.flat_map(&:buttons).freeze
      @by_ref = @buttons.to_h { |button| [button.ref, button] }.freeze
      freeze
    end

    # A new Fitting with some members of the document changed, validated whole. Raises Invalid.
    def with(members) = Fitting.read(document.merge(members).compact)

    # A list of the document, empty where it isn't there.
    def list(member) = document.fetch(member, [])

    # Who it is for.
    def name = document.dig("client", "name") || "Client without a name"

    # ref – "device/button". Returns the Button or nil.
    def button(ref) = @by_ref[ref]

    # Takes a Button; returns its Timing, defaults filled in.
    def timing(button) = @timings.fetch(button.ref)

    def host(id) = @hosts.find { |host| host.id == id }
    def device(id) = @devices.find { |device| device.id == id }
    def mode(id) = @modes.find { |mode| mode.id == id }
    def place(id) = @places.find { |place| place.id == id }
  end
end
