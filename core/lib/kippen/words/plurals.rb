# frozen_string_literal: true

module Kippen
  module Words
    # Which form of a sentence goes with a whole number: the cardinal plural rules of Unicode CLDR 44 for numbers from 0 on,
    # of the languages whose rules are shared by many. One that isn't here has one form, "other".
    module Plurals
      ONE_OTHER = ->(n) { n == 1 ? :one : :other }
      ZERO_IS_ONE = ->(n) { n <= 1 ? :one : :other }
      FEW_TO_FOUR = ->(n) { { 1 => :one, 2 => :few, 3 => :few, 4 => :few }.fetch(n, :other) }
      BY_TENS = lambda do |n|
        few = (n % 10).between?(2, 4) && !(n % 100).between?(12, 14)
        few ? :few : :many
      end
      POLISH = ->(n) { n == 1 ? :one : BY_TENS.call(n) }
      EAST_SLAVIC = ->(n) { n % 10 == 1 && n % 100 != 11 ? :one : BY_TENS.call(n) }
      # Millions have a form of their own.
      ROMANCE = ->(n) { n == 1 ? :one : millions(n) }
      FRENCH = ->(n) { n <= 1 ? :one : millions(n) }
      ARABIC = lambda do |n|
        tens = n % 100
        next :few if tens.between?(3, 10)

        { 0 => :zero, 1 => :one, 2 => :two }.fetch(n) { tens > 10 ? :many : :other }
      end
      OTHER = ->(_) { :other }

      RULES = { ONE_OTHER => %w[en nl de sv da nb nn fi et el hu tr bg eu gl],
                ZERO_IS_ONE => %w[hi bn fa], FRENCH => %w[fr pt], ROMANCE => %w[it es ca],
                FEW_TO_FOUR => %w[cs sk], POLISH => %w[pl], EAST_SLAVIC => %w[ru uk], ARABIC => %w[ar] }
        .flat_map { |rule, languages| languages.map { |language| [language, rule] } }.to_h.freeze

      def self.millions(number) = number.positive? && (number % 1_000_000).zero? ? :many : :other

      # locale – "nl", "pt-BR"; returns ->(whole number) { :one … :other }
      def self.of(locale) = RULES.fetch(locale.to_s[/\A[a-z]+/].to_s, OTHER)
    end
  end
end
