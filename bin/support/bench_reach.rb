# frozen_string_literal: true

require_relative "../../core/test/proposals/random_table"

# What can be got at, and what would help most, beside merely reading what it is worked out from.
class ReachBench
  WANTS = 500
  BUTTONS = 200
  # A table of some 400 slots for 30 wants.
  TABLE = { wants: 30, buttons: 200, hosts: 2, offers: 4 }.freeze

  def initialize(knowledge) = @knowledge = knowledge

  # seconds – says how long a block takes at least
  def map(seconds)
    document = fitting
    reading = seconds.call { Kippen::Fitting.read(document) }
    looking = seconds.call do
      Kippen::Reach::Overview.new(Kippen::Reach::Ways.new(Kippen::Fitting.read(document), @knowledge)).plain
    end
    puts format("reach, %<buttons>d buttons, %<wants>d wants: %<ratio>.2f of the time reading takes, which is %<reading>.0f ms",
                buttons: BUTTONS, wants: WANTS, ratio: (looking - reading) / reading, reading: reading * 1000)
  end

  # All numbers of changes. Says so where the solver's gem isn't there.
  def propose(seconds)
    require_relative "../../core/highs_solver"
    solver = Kippen::HighsSolver.new
    document = Kippen::RandomTable.new(5, **TABLE).document.merge("fixed" => [])
    slots = document["buttons"].sum { |one| one["offers"].flat_map { |offer| offer["gestures"].keys }.uniq.size }
    reading = seconds.call { Kippen::Proposals::Table.read(document) }
    nil
    answer = nil
    solving = seconds.call { answer = Kippen::Proposals::Answer.of(Kippen::Proposals::Table.read(document), solver) }
    puts format("propose, 30 wants, %<slots>d slots, %<steps>d numbers of changes: %<ratio>.0f times reading the table, which " \
                "is %<reading>.0f ms", slots:, steps: answer["frontier"].size, ratio: solving / reading, reading: reading * 1000)
  rescue LoadError
    puts "propose: the gem highs isn't here; bundle exec bin/bench reach"
  end

  private

  def fitting
    buttons = Array.new(BUTTONS) { |index| { "id" => "b#{index}" } }
    actions = Array.new(WANTS) { |index| { "kind" => "text", "text" => "t#{index}" } }
    spots = buttons.product(%w[tap double_tap long_press]).first(WANTS)
    assignments = spots.zip(actions).map do |(button, gesture), action|
      { "button" => "d/#{button["id"]}", "gesture" => gesture, "action" => action }
    end
    wants = actions.each_with_index.map do |action, index|
      { "id" => "w#{index}", "what" => "W#{index}", "times_a_day" => index % 20, "action" => action }
    end
    { "kippen" => "fitting/1", "devices" => [{ "id" => "d", "buttons" => buttons }], "assignments" => assignments,
      "wants" => wants }
  end
end
