# frozen_string_literal: true

require "json"
require_relative "own_kippen"

module Kippen
  # Server, worker, database and bin/start are killed hard at random moments while somebody saves: whatever was
  # acknowledged is there afterwards, in its order, and nothing that nobody sent.
  class KillSiege
    TARGETS = %w[server worker database start].freeze
    BUTTON = "pocket-phone/edge"
    # What that button can be set to.
    VALUES = [400, 500, 700, 1000, 1500].freeze

    def initialize(root, seed)
      @random = Random.new(seed)
      @kippen = OwnKippen.new(root, 20_000 + @random.rand(9_000))
      # By the number it should get; of several that were sent for one, the first that came is it.
      @sent = Hash.new { |sent, number| sent[number] = [] }
      @acknowledged = [1]
    end

    # Says what was killed and what was found; true where all was well.
    def run(count)
      @kippen.start
      wrong = count.times.filter_map { |round| round(round) }
      found = wrong.empty? ? "all there, none invented" : wrong.join("; ")
      puts "kills: #{count}, #{@acknowledged.size - 1} acknowledged saves, #{found}"
      wrong.empty?
    ensure
      @kippen.end_all
    end

    private

    # Returns what is wrong, or nil.
    def round(number)
      target = TARGETS.sample(random: @random)
      @saving = true
      saver = Thread.new { save_on }
      sleep 0.5 + @random.rand
      @kippen.kill(target)
      sleep 0.3
      @saving = false
      saver.join
      @kippen.start_again if target == "start"
      found = nil
      @kippen.wait_until { @kippen.well? && (found = look_once) }
      found[0] && "#{number} (#{target}): #{found[0]}"
    end

    # [what is wrong, or nil]; nil where it does not answer yet.
    def look_once
      [look]
    rescue SystemCallError, IOError, NoMethodError, TypeError
      nil
    end

    # One save after another, each on the newest revision as it is told.
    def save_on
      inside = @kippen.visitor.sign_in
      @client ||= inside.get("/api/clients?search=bram")["clients"].first["id"]
      save_once(inside) while @saving
    rescue SystemCallError, IOError, NoMethodError, TypeError
      nil
    end

    def save_once(inside)
      newest = inside.get("/api/clients/#{@client}")["revision"]["number"]
      value = (VALUES - @sent[newest].last(1)).sample(random: @random)
      change = { "kind" => "timing", "button" => BUTTON, "setting" => "long_press_ms", "value" => value }
      @sent[newest + 1] << value
      answer = inside.post("/api/clients/#{@client}/revisions", "opened_on" => newest, "change" => change)
      @acknowledged << JSON.parse(answer.body)["revision"]["number"] if answer.code == "201"
    end

    def look
      inside = @kippen.visitor.sign_in
      newest = inside.get("/api/clients/#{@client}")["revision"]["number"]
      return "revision #{@acknowledged.last} was acknowledged, the newest is #{newest}" if newest < @acknowledged.last
      return if newest == 1
      return "revision #{newest} was sent by nobody" if @sent[newest].empty?

      kept = inside.get("/api/clients/#{@client}/fitting").dig("button_timing", BUTTON, "long_press_ms")
      # What was on its way may have come in between.
      return look unless inside.get("/api/clients/#{@client}")["revision"]["number"] == newest

      "revision #{newest} has #{kept}, #{@sent[newest].join(" or ")} was sent" unless @sent[newest].include?(kept)
    end
  end
end
