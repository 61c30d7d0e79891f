# frozen_string_literal: true

module Kippen
  # What can be set of a host or a device besides its buttons. Data: core/data/settings.json.
  # Kept in the fitting as "settings" of the host or device, { id => value }.
  class Settings
    FORMAT = "settings/1"

    # One setting: type "number", "flag", "choice" or "buttons" (some of the device's).
    Setting = Struct.new(:data) do
      def id = data["id"]
      def name = data["name"]
      # The host's own member that it is kept in, or nil: then it lies in "settings".
      def member = data["member"]

      # As it is on a system: what can be set there differs. Data: "on".
      def on(system) = data.key?("on") ? Setting.new(data.except("on").merge(data["on"].fetch(system)).freeze).freeze : self

      # As it is of a Fitting::Device: which buttons there are to choose from.
      def of(device)
        return self unless data["type"] == "buttons"

        choices = device.buttons.map { |button| { "value" => button.id, "words" => button.name || button.id } }
        Setting.new(data.merge("choices" => choices, "usual" => choices.map { |one| one["value"] }).freeze).freeze
      end

      # What is wrong with a value, in words, or nil.
      def fault(value)
        case data["type"]
        when "number" then Words.say(:must_be_like, value: Faults.show(value), allowed: allowed) unless number?(value)
        when "flag" then Words.say(:must_be_true_or_false, value: Faults.show(value)) unless [true, false].include?(value)
        when "buttons" then Words.say(:must_be_some_of, value: Faults.show(value), values: values.join(", ")) unless some?(value)
        when "choice" then unless values.include?(value)
                             Words.say(:must_be_one_of, value: Faults.show(value), values: values.join(", "))
                           end
        end
      end

      private

      def number?(value)
        value.is_a?(Integer) && value.between?(data["from"], data["to"]) && ((value - data["from"]) % data["step"]).zero?
      end

      def allowed = Words.say(:whole_number_from_steps, from: data["from"], to: data["to"], step: data["step"])
      def some?(value) = value.is_a?(Array) && value.any? && value.uniq == value && (value - values).empty?
      def values = data["choices"].map { |choice| choice["value"] }
    end

    attr_reader :all

    # Takes JSON text. Raises Invalid.
    def self.read(text)
      document = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
      raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT)) unless document["kippen"] == FORMAT

      new(document.fetch("settings"))
    end

    def initialize(list)
      @all = list.map { |data| Setting.new(data.freeze).freeze }.freeze
      @by_id = @all.to_h { |setting| [setting.id, setting] }.freeze
      freeze
    end

    def find(id) = @by_id[id]

    # [Setting] that a Fitting::Host or a Fitting::Device has.
    def of_host(host)
      all.select { |one| one.data["of"] == "host" && one.data["systems"].include?(host.system) }.map { |one| one.on(host.system) }
    end

    def of_device(device)
      all.select { |one| one.data["of"] == "device" && one.data["kinds"].include?(device.kind) }.map { |one| one.of(device) }
    end

    # The value that is set, or nil for the host's or device's own. item – its JSON object
    def self.value(setting, item) = setting.member ? item[setting.member] : item.fetch("settings", {})[setting.id]

    # [Setting] that a host or a device of a fitting has. of – "host" or "device". Raises Invalid.
    def for(fitting, of, id)
      found = of == "host" ? fitting.list("hosts").any? && fitting.host(id) : fitting.device(id)
      raise Invalid.at("/change/id", Words.say(:"no_#{of}", id: Faults.show(id))) unless found

      of == "host" ? of_host(found) : of_device(found)
    end
  end
end
