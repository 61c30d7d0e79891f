# frozen_string_literal: true

require_relative "kinds/kind"
require_relative "kinds/kind_button"
require_relative "kinds/kind_host"
require_relative "kinds/reader"
require_relative "kinds/codes"
require_relative "kinds/sources"
require_relative "kinds/ready"
require_relative "kinds/match"
require_relative "kinds/settable"

module Kippen
  # The general descriptions that devices are made from. Data: core/data/kinds, one file
  # a kind, in the form of docs/device-kind.schema.json.
  class Kinds
    FORMAT = "kind/1"

    attr_reader :all

    # texts – JSON texts, one a kind. Raises Invalid.
    def self.read(texts)
      new(texts.map do |text|
        data = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
        raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT)) unless data.is_a?(Hash) && data["kippen"] == FORMAT

        Kind.new(data)
      end)
    end

    def initialize(kinds)
      @all = kinds.sort_by(&:name).freeze
      @by_id = @all.to_h { |kind| [kind.id, kind] }.freeze
      freeze
    end

    # The Kind by its id, or nil.
    def find(id) = @by_id[id]

    # The Kind of a Fitting::Device, or nil where it is of no known one. One that ships is never changed: what a fitting says
    # of a kind of that id is not asked.
    def of(device) = @by_id[device.kind] || device.own_kind

    ANYTHING = { "gestures" => Fitting::GESTURES, "settable" => {} }.freeze

    # What a Fitting::Device carries on a system: what its kind says, with what somebody put right about this one. Nil where
    # nothing is known, or it can't be used there.
    def carries(device, system)
      kind = of(device)
      carries = kind ? kind.carries(system) : ANYTHING
      said = device.corrected or return kind && carries

      carries&.merge(said.slice("gestures", "modes"), "settable" => carries["settable"].merge(said.fetch("settable", {})).compact)
    end

    # The gestures a Fitting::Button can carry where it is; none where it is fixed.
    # system – what its host is, where it shall be asked of another
    def gestures(fitting, button, system: fitting.host(button.host).system)
      device = fitting.device(button.device)
      data = button(device, button) || {}
      return [] if data["is"] == "fixed"

      carries = carries(device, system)&.fetch("gestures") || Fitting::GESTURES
      carries & data.fetch("gestures", carries)
    end

    # Which values a device's settings can have at a host: { setting => allowed }, see Settable;
    # empty where anything may be.
    def settable(device, host) = carries(device, host.system)&.fetch("settable") || {}

    # Where neither host nor device says.
    USUAL_DOUBLE_CLICK_MS = 500

    # Within so much a host takes two clicks of a device for a double-click.
    def double_click_ms(device, host)
      host.double_click_ms || carries(device, host.system)&.dig("double_click_ms", "usual") || USUAL_DOUBLE_CLICK_MS
    end

    # What is known of a Fitting::Button of a device, or nil: what its kind says, and what somebody put right about this one.
    def button(device, button)
      own = of(device)&.button(button.id)
      button.corrected ? Kinds.corrected(own || {}, button.corrected) : own
    end

    # What it does by itself is an action no longer, where somebody said that it does something else.
    def self.corrected(data, corrected)
      other = corrected.key?("builtin") && corrected["builtin"]["tap"] != data.dig("builtin", "tap")
      (other ? data.except("builtin_action") : data).merge(corrected.except("by", "at"))
    end
  end
end
