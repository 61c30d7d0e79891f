# frozen_string_literal: true

require "highs"

# What the gem doesn't ask of the library itself.
Highs::FFI.module_eval { extern "HighsInt Highs_getDoubleInfoValue(void* highs, char* info, double* value)" }

module Kippen
  # HiGHS, by the gem `highs`, as Proposals is given a solver: with the gap at zero and one thread, so that the same program
  # comes to the same end.
  class HighsSolver
    # What the gem calls what can't be.
    IMPOSSIBLE = %i[infeasible unbounded_or_infeasible].freeze

    # What is taken for a whole number.
    WHOLE = 1e-6

    # Returns a Proposals::Solved. Most often the program without whole numbers comes out whole by itself, which proves it; else
    # it is branched.
    def solve(program, seconds:)
      return Proposals::Solved.new(status: "impossible") if program.rows.any? { |row| row.weights.empty? && row.low.positive? }

      found = linear(program).solve(time_limit: seconds.to_f)
      return Proposals::Solved.new(status: "impossible") if IMPOSSIBLE.include?(found[:status])

      whole = found[:status] == :optimal && found[:col_value].all? { |value| (value - value.round).abs < WHOLE }
      whole && kept?(program, found[:col_value].map(&:round)) ? optimal(found) : branched(program, seconds)
    end

    private

    def optimal(found) = Proposals::Solved.new(status: "optimal", taken: found[:col_value].map(&:round), gap: 0)

    def branched(program, seconds)
      model = model(program)
      found = model.solve(time_limit: seconds.to_f)
      return Proposals::Solved.new(status: "impossible") if IMPOSSIBLE.include?(found[:status])

      values = found[:col_value].map(&:round)
      return Proposals::Solved.new(status: "stopped") unless kept?(program, values)

      found[:status] == :optimal ? optimal(found) : Proposals::Solved.new(status: "stopped", taken: values, gap: gap(model))
    end

    def linear(program) = one_thread(Highs.lp(**parts(program)))

    def model(program)
      model = one_thread(Highs.mip(**parts(program), integrality: [:integer] * program.columns.size))
      option(model, "mip_rel_gap", 0.0)
      option(model, "mip_abs_gap", 0.0)
      model
    end

    def one_thread(model)
      Highs::FFI.Highs_setIntOptionValue(model, +"threads", 1)
      model
    end

    def parts(program)
      columns = program.columns
      { sense: :minimize, col_cost: columns.map { |one| one.cost.to_f }, col_lower: [0.0] * columns.size,
        col_upper: [1.0] * columns.size, row_lower: program.rows.map { |row| bound(row.low) },
        row_upper: program.rows.map { |row| bound(row.high) }, a_format: :colwise, **by_column(program) }
    end

    def option(model, name, value) = Highs::FFI.Highs_setDoubleOptionValue(model, +name, value)
    def bound(value) = value.infinite? ? value.infinite? * 1e30 : value.to_f

    # The matrix column by column, as the solver takes it.
    def by_column(program)
      of = Array.new(program.columns.size) { [] }
      program.rows.each_with_index { |row, index| row.weights.each { |column, weight| of[column] << [index, weight.to_f] } }
      starts = of.map(&:size).inject([0]) { |all, size| all << (all.last + size) }
      { a_start: starts[0...-1], a_index: of.flatten(1).map(&:first), a_value: of.flatten(1).map(&:last) }
    end

    # Nothing is taken on trust: does what came out keep every row?
    def kept?(program, values)
      return false unless values.size == program.columns.size && values.all? { |value| [0, 1].include?(value) }

      program.rows.all? { |row| row.weights.sum { |column, weight| values[column] * weight }.between?(row.low, row.high) }
    end

    # How much less it might cost, as a share of it; nil where that isn't known either.
    def gap(model)
      room = Fiddle::Pointer.malloc(Fiddle::SIZEOF_DOUBLE, Fiddle::RUBY_FREE)
      Highs::FFI.Highs_getDoubleInfoValue(model, +"mip_gap", room)
      value = room[0, Fiddle::SIZEOF_DOUBLE].unpack1("d")
      value if value.finite?
    end
  end
end
