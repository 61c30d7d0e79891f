# frozen_string_literal: true

require_relative "helper"

module Kippen
  # What is said, and said in other words.
  class WordsTest < Minitest::Test
    def teardown = Words.in_english

    def faults(sentences)
      assert_raises(Invalid) { Words.speak("nl", sentences) }.faults.map { |fault| [fault.where, fault.message] }
    end

    def test_another_language_says_what_it_has_by_its_own_plurals_and_the_rest_in_english
      few = { "one" => "%{count} tryb", "few" => "%{count} tryby", "many" => "%{count} trybów", "other" => "%{count} trybu" }
      Words.speak("pl", { "more_modes" => few, "gesture_tap" => "stuknięcie", "gone_since" => "passed over" })

      assert_equal(["1 tryb", "3 tryby", "5 trybów", "22 tryby"], [1, 3, 5, 22].map { |count| Words.say(:more_modes, count:) })
      assert_equal(%w[stuknięcie long-press], %w[tap long_press].map { |gesture| Words.gesture(gesture) })
    end

    def test_what_is_counted_may_have_another_name
      Words.speak("pl", { "more_steps" => { "few" => "%{system}: %{most} kroki", "other" => "%{system}: %{most} kroków" } })

      said = [3, 5].map { |most| Words.say(:more_steps, system: "tv", most:, count: 9) }
      assert_equal ["tv: 3 kroki", "tv: 5 kroków"], said
    end

    def test_what_cannot_be_filled_in_is_refused_all_of_it_at_once
      assert_equal [["/closed", "has no part duration; it may have: length"],
                    ["/notch", "has a % that stands for nothing: a plain one is written twice"],
                    ["/more_modes",
                     "must be text, or an object of texts by form (zero, one, two, few, many, other), other among them"]],
                   faults("closed" => "Dicht: %{duration} ms.", "more_modes" => { "one" => "een" }, "notch" => "Eén stap, 5 %")
      assert_equal "One step of the wheel.", Words.say(:notch)
    end

    def test_every_sentence_can_be_said_for_every_number
      given = Hash.new { |_, name| name.to_s }
      Words::ENGLISH.each do |key, sentence|
        next assert_kind_of(String, sentence, key) unless sentence.is_a?(Hash)

        by = sentence.fetch(:by, :count)
        [0, 1, 2].each do |number|
          parts = Words::InOtherWords.parts(sentence).to_h { |name| [name.to_sym, given[name]] }.merge(by => number)
          assert_kind_of String, Words.say(key, **parts)
        end
        assert_equal %i[one other], sentence.except(:by).keys, key
      end
    end

    def test_lists
      assert_equal ["", "a", "a and b", "a, b and c", "a, b or c"],
                   [[], %w[a], %w[a b], %w[a b c]].map { |words| Words.list(words) } << Words.list(%w[a b c], either: true)
    end
  end
end
