# frozen_string_literal: true

require_relative "helper"
require "open3"

module Kippen
  # The plural forms against those of ICU, as Node.js carries it: Unicode's CLDR, by Intl.PluralRules.
  class PluralsTest < ReferenceTest
    NUMBERS = [*0..130, 199, 200, 201, 202, 205, 211, 1000, 1001, 1002, 10_000, 1_000_000, 1_000_001, 2_000_000].freeze
    ASK = <<~JS
      const [languages, numbers] = JSON.parse(require("fs").readFileSync(0, "utf8"))
      const told = languages.map((one) => { const rules = new Intl.PluralRules(one); return [one, numbers.map((n) => rules.select(n))] })
      console.log(JSON.stringify(Object.fromEntries(told)))
    JS

    def test_each_language_and_one_that_has_no_forms
      languages = [*Words::Plurals::RULES.keys, "ja", "nl-BE", "pt-BR"]
      told, status = Open3.capture2("node", "-e", ASK, stdin_data: JSON.generate([languages, NUMBERS]))
      assert_predicate status, :success?

      JSON.parse(told).each do |language, forms|
        assert_equal forms, NUMBERS.map { |number| Words::Plurals.of(language).call(number).to_s }, language
      end
    end
  end
end
