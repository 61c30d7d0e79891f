# frozen_string_literal: true

require_relative "helper"

module Kippen
  # A press held just below and just above the boundary, with the browser's own time stamps,
  # decides as the engine does, whatever happens to the messages on their way.
  class BoundaryTimeTest < SystemTest
    # Wraps the page's fetch for bench messages.
    TRICKS = {
      "on time" => "",
      "delayed by 300 ms" => "await new Promise((done) => setTimeout(done, 300));",
      "sent twice" => "await send(request.clone());",
      "delayed by turns, so that they overtake each other" => "await new Promise((done) => setTimeout(done, (window.turn = " \
                                                              "!window.turn) ? 400 : 0));"
    }.freeze

    def play_tricks(trick)
      page.execute_script(<<~JS)
        const send = window.fetch.bind(window)
        window.fetch = async (request) => {
          if (request.url && request.url.endsWith("/messages")) { #{trick} }
          return send(request)
        }
      JS
    end

    # What the core says to the messages that the server has.
    def replayed
      fitting, = Server::Store::Revisions.new(DATABASE).fitting(@client)
      stream = Server::Store::Streams.new(DATABASE).latest(@client, 1).first
      messages = DATABASE[:messages].where(stream_id: stream[:id]).order(:time_us, :number)
        .select(:time_us, :source, :kind, :value).all
      last = messages.last[:time_us]
      events = Press::Events.new(fitting)
      heard = messages.reject { |message| message[:kind] == "told" }
      rows = heard.map { |message| [message[:time_us], events.read(*message.values_at(:source, :kind, :value))] }
      Press::Replay.run(fitting, [*rows, [last, [:end, nil, nil]]]).select { |outcome| outcome.phase == "fire" }.map(&:gesture)
    end

    TRICKS.each do |name, trick|
      define_method("test_499 and 501 ms around 500 ms, messages #{name}") do
        give_three_jobs
        open_desk
        bind_edge_to
        play_tricks(trick)
        listen
        press_key("F8", 0.499)
        press_key("F8", 0.501, at: moment(after: 0.6))

        assert_tiles "▬ long-press → Answer the call", "• tap → Wake the screen"
        bench { assert_text "Closed for 501 ms. Still down at 500 ms: a long-press." }
        assert_equal %w[tap long_press], replayed
      end
    end

    # The release is stamped before 500 ms, but the page hears of it only when 500 ms has been told.
    def test_a_told_time_that_overtakes_an_input_is_put_right
      give_three_jobs
      open_desk
      bind_edge_to
      listen
      began = moment
      key("keyDown", "F8", began)
      assert_text "long-press → Answer the call"
      key("keyUp", "F8", began + 0.4993)

      assert_tiles "• tap → Wake the screen"
      bench { assert_text sentence("bench.decidedAnewWas", was: "long-press → Answer the call") }
      assert_equal %w[tap], replayed
    end

    def test_the_server_away_for_a_while_loses_nothing
      give_three_jobs
      open_desk
      bind_edge_to
      listen
      play_tricks("if (window.away) throw new TypeError('no network');")
      page.execute_script("window.away = true")
      press_key("F8", 0.1)
      assert_text "Presses are kept and sent again."
      page.execute_script("window.away = false")

      assert_tiles "• tap → Wake the screen"
      assert_no_text "Presses are kept and sent again."
    end
  end
end
