# frozen_string_literal: true

require_relative "../changes/edit_fuzz"

module Kippen
  # Fittings that random changes have led to: whatever is found is found again, and each fix that is offered mends it and
  # brings nothing as bad. KIPPEN_FITTINGS – how many (bin/siege checks)
  class RandomFittingsTest < CoreTest
    include KindsData

    COUNT = Integer(ENV.fetch("KIPPEN_FITTINGS", "6"), 10)
    SEED = Integer(ENV.fetch("KIPPEN_SEED", "1"), 10)
    STEPS = 60
    # So many findings of each id are tried to mend.
    MENDED = 1

    def test_each
      mended = COUNT.times.sum { |index| of(SEED + index) }
      assert_operator mended, :>=, COUNT
    end

    # How many findings were mended.
    def of(seed)
      fuzz = EditFuzz.new(seed)
      STEPS.times { fuzz.step { |words| flunk "seed #{seed}: #{words}" } }
      fitting = fuzz.fitting
      result = Check.of(fitting, KNOWLEDGE)
      assert_equal result.plain, Check.of(Fitting.read(fitting.document), KNOWLEDGE).plain, "seed #{seed}"
      assert_equal result.findings.uniq { |one| [one.id, one.where] }, result.findings, "seed #{seed}: two of one"
      fixes = Check::Fixes.new(fitting, KNOWLEDGE, at: NOON)
      tried = result.findings.group_by(&:id).values.flat_map { |same| same.first(MENDED) }
      tried.count do |finding|
        @told = "seed #{seed}, #{finding.id}: #{finding.what}"
        mends?(fitting, result, finding, fixes.of(finding).first)
      end
    end

    def mends?(fitting, before, finding, fix)
      return false unless fix

      after = Changes.make(fitting, Changes.read(fix.change), knowledge: KNOWLEDGE, by: "Hollis", at: NOON).fitting
      found = Check.of(after, KNOWLEDGE).findings
      assert(found.none? { |one| one.same?(finding) }, @told)
      worse = found.select { |one| one.bad == "serious" || finding.bad == "look" }
        .reject { |one| before.findings.any? { |other| other.same?(one) } }
      assert_empty worse.map(&:what), @told
      true
    end
  end
end
