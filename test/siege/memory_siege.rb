# frozen_string_literal: true

require "json"
require_relative "own_kippen"

module Kippen
  # The largest that is taken in, asked in every way that reads it: no process keeps more than so much.
  class MemorySiege
    MOST_MB = 400
    DEVICES = 20
    # A file may have two megabytes.
    FITTING_BYTES = 1_990_000
    GESTURES = %w[tap double_tap triple_tap long_press].freeze
    TRIALS = 5_000
    BUTTON = "pocket-phone/edge"
    # Each thing is asked by so many at once.
    AT_ONCE = 3
    PATIENCE_S = 400

    def initialize(root, seed)
      @random = Random.new(seed)
      @kippen = OwnKippen.new(root, 20_000 + @random.rand(9_000))
      @most = Hash.new(0)
    end

    # Says what each process came to; true where none is too large.
    def run
      @kippen.start
      told("at first")
      @inside = @kippen.visitor.sign_in
      [[2_000, 0, 0], [1_000, 500, 40], [200, 1_000, 100]].cycle(2).each do |buttons, places, modes|
        large(buttons, places, modes)
      end
      fits
      puts "memory: #{@most.map { |name, mb| "#{name} #{mb} MB" }.join(", ")} at most of #{MOST_MB}"
      @most.values.all? { |mb| mb <= MOST_MB }
    ensure
      @kippen.end_all
    end

    private

    def large(buttons, places, modes)
      text = JSON.generate(fitting(buttons, places, modes))
      answer = ask(:post, "/api/clients", JSON.parse(text)) or return
      client = JSON.parse(answer.body)["id"]
      spot = "place=p0&mode=m0" if places.positive?
      %W[/ /lanes /lanes?#{spot} /where /wants /screens?host=h /actions /arrangements /settings?host=h /combinations?host=h
         /tuning /fitting
         /revisions /bench /found?words=help /everything /matches?from=d0&to=d1]
        .each { |path| together(client, path.delete_suffix("/")) }
      change = { "kind" => "assign", "button" => "d0/b0", "gesture" => "tap", "action" => { "kind" => "help" } }
      at_once { |index| other(index).post("/api/clients/#{client}/previews", "opened_on" => 1, "change" => change) }
      told("#{buttons} buttons, #{places} places, #{modes} modes, #{text.bytesize / 1000} kB")
    end

    def at_once = Array.new(AT_ONCE) { |index| Thread.new { yield index } }.each(&:join)

    # As many assignments as the file holds.
    def fitting(buttons, places, modes)
      devices = Array.new(DEVICES) do |device|
        { "id" => "d#{device}", "host" => "h", "buttons" => Array.new(buttons / DEVICES) { |index| { "id" => "b#{index}" } } }
      end
      document = { "kippen" => "fitting/1", "client" => { "name" => "A very large one" },
                   "hosts" => [{ "id" => "h", "system" => "computer" }],
                   "devices" => devices, "modes" => Array.new(modes) { |index| { "id" => "m#{index}" } },
                   "places" => Array.new(places) { |n| { "id" => "p#{n}", "app" => "rookery", "part" => "part-#{n}" } },
                   "wants" => Array.new(500) { |n| { "id" => "w#{n}", "what" => "Want #{n}", "action" => key(n) } } }
      room = FITTING_BYTES - JSON.generate(document).bytesize
      document.merge("assignments" => assignments(devices, document, room))
    end

    def assignments(devices, document, room)
      refs = devices.flat_map { |device| device["buttons"].map { |button| "#{device["id"]}/#{button["id"]}" } }
      spots = ["base", *document["modes"].map { |one| one["id"] }]
        .product(["everywhere", *document["places"].map { |one| one["id"] }])
      all = spots.lazy.flat_map do |mode, place|
        refs.product(GESTURES).map { |ref, gesture| assignment(ref, gesture, mode, place) }
      end
      all.take_while { |one| (room -= JSON.generate(one).bytesize + 1).positive? }.first(20_000)
    end

    def key(index) = { "kind" => "key", "what" => "F#{index}" }

    def assignment(ref, gesture, mode, place)
      { "button" => ref, "gesture" => gesture, "mode" => mode, "place" => place, "action" => { "kind" => "nothing" } }
    end

    # Of as many trials as are taken in; then of fewer with more touches each.
    def fits
      client = @inside.get("/api/clients?search=bram")["clients"].first["id"]
      [[TRIALS, 1], [600, 6]].each do |count, touches|
        file = { "kippen" => "trials/1", "button" => { "id" => BUTTON, "kind" => "contact" },
                 "offered" => GESTURES - %w[triple_tap],
                 "trials" => Array.new(count) { |index| trial(index, touches) } }
        answer = ask(:post, "/api/clients/#{client}/trials", "button" => BUTTON, "file" => file) or next
        fit(client, JSON.parse(answer.body)["id"])
        told("#{count} trials, #{JSON.generate(file).bytesize / 1000} kB")
      end
    end

    def trial(index, presses)
      at = 0
      edges = Array.new(presses) do
        [[at, "down"], [at += @random.rand(90_000..700_000), "up"]].tap { at += @random.rand(90_000..500_000) }
      end.flatten(1)
      { "intended" => %w[tap double_tap long_press][index % 3], "trace" => edges }
    end

    def fit(client, sitting)
      answer = ask(:post, "/api/clients/#{client}/fits", "button" => BUTTON, "sittings" => [sitting]) or return
      fit = JSON.parse(answer.body)["id"]
      patience = Time.now + PATIENCE_S
      sleep 1 until Time.now > patience || !%w[waiting working].include?((state = @inside.get("/api/fits/#{fit}"))["state"])
      puts "  the fit: #{state["state"]} #{state["error"]}"
      at_once { |index| other(index).post("/api/fits/#{fit}/along", "setting" => "long_press_ms", "timing" => {}) }
      together(client, "/trials?button=#{BUTTON}&sittings=#{sitting}")
      together(client, "/tuning")
    end

    def ask(verb, path, body)
      answer = @inside.public_send(verb, path, body)
      return answer if answer.code.start_with?("2")

      puts "  #{path}: #{answer.code} #{answer.body[0, 200]}"
    end

    def other(index) = (@others ||= Array.new(AT_ONCE) { @kippen.visitor.sign_in })[index]

    def together(client, path)
      other(0)
      Array.new(AT_ONCE) { |index| Thread.new { other(index).get("/api/clients/#{client}#{path}") } }.each(&:join)
    rescue SystemCallError, IOError, Net::ReadTimeout => e
      puts "  #{path}: #{e.class}"
    end

    def told(what)
      sizes = %w[server worker].to_h { |name| [name, processes(@kippen.pid(name)).map { |pid| size(pid) }.max] }
      sizes.each { |name, (now, _)| @most[name] = [@most[name], now].max }
      puts "#{what}: #{sizes.map { |name, (now, peak)| "#{name} #{now} MB (#{peak} at its most)" }.join(", ")}"
    end

    # It, and those that it shares its work with.
    def processes(pid)
      [pid, *Dir["/proc/[0-9]*/stat"].filter_map { |file| one_of(file, pid) }]
    end

    def one_of(file, parent)
      stat = File.read(file)
      Integer(file[/\d+/], 10) if stat[/\) \S (\d+)/, 1] == parent.to_s
    rescue SystemCallError
      nil
    end

    # In MB: what it keeps now, and what it had at its most.
    def size(pid)
      status = File.read("/proc/#{pid}/status")
      [status[/VmRSS:\s+(\d+)/, 1], status[/VmHWM:\s+(\d+)/, 1]].map { |kb| Integer(kb, 10) / 1000 }
    end
  end
end
