# frozen_string_literal: true

module Kippen
  class Kinds
    # Reads a kind of device that somebody made, in the form of docs/device-kind.schema.json: every fault in it, or a
    # Kind. What it says must hold together, for a device is made of it.
    class Reader
      include Fitting::Members

      SYSTEMS = Fitting::ListReader::SYSTEMS
      BUTTON_KINDS = Fitting::ListReader::KINDS
      SIGNALS = %w[press touch click force].freeze
      BUTTONS = 200
      SEATS = 50
      SHAPES = 60
      STEPS = 40
      TEXT = 500
      EDITIONS = 1_000_000
      PATH = /\AM[MLHVCSQTAZmlhvcsqtaz0-9 ,.eE+-]{0,2000}\z/
      SOURCE = /\A(key|pointer|pen|touch|wheel|gamepad):[\x21-\x7e]{1,60}\z/
      CODE = /\A(KEY|BTN|REL|ABS)_[A-Z0-9_]{1,40}\z/
      MEMBERS = %w[kippen id name words box outline sits_on belongs points itself many takes seats versions variants opposite
                   buttons hosts ready edition by at].freeze
      NUMBERS = { "rect" => 5, "ellipse" => 4 }.freeze

      # data – a parsed JSON value; returns a Kind, or nil where faults were added
      def self.read(data, faults, pointer = "")
        reader = new
        reader.check(data, pointer)
        reader.faults.each { |fault| faults.add(fault.where, fault.message) }
        Kind.new(data) if reader.faults.empty?
      end

      # One shape that can be drawn.
      def self.shape?(shape)
        return false unless shape.is_a?(Hash) && shape.size == 1

        name, value = shape.first
        return value.is_a?(String) && value.match?(PATH) if name == "path"

        NUMBERS.key?(name) && value.is_a?(Array) && value.size == NUMBERS[name] && value.all? { |one| number?(one) }
      end

      def self.number?(value) = value.is_a?(Numeric) && value.to_f.finite? && value.abs <= 10_000

      def initialize = @faults = Faults.new

      def faults = @faults.to_a

      def check(data, pointer)
        return fault(pointer, :must_be_an_object) unless data.is_a?(Hash)

        @faults.add("#{pointer}/kippen", Words.say(:must_be, value: FORMAT)) unless data["kippen"] == FORMAT
        (data.keys - MEMBERS).each { |name| fault("#{pointer}/#{name}", :not_known_here) }
        ids(data, "id", pointer)
        words(data, "name", pointer, needed: true)
        %w[words by at].each { |key| text(data, key, pointer) }
        fault("#{pointer}/words", :is_missing) if data["words"].nil?
        picture(data, pointer)
        edition(data["edition"], "#{pointer}/edition")
        facts(data, pointer)
        buttons = buttons(data, pointer)
        seats(data, pointer)
        variants(data, buttons, pointer)
        hosts(data["hosts"], "#{pointer}/hosts")
        steps(data, buttons, pointer)
      end

      private

      def fault(where, key, **parts) = @faults.add(where, Words.say(key, **parts))

      def ids(item, key, pointer)
        Fitting::Ids.ok?(item[key]) ||
          fault("#{pointer}/#{key}", :must_be_like, value: Faults.show(item[key]), allowed: Fitting::Ids::ALLOWED)
      end

      # Longer than a name, and never needed.
      def text(item, key, pointer)
        value = item[key]
        value.nil? || (value.is_a?(String) && value.length <= TEXT) ||
          fault("#{pointer}/#{key}", :must_be_text_from_to, needed: 0, characters: TEXT)
      end

      def needed_text(item, key, pointer)
        there = item[key].is_a?(String) && !item[key].strip.empty?
        there ? text(item, key, pointer) : fault("#{pointer}/#{key}", :must_be_text_from_to, needed: 1, characters: TEXT)
      end

      # An array of at most so many, each of which the block takes.
      def list(item, key, pointer, most: 50, least: 0, &block)
        value = item.fetch(key, [])
        right = value.is_a?(Array) && value.size.between?(least, most) && value.all?(&block)
        right || fault("#{pointer}/#{key}", :wrong_list, most:)
      end

      def id_list(item, key, pointer) = list(item, key, pointer) { |one| Fitting::Ids.ok?(one) }

      def picture(data, pointer)
        list(data, "box", pointer, most: 2, least: 2) { |one| Reader.number?(one) && one.positive? }
        list(data, "outline", pointer, most: SHAPES, least: 1) { |one| Reader.shape?(one) }
      end

      def edition(value, pointer)
        fault(pointer, :must_be_edition) unless value.nil? || (value.is_a?(Integer) && value.between?(1, EDITIONS))
      end

      def facts(data, pointer)
        %w[sits_on takes].each { |key| id_list(data, key, pointer) }
        %w[points itself many].each { |key| flag(data, key, pointer) }
        list(data, "versions", pointer) { |one| one.is_a?(String) && one.length.between?(1, 40) }
        choice(data, "belongs", SYSTEMS, pointer) if data.key?("belongs")
        opposite = data.fetch("opposite", {})
        return if opposite.is_a?(Hash) && opposite.to_a.flatten.all? { |one| Fitting::Ids.ok?(one) }

        fault("#{pointer}/opposite", :must_be_an_object)
      end

      # { id => button } of those that can be read.
      def buttons(data, pointer)
        return fault("#{pointer}/buttons", :must_be_an_array) || {} unless data.key?("buttons")

        found = objects(data, "buttons", BUTTONS, pointer).each { |button, at| KindButton.new(@faults).check(button, at) }
        ids = found.map { |button, _| button["id"] }
        ids.tally.each { |id, times| fault("#{pointer}/buttons", :id_used_times, id: id.inspect, what: times) if times > 1 }
        found.each do |button, at|
          if button["mirror"] && !ids.include?(button["mirror"])
            fault("#{at}/mirror", :no_such_button, id: Faults.show(button["mirror"]))
          end
        end
        found.to_h { |button, _| [button["id"], button] }
      end

      def seats(data, pointer)
        objects(data, "seats", SEATS, pointer).each do |seat, at|
          ids(seat, "id", at)
          fault("#{at}/at", :no_shape) if seat.key?("at") && !Reader.shape?(seat["at"])
          list(seat, "browser", at) { |one| one.is_a?(String) && one.match?(SOURCE) }
          list(seat, "recording", at) { |one| one.is_a?(String) && one.match?(CODE) }
        end
      end

      def variants(data, buttons, pointer)
        objects(data, "variants", 20, pointer).each do |variant, at|
          ids(variant, "id", at)
          words(variant, "name", at, needed: true)
          list(variant, "buttons", at, most: BUTTONS, least: 1) { |one| buttons.key?(one) }
        end
      end

      def hosts(hosts, pointer)
        unless hosts.is_a?(Hash) && hosts.any? && (hosts.keys - SYSTEMS).empty?
          return fault(pointer, :must_name_systems, values: SYSTEMS.join(", "))
        end

        hosts.each { |system, carries| KindHost.new(@faults).check(carries, "#{pointer}/#{system}") }
      end

      def steps(data, buttons, pointer)
        return fault("#{pointer}/ready", :must_be_an_array) unless data.key?("ready")

        found = objects(data, "ready", STEPS, pointer)
        known = found.flat_map { |step, _| step.values_at("id", "one_of") }.compact
        found.each { |step, at| step(step, at, known, buttons) }
      end

      def step(step, at, known, buttons)
        ids(step, "id", at)
        words(step, "title", at, needed: true)
        %w[how see if_not].each { |key| needed_text(step, key, at) }
        %w[stops part from_version before_version one_of becomes].each { |key| text(step, key, at) }
        fault("#{at}/needs", :must_be_an_array) unless step.key?("needs")
        list(step, "needs", at) { |one| known.include?(one) }
        list(step, "hosts", at) { |one| SYSTEMS.include?(one) }
        list(step, "stops_gestures", at) { |one| Fitting::GESTURES.include?(one) }
        choice(step, "again", ["version", nil], at)
        fault("#{at}/check", :no_check) unless step["check"].nil? || check?(step["check"], buttons)
      end

      def check?(check, buttons)
        return false unless check.is_a?(Hash) && check.size == 1
        return check["heard"] == "any" if check.key?("heard")

        held = check["held"]
        held.is_a?(Hash) && buttons.key?(held["button"]) && held["ms"].is_a?(Integer) && held["ms"].between?(1, 60_000)
      end
    end
  end
end
