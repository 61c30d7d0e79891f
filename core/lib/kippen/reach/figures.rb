# frozen_string_literal: true

module Kippen
  module Reach
    # What a day is counted with. All invented, and set by each service as it finds them:
    #   wrong_s – seconds that a wrong press costs, by a want's word for it; missing_s – a day without a way, by how much it is
    #   wanted; missing_second – of that, for a second way; second_share – of a first way's cost that a second one counts;
    #   change_s – what a change costs a day, so that none is made for nothing; lost_s – what a button did by itself and does no
    #   more is worth a day; rate – at least so many must come out as meant
    Figures = Struct.new(:wrong_s, :missing_s, :missing_second, :second_share, :change_s, :lost_s, :rate, keyword_init: true) do
      # others – some of it in place of what is usual: { "wrong_s" => { "serious" => 60 }, "rate" => 0.8 }. Raises Invalid.
      def self.from(others = {})
        faults = Faults.new
        usual = Figures::USUAL
        given = others.is_a?(Hash) ? others : {}
        (given.keys - usual.keys).each { |name| faults.add("/#{name}", Words.say(:not_known_here)) }
        parts = usual.to_h { |name, value| [name, read(name, value, given.fetch(name, value), faults)] }
        faults.raise_any
        new(**parts.transform_keys(&:to_sym)).freeze
      end

      def self.read(name, usual, given, faults)
        unless usual.is_a?(Hash)
          most = Figures::SHARES.include?(name) ? 1 : Figures::MOST
          return given if given.is_a?(Numeric) && given.real? && given.between?(0, most)

          faults.add("/#{name}", Words.say(:must_number, from: 0, to: most))
          return usual
        end

        return faults.add("/#{name}", Words.say(:must_be_an_object)) || usual unless given.is_a?(Hash)

        (given.keys - usual.keys).each { |word| faults.add("/#{name}/#{word}", Words.say(:not_known_here)) }
        usual.to_h { |word, value| [word, read("#{name}/#{word}", value, given.fetch(word, value), faults)] }
      end
      private_class_method :read

      def plain = to_h.transform_keys(&:to_s)
    end

    Figures::USUAL = {
      "wrong_s" => { "nothing" => 2, "nuisance" => 10, "serious" => 120, "dangerous" => 1800 },
      "missing_s" => { "must" => 14_400, "should" => 3600, "could" => 600 },
      "missing_second" => 0.1, "second_share" => 0.1, "change_s" => 30, "lost_s" => 60, "rate" => 0.9
    }.freeze
    Figures::SHARES = %w[missing_second second_share rate].freeze
    Figures::MOST = 100_000
  end
end
