# frozen_string_literal: true

require_relative "where"

module Kippen
  # What stories of tuning share: the worker, prompts answered by keys or by a stand-in hand. Hands are invented.
  module Tuning
    module Stories
      include Where

      SPREAD = ->(median, spread) { { "median" => median, "spread" => spread } }
      WORN = { "id" => "worn", "name" => "A steady hand on a worn switch", "press_ms" => SPREAD[110, 0.2],
               "long_ms" => SPREAD[1400, 0.2],
               "apart_ms" => SPREAD[150, 0.15],
               "restrike" => { "chance" => 0.5, "after_ms" => SPREAD[14, 0.25], "length_ms" => SPREAD[10, 0.3] } }.freeze
      WEAK = { "id" => "weak", "name" => "A weak hand", "press_ms" => SPREAD[180, 0.2], "long_ms" => SPREAD[1600, 0.2],
               "apart_ms" => SPREAD[220, 0.15],
               "drop_out" => { "per_second" => 2.5, "gap_ms" => SPREAD[25, 0.3] } }.freeze
      TREMOR = { "id" => "tremor", "name" => "A hand that trembles", "press_ms" => SPREAD[150, 0.4],
                 "long_ms" => SPREAD[950, 0.2],
                 "apart_ms" => SPREAD[170, 0.5],
                 "restrike" => { "chance" => 0.85, "after_ms" => SPREAD[170, 0.5], "length_ms" => SPREAD[150, 0.4] } }.freeze
      SLOW = { "id" => "slow", "name" => "A slow hand", "press_ms" => SPREAD[620, 0.1], "long_ms" => SPREAD[1500, 0.1],
               "apart_ms" => SPREAD[260, 0.2] }.freeze

      # A stand-in hand presses after its sitting's number: here always the same.
      def setup
        super
        SystemTest::DATABASE.run(<<~SQL)
          CREATE SEQUENCE IF NOT EXISTS told_sittings;
          ALTER SEQUENCE told_sittings RESTART;
          ALTER TABLE sittings ALTER id SET DEFAULT (lpad(to_hex(nextval('told_sittings')), 8, '0') || '-0000-4000-8000-000000000000')::uuid;
        SQL
      end

      # The jobs are done by a process of its own, as bin/start has it; it stays from story to story.
      def worker
        Stories.worker
      end

      # Where it is written down what each story touches, it ends with it.
      def teardown
        stop_worker("TERM") if ENV["RECORD"]
        super
      end

      # Ends it, as where it is killed.
      def stop_worker(signal) = Stories.end_worker(signal)

      class << self
        def worker
          Minitest.after_run { Process.kill("TERM", @worker) if @worker } unless defined?(@worker)
          env = { "DATABASE_URL" => ENV.fetch("DATABASE_URL"), "RUBYOPT" => ["--yjit", *(if ENV["RECORD"]
                                                                                           Record::RECORDED
                                                                                         end)].join(" ") }
          @worker ||= Process.spawn(env, RbConfig.ruby, File.join(Server::ROOT, "server", "jobs", "worker.rb"),
                                    %i[out err] => File::NULL)
        end

        def end_worker(signal)
          return unless @worker

          Process.kill(signal, @worker)
          Process.wait(@worker)
          @worker = nil
        end
      end

      def ask_for(*gestures)
        ["once", "twice", "three times", "keep down"].each do |one|
          box = find("fieldset label", exact_text: one).find("input", visible: :all)
          find("fieldset label", exact_text: one).click unless box.checked? == gestures.include?(one)
        end
        click_button sentence("tune.askForPresses")
        prompts { assert_text "Next press 1" }
      end

      def prompts(&) = within("section[aria-label='#{sentence("tune.prompts")}']", &)
      def prompt = prompts { find("strong[aria-live]").text }
      def asked = prompts { find("p", text: sentence("tune.nextPress")).text[/\d+/].to_i }

      def answered_by(name)
        pick("#{name} answers", from: "A stand-in hand")
      end

      # To a prompt or beyond, however long it takes, as long as it goes on.
      def reach_prompt(number)
        seen = 0
        while seen < number
          later = eventually { prompts { text[/Next press (\d+)/, 1].to_i }.then { |now| now > seen && now } }
          seen = later || flunk("it stays at prompt #{seen}")
        end
      end

      # It goes on until it is tired.
      def wait_for_hand = prompts { assert_text sentence("tune.noHand"), wait: 90 }

      def fitted = assert_text(sentence("tune.comeOut"), wait: 90)

      # What a stand-in hand is told to do where these are asked.
      DONE_BY = { "click" => "tap", "double_click" => "double_tap", "drag" => "long_press" }.freeze

      # So many presses of a stand-in hand, each sort in turn, always the same.
      def take_in(count, sorts, hand: TREMOR, slower: 1, button: SystemTest::EDGE)
        standing = Standins::Hand.new(hand, 3)
        items = Array.new(count) do |index|
          intended = sorts[index % sorts.size]
          rows = standing.play("contact", [DONE_BY.fetch(intended, intended)]).reject { |event| event.kind == "told" }
          { number: index, intended:, trace: rows.map { |event| [(event.time_us * slower).round, event.kind] } }
        end
        store = Server::Store::Sittings.new(SystemTest::DATABASE)
        store.begin_ended(@client, button:, way: "file", whose: "client", offered: sorts.uniq - %w[rest], author: "File") do |row|
          items.each { |item| store.add_trial(row, **item) }
        end[:id]
      end

      # In another browser.
      def there(&) = Capybara.using_session(:joined, &)

      def row_of(name) = find("tr", text: /\A#{name}/, match: :first)

      # Of the timings compared in full.
      def full_row_of(name)
        find("summary", text: "All timings compared").click unless page.has_selector?("details[open] caption", wait: 0)
        find("details[open] tr", text: /\A#{name}/)
      end

      def share_of(name) = row_of(name).find("td:nth-of-type(2)").text.to_i
      def timing = Server::Store::Revisions.new(SystemTest::DATABASE).head(@client).fitting
    end
  end
end
