# frozen_string_literal: true

require_relative "helper"

module Kippen
  # Rooms of the house that know nothing of each other: who reads one need not read the other.
  class RoomsTest < ServerTest
    # room => [what it must not speak of]
    SERVER = { "store" => %w[api jobs], "auth" => %w[jobs] }.freeze
    # In the core: a fitting is there before what presses do with it and before it is changed.
    CORE = { "fitting" => %w[press changes reach tuning standins arrangements], "press" => %w[changes reach tuning standins],
             "catalogue" => %w[changes reach tuning standins], "kinds" => %w[changes reach tuning standins] }.freeze
    # Shared names that say nothing of a room.
    SHARED = %w[Kippen Server Store App Kind Kinds Trial Fit].freeze

    # Names of classes, modules and values that the files of a room define.
    def defined_in(folder)
      Dir[File.join(folder, "**",
                    "*.rb")].flat_map { |file| File.read(file).scan(/^\s*(?:class|module) ([A-Z]\w+)/).flatten }.uniq - SHARED
    end

    def spoken_in(folder)
      files = Dir["#{folder}.rb", File.join(folder, "**", "*.rb")].reject { |file| file.include?("/migrations/") }
      files.to_h do |file|
        [file.delete_prefix("#{Server::ROOT}/"), File.read(file).gsub(/#.*$/, "").gsub(/"(?:[^"\\]|\\.)*"/, "")]
      end
    end

    def assert_unknown(folder, others)
      spoken_in(folder).each do |file, code|
        met = others.select { |name| code.match?(/(?<![\w:])#{name}\b/) }
        assert_empty met, "#{file} speaks of #{met.join(", ")}"
      end
    end

    def test_rooms_of_the_service
      SERVER.each do |room, others|
        names = others.flat_map { |other| defined_in(File.join(Server::ROOT, "server", other)) } - defined_in(File
          .join(Server::ROOT, "server", room))
        assert_unknown(File.join(Server::ROOT, "server", room), names)
      end
    end

    # By the names of the rooms themselves: Press::Lane, Changes::Draft.
    def test_rooms_of_the_core
      CORE.each do |room, others|
        assert_unknown(File.join(Server::ROOT, "core", "lib", "kippen", room), others.map(&:capitalize))
      end
    end
  end
end
