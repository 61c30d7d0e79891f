# frozen_string_literal: true

require_relative "checking"

module Kippen
  # What somebody knows of and wants so, and when it is found again.
  class KnownTest < CoreTest
    include Checking

    WHY = "He counts along."

    def slow
      @slow ||= made(assign(desk, RIGHT, "double_tap", LOUDER), "timing", button: RIGHT, setting: "tap_gap_ms", value: 600)
    end

    def one(fitting, id, **heard) = found(fitting, id, **heard).first

    # Known as it is told now.
    def known(fitting, id, **heard)
      finding = one(fitting, id, **heard)
      made(fitting, "known", finding: id, where: finding.where, why: WHY, rested: rested(finding))
    end

    def rested(finding) = { "bad" => finding.bad, "figures" => finding.figures, "mark" => finding.mark }
    def because(fitting, id, **heard) = one(fitting, id, **heard).again&.fetch("because")

    def test_known_with_who_and_why_and_no_longer_counted
      counted = check(slow).counts
      wanted = known(slow, "late")
      finding = one(wanted, "late")
      assert_equal [{ "why" => WHY, "by" => "Hollis", "at" => NOON }, nil], [finding.known, finding.again]
      assert_equal({ "why" => WHY, "by" => "Hollis", "at" => NOON }, finding.checked["known"])
      assert_equal counted["look"] - 1, check(wanted).counts["look"]
      assert_equal ["Known and wanted: a wait longer than this client bears (He counts along.)."],
                   Changes::Differences.new(slow, wanted, KNOWLEDGE).words
      assert_nil one(wanted, "not_ready")&.known, "of the same kind or not, others are as they were"
    end

    def test_no_longer_known
      wanted = known(slow, "late")
      back = made(wanted, "not_known", finding: "late", where: { "button" => RIGHT })
      assert_equal [nil, nil], [one(back, "late").known, one(back, "late").again]
      assert_equal ["No longer known and wanted: a wait longer than this client bears."],
                   Changes::Differences.new(wanted, back, KNOWLEDGE).words
      assert_equal([["/change/finding", '"late" was not known and wanted']],
                   faults { made(back, "not_known", finding: "late", where: { "button" => RIGHT }) })
    end

    def test_found_again_where_what_it_rests_on_is_another
      wanted = known(slow, "late")
      assert_equal "changed", because(made(wanted, "timing", button: RIGHT, setting: "tap_gap_ms", value: 700), "late")
      assert_equal "changed", because(made(wanted, "bears", ms: 500), "late")
      assert_equal "changed", because(assign(wanted, RIGHT, "triple_tap", LOUDER), "late")
      # What it does not rest on changes nothing; and back again it is as it was known.
      assert_nil because(assign(wanted, "#{MOUSE}/middle", "long_press", LOUDER), "late")
      there = made(wanted, "bears", ms: 500)
      assert one(made(there, "bears", ms: nil), "late").known
    end

    # In whichever order a database keeps the members.
    def test_another_order_of_members_is_no_change
      turned = lambda do |value|
        case value
        when Hash then value.to_a.reverse.to_h { |name, item| [name, turned.call(item)] }
        when Array then value.map(&turned)
        else value
        end
      end
      assert one(Fitting.read(turned.call(known(slow, "late").document)), "late").known
    end

    def test_found_again_where_it_got_worse
      unsure = presses(7, 1)
      wanted = known(desk, "help_unreliable", trials: unsure)
      assert one(wanted, "help_unreliable", trials: unsure).known
      assert_equal "worse", because(wanted, "help_unreliable", trials: presses(7, 9))
    end

    # Not at each press; but once they were good enough in between.
    def test_found_again_where_its_figures_cross_the_line_again
      wanted = known(desk, "help_unreliable", trials: presses(7, 1))
      assert one(wanted, "help_unreliable", trials: presses(7, 2)).known
      assert one(wanted, "help_unreliable", trials: presses(7, 1, 1)).known
      assert_equal "crossed", because(wanted, "help_unreliable", trials: presses(7, 1, 12, 2))
    end

    def test_what_nobody_knew_and_is_known_now
      wanted = known(desk, "help_unreliable")
      assert one(wanted, "help_unreliable", trials: presses(2, 1)).known
      assert_equal "crossed", because(wanted, "help_unreliable", trials: presses(7, 1))
    end

    # counts – right, wrong, right … one after the other
    def presses(*counts)
      trials = counts.each_with_index.flat_map do |count, index|
        [{ "intended" => "long_press", "trace" => [[0, "down"], [index.even? ? 700_000 : 300_000, "up"]] }] * count
      end
      [Formats::TrialsJson.read(JSON.generate("kippen" => "trials/1", "button" => { "id" => RIGHT },
                                              "offered" => %w[tap long_press], "trials" => trials))]
    end

    def test_what_is_not_taken
      rested = rested(one(slow, "late"))
      given = { finding: "late", where: { "button" => RIGHT }, why: WHY, rested: }
      { { why: " " } => [["/change/why", "is missing"]],
        { finding: "later" } => [["/change/finding", 'nothing is looked for that is called "later"']],
        { rested: { "bad" => "bars", "figures" => {}, "mark" => "m" } } =>
          [["/known/0/rested/bad", 'is "bars", must be one of serious, look']],
        { where: { "button" => 1 } } =>
          [["/known/0/where", "must be an object of at most 12 numbers, words, true or false"]] }.each do |wrong, told|
        assert_equal told, faults { made(slow, "known", **given, **wrong) }, wrong.to_s
      end
      twice = known(slow, "late").document["known"] * 2
      assert_match(/used 2 times/, faults { amended(slow, "known" => twice) }[0][1])
    end

    # Two who know of different things are not in each other's way; of the same they are.
    def test_two_who_know_of_something
      wanted = known(slow, "late")
      other = one(slow, "help_unreliable")
      change = lambda do |finding, why|
        Changes.read("kind" => "known", "finding" => finding.id, "where" => finding.where, "why" => why,
                     "rested" => rested(finding))
      end
      make = lambda do |sent|
        Changes::Conflict.make(wanted, [sent], opened: slow, others: [[slow, wanted]], knowledge: KNOWLEDGE, by: "B", at: NOON)
      end
      assert_equal 2, make.call(change.call(other, "so")).fitting.known.size
      assert_raises(Changes::Conflict) { make.call(change.call(one(slow, "late"), "otherwise")) }
    end
  end
end
