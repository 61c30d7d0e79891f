# frozen_string_literal: true

module Kippen
  # What every host of a system has: how many lines of a shortlist it shows, which cues it can give,
  # how large its screen is. Data: core/data/hosts.json.
  class HostKinds
    FORMAT = "hosts/1"

    # most – lines of a shortlist it shows; locked – with the screen locked too; choose – how one is
    # taken there, in words; gives – cues it can give; screen – [width, height] in px
    # knows – { "app", "part", "region" => by what it knows that somebody is there, in words; nil: it doesn't }
    # steps – Several: how many actions it does by one press, and which pauses it can make between them
    Kind = Struct.new(:system, :most, :locked, :choose, :gives, :screen, :knows, :steps, keyword_init: true)

    Several = Struct.new(:most, :from_ms, :to_ms, :step_ms, keyword_init: true) do
      def pause?(time_ms) = time_ms.between?(from_ms, to_ms) && ((time_ms - from_ms) % step_ms).zero?
    end

    # text – the JSON of the data. Raises Invalid.
    def self.read(text)
      document = Formats::StrictJson.read(text, limit: Limits::FITTING_BYTES)
      raise Invalid.at("/kippen", Words.say(:must_be, value: FORMAT)) unless document.is_a?(Hash) && document["kippen"] == FORMAT

      new(document.fetch("hosts").to_h { |data| [data["system"], kind(data)] })
    end

    def self.kind(data)
      list = data.fetch("shortlist")
      Kind.new(system: data["system"], most: list["most"], locked: list["locked"], choose: list["choose"], gives: data["gives"],
               screen: data["screen"],
               knows: data["knows"], steps: several(data.fetch("steps"))).freeze
    end

    def self.several(data)
      from, to, step = data.fetch("pause_ms")
      Several.new(most: data["most"], from_ms: from, to_ms: to, step_ms: step).freeze
    end
    private_class_method :kind, :several

    # by_system – { system => Kind }
    def initialize(by_system)
      @by_system = by_system.freeze
      freeze
    end

    # The Kind of a system.
    def of(system) = @by_system.fetch(system)

    # The Kind of a Fitting::Host: that of its system, with what somebody put right about this one.
    def at(host)
      kind = of(host.system)
      said = host.corrected or return kind

      kind.dup.tap do |own|
        own.most = said["lines"] || kind.most
        own.steps = kind.steps.dup.tap { |steps| steps.most = said["steps"] || steps.most }.freeze
      end.freeze
    end
  end
end

require_relative "host_kinds/own"
