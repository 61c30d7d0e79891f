# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # Which modes a client comes into and out of, walked through; what a press does where, and what never comes about.
  class ReachModesTest < CoreTest
    include KindsData

    NEXT = { "kind" => "app", "app" => "rookery", "command" => "next-page" }.freeze
    HELP = { "kind" => "help" }.freeze
    LOCK = { "kind" => "mode", "mode" => "reading", "how" => "lock" }.freeze
    CLEAR = { "kind" => "mode", "how" => "clear" }.freeze
    BACK = "mouse/back"
    FORWARD = "mouse/forward"

    def desk(assignments, otherwise: "base", places: [])
      buttons = %w[left back forward].map { |id| { "id" => id, "name" => id.capitalize } }
      bare("devices" => [{ "id" => "mouse", "name" => "Mouse", "host" => "desk", "buttons" => buttons }], "places" => places,
           "assignments" => assignments,
           "modes" => [{ "id" => "reading", "name" => "Reading", "otherwise" => otherwise },
                       { "id" => "bells", "name" => "Bells" }])
    end

    def on(button, gesture, action, **more)
      { "button" => button, "gesture" => gesture, "action" => action }.merge(more.transform_keys(&:to_s))
    end

    def traps(fitting) = Reach::NoWayBack.new(fitting, KNOWLEDGE).findings
    def told(fitting) = traps(fitting).map(&:what)

    def test_the_press_that_locks_a_mode_ends_it_where_the_mode_lets_it
      assert_empty traps(desk([on(BACK, "tap", LOCK)]))
      walk = Reach::ModeWalk.new(desk([on(BACK, "tap", LOCK)]), bare.host("desk"))
      ways = [walk.ways_in("reading"), walk.ways_out("reading")].map do |steps|
        steps.map { |step| [step.from, step.assignment.button, step.to.effective] }
      end
      assert_equal [[["base", BACK, "reading"]], [["reading", BACK, "base"]]], ways
    end

    def test_a_mode_that_nothing_ends_is_found_by_walking_and_the_same_press_puts_it_right
      { "nothing" => [], "builtin" => [], "base" => [on(BACK, "tap", HELP, mode: "reading")] }.each do |otherwise, more|
        fitting = desk([on(BACK, "tap", LOCK), *more], otherwise:)
        assert_equal ["Reading has no way back wherever the client is: once it is on, no button ends it."], told(fitting),
                     otherwise
        fixed = Changes.make(fitting, Changes.read(traps(fitting).first.fixes.first.change), knowledge: KNOWLEDGE, by: nil,
                                                                                             at: nil).fitting
        assert_empty traps(fixed), otherwise
      end
    end

    def test_an_assignment_that_only_looks_like_a_way_back_is_none
      # It stands in a mode that can't be come into from there; or is switched off; or another covers it.
      [on(FORWARD, "tap", CLEAR, mode: "bells"), on(FORWARD, "tap", CLEAR, mode: "reading", off: true)].each do |no_way|
        assert_equal 1, traps(desk([on(BACK, "tap", LOCK), no_way], otherwise: "nothing")).size
      end
      # Through another mode it is one.
      round = [on(BACK, "tap", LOCK),
               on(FORWARD, "hold", { "kind" => "mode", "mode" => "bells", "how" => "held" }, mode: "reading"),
               on(BACK, "tap", CLEAR, mode: "bells")]
      assert_empty traps(desk(round, otherwise: "nothing"))
    end

    def test_a_latch_lets_go_by_itself_and_a_second_one_locks
      latch = LOCK.merge("how" => "latch")
      assert_empty traps(desk([on(BACK, "tap", latch)], otherwise: "nothing"))
      twice = desk([on(BACK, "tap", latch), on(BACK, "tap", latch, mode: "reading")], otherwise: "nothing")
      assert_equal [], traps(twice), "locked by the second press, ended by the third: it is the mode that is locked already"
    end

    def test_a_way_back_that_an_app_covers_is_missing_in_that_app
      places = [{ "id" => "rookery", "name" => "Rookery", "app" => "rookery" }]
      fitting = desk([on(BACK, "tap", LOCK), on(FORWARD, "tap", CLEAR, mode: "reading"),
                      on(FORWARD, "tap", NEXT, mode: "reading", place: "rookery")],
                     otherwise: "nothing", places:)
      assert_equal ["Reading has no way back in Rookery: once it is on, no button ends it."], told(fitting)
      assert_equal "rookery", traps(fitting).first.fixes.first.change["place"]
      assert_empty Reach::NoWayBack.new(fitting, KNOWLEDGE).new_since(fitting)
      assert_equal 1, Reach::NoWayBack.new(fitting, KNOWLEDGE).new_since(desk([])).size
    end

    # The walk against the engine: random presses from base never end in a mode that it said nobody comes into.
    def test_random_presses_come_into_no_mode_that_the_walk_does_not_know
      random = Random.new(12)
      20.times do
        actions = [LOCK, LOCK.merge("how" => "latch"), LOCK.merge("mode" => "bells"), CLEAR, HELP]
        rows = [BACK, FORWARD].product(%w[tap double_tap], %w[base reading bells]).map do |button, gesture, mode|
          on(button, gesture, actions[random.rand(actions.size)], mode:) if random.rand(2).zero?
        end
        fitting = desk(rows.compact, otherwise: %w[base builtin nothing][random.rand(3)])
        stuck = traps(fitting).map { |trap| trap.where["mode"] }
        pressed(fitting, random).each do |mode|
          assert_includes [*Reach::WaysIn.of(fitting).modes("desk")], mode
        end
        stuck.each { |mode| refute came_back?(fitting, mode, random), "#{rows.compact}: #{mode} was left" }
      end
    end

    # Modes that were on while random presses were made.
    def pressed(fitting, random)
      presses(fitting, Array.new(40) { [BACK, FORWARD][random.rand(2)] }, random).filter_map(&:mode).uniq
    end

    def presses(fitting, buttons, random)
      time = 0
      rows = buttons.flat_map do |button|
        time += random.rand(2).zero? ? 200_000 : 900_000
        [[time, [:down, fitting.button(button).index, nil]],
         [time + 80_000, [:up, fitting.button(button).index, nil]]].tap { time += 80_000 }
      end
      Press::Replay.run(fitting, rows + [[time + 5_000_000, [:end, nil, nil]]])
    end

    # Does any of many random walks come to base again once a mode was locked from base?
    def came_back?(fitting, mode, random)
      rows = presses(fitting, Array.new(120) { [BACK, FORWARD][random.rand(2)] }, random)
      locked = rows.index { |row| row.mode == mode && row.action != LOCK.merge("how" => "latch") }
      return false unless locked && rows[locked..].first(2).map(&:mode) == [mode, mode]

      rows[(locked + 2)..].any? { |row| row.mode == "base" }
    end

    def test_what_can_never_come_about_is_found_with_its_reason
      places = [{ "id" => "rookery", "name" => "Rookery", "app" => "rookery" },
                { "id" => "log", "name" => "Log", "app" => "tidebook", "off" => true }]
      fitting = desk([on(BACK, "tap", NEXT, mode: "bells"), on(BACK, "tap", HELP, place: "log"), on(BACK, "tap", NEXT),
                      on(FORWARD, "hold", HELP, place: "rookery"),
                      on(FORWARD, "long_press", NEXT)], places:)
      never = Reach::NeverHappens.new(fitting, KNOWLEDGE.of(fitting)).findings
      assert_equal(["Mouse, Back, tap, mode Bells can never happen: nothing takes the mode Bells.",
                    "Mouse, Back, tap, in Log can never happen: Log is switched off."],
                   never.map(&:what))
      assert_equal([["never", "look", { "button" => BACK, "gesture" => "tap", "place" => "everywhere", "mode" => "bells" }],
                    ["never", "look", { "button" => BACK, "gesture" => "tap", "place" => "log", "mode" => "base" }]],
                   never.map do |one|
                     [one.id, one.bad, one.where]
                   end)
    end

    def test_an_answer_tells_what_was_looked_at_in_the_resolvers_order
      places = [{ "id" => "rookery", "name" => "Rookery", "app" => "rookery" },
                { "id" => "margin", "name" => "Rookery, margin", "app" => "rookery", "part" => "margin", "off" => true }]
      fitting = desk([on(BACK, "tap", NEXT, place: "rookery"), on(BACK, "tap", HELP, place: "margin"), on(BACK, "tap", HELP)],
                     places:)
      answer = Reach::Answer.new(fitting, KNOWLEDGE.of(fitting), fitting.button(BACK), where: "rookery/margin",
                                                                                       mode: "reading").all
      assert_equal ["Next page"], answer.map(&:name)
      assert_equal ["Looked for, in this order: Reading in Rookery, margin, Reading in Rookery, Reading everywhere have none; " \
                    "as usual in Rookery, margin has one that is switched off; as usual in Rookery has one."], answer.first.why
      nothing = Reach::Answer.new(fitting, KNOWLEDGE.of(fitting), fitting.button("mouse/left"), where: "", mode: "base").all
      assert_equal [["Nothing is assigned: the button does what it does by itself."]], nothing.map(&:why)
    end

    # At every spot, in every mode: the answer is what the resolver has.
    def test_answers_agree_with_the_resolver_everywhere
      places = [{ "id" => "rookery", "app" => "rookery" }, { "id" => "margin", "app" => "rookery", "part" => "margin" },
                { "id" => "log", "app" => "tidebook", "off" => true }]
      random = Random.new(7)
      rows = [BACK, FORWARD].product(%w[tap double_tap long_press], %w[base reading], %w[everywhere rookery margin log])
        .select { random.rand(2).zero? }.map do |button, gesture, mode, place|
          on(button, gesture, random.rand(2).zero? ? NEXT : HELP, mode:, place:)
        end
      fitting = desk(rows, places:)
      ["", "rookery", "rookery/margin", "rookery/elsewhere", "tidebook"].product(%w[base reading], [BACK, FORWARD])
        .each do |where, mode, ref|
        choice = Press::Resolver.of(fitting).choice(fitting.button(ref), mode, Press::Resolver.of(fitting).spot(where))
        expected = [choice.tap, choice.double_tap, choice.triple_tap, choice.long].compact.to_h do |one|
          [one.gesture, one.action]
        end
        answer = Reach::Answer.new(fitting, KNOWLEDGE.of(fitting), fitting.button(ref), where:, mode:).all
        assert_equal expected, answer.select(&:action).to_h { |one| [one.gesture, one.action] }, "#{where}, #{mode}, #{ref}"
      end
    end
  end
end
