# frozen_string_literal: true

require "json"
require_relative "own_kippen"

module Kippen
  # Server, worker and database are killed hard at random moments of a hand-over: what is on the device is what was there
  # before or what was handed over, whole; and in the end it is what was handed over.
  class HandoverSiege
    TARGETS = %w[server worker database].freeze
    DEVICE = "pocket-phone"
    BUTTON = "pocket-phone/edge"
    VALUES = [400, 500, 700, 1000, 1500].freeze
    # A hand-over takes about so long.
    LASTS_S = 2.0

    def initialize(root, seed)
      @random = Random.new(seed)
      @kippen = OwnKippen.new(root, 20_000 + @random.rand(9_000))
      @on = nil
      @during = 0
    end

    # Says what was found; true where it was whole each time.
    def run(count)
      @kippen.start
      begin_with
      wrong = count.times.filter_map { |round| round(round) }
      found = wrong.empty? ? "never half a fitting, each came to its end" : wrong.join("; ")
      puts "handovers: #{count} kills, #{@during} of them while it was written, #{found}"
      wrong.empty?
    ensure
      @kippen.end_all
    end

    private

    def begin_with
      inside = @kippen.visitor.sign_in
      @client = inside.get("/api/clients?search=bram")["clients"].first["id"]
      hand_over(inside)
      @on = in_the_end
    end

    # Returns what is wrong, or nil.
    def round(number)
      inside = @kippen.visitor.sign_in
      change(inside)
      hand_over(inside)
      sleep @random.rand * LASTS_S
      target = TARGETS.sample(random: @random)
      @during += 1 if has(inside)["state"] == "writing"
      @kippen.kill(target)
      found = look_again
      before = @on
      @on = in_the_end
      wrong(found, before)&.then { |words| "#{number} (#{target}): #{words}" }
    end

    # Just after the kill there was what was there before, or what is there in the end.
    def wrong(found, before)
      return "nothing whole was on it" if found["seen"].nil?
      return "nobody brought what was on it" if found["state"] == "anothers"

      "#{found["seen"]} was on it" unless [before, @on].include?(found["seen"])
    end

    # Another time than now.
    def change(inside)
      newest = inside.get("/api/clients/#{@client}")["revision"]["number"]
      @value = (VALUES - [@value]).sample(random: @random)
      change = { "kind" => "timing", "button" => BUTTON, "setting" => "long_press_ms", "value" => @value }
      inside.post("/api/clients/#{@client}/revisions", "opened_on" => newest, "change" => change)
    end

    def hand_over(inside)
      newest = inside.get("/api/clients/#{@client}")["revision"]["number"]
      devices = [{ "device" => DEVICE, "seen" => has(inside)["seen"] }]
      inside.post("/api/clients/#{@client}/handovers", "what" => "put", "devices" => devices, "revision" => newest)
    end

    def has(inside)
      inside.get("/api/clients/#{@client}/handovers")["devices"].find { |one| one["device"] == DEVICE }
    end

    # As soon as it answers.
    def look_again
      found = nil
      @kippen.wait_until { @kippen.well? && (found = look) }
      found
    end

    def look
      has(@kippen.visitor.sign_in)
    rescue SystemCallError, IOError, NoMethodError, TypeError
      nil
    end

    # What is on it once it has come to its end.
    def in_the_end
      found = nil
      @kippen.wait_until { (found = look) && found["state"] == "on_it" }
      found["seen"]
    end
  end
end
