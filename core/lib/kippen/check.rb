# frozen_string_literal: true

require_relative "check/case"
require_relative "check/finder"
require_relative "check/help"
require_relative "check/claimed"
require_relative "check/impossible"
require_relative "check/late"
require_relative "check/list_too_long"
require_relative "check/never"
require_relative "check/no_primary_click"
require_relative "check/no_way_back"
require_relative "check/not_ready"
require_relative "check/not_settable"
require_relative "check/print_differs"
require_relative "check/want_undone"
require_relative "check/way_around_taken"
require_relative "check/fixes"

module Kippen
  # What is wrong with a fitting before it hurts: asked of the engine, the resolver, the catalogue and the kinds, never
  # guessed from lists. One finding a file.
  module Check
    FINDERS = [NoPrimaryClick, NoHelp, NoWayBack, Impossible, Never, WantUndone, Claimed, WayAroundTaken, Late, PrintDiffers,
               ListTooLong, NotSettable, NotReady].freeze
    BAD = %w[serious look].freeze

    # findings – [Finding], the worst first, then by id and where; looked_for – ids of what was looked for, whether or not
    # it was found; what took too long is missing from it
    Result = Struct.new(:findings, :looked_for, keyword_init: true) do
      def counts = BAD.to_h { |bad| [bad, findings.count { |finding| finding.bad == bad }] }

      # As JSON values.
      def plain = { "findings" => findings.map(&:checked), "looked_for" => looked_for }
    end

    # knowledge – Knowledge; contacts – { device id => [Kinds::Ready::Contact] } of what was heard; deadline – how long all of it
    # may take. The same input gives the same Result.
    def self.of(fitting, knowledge, contacts: {}, deadline: Deadline::NEVER)
      asked = Case.new(fitting, knowledge, contacts:, deadline:)
      looked = FINDERS.filter_map { |finder| looked(finder, asked) }
      found = looked.flat_map(&:last).sort_by { |one| [BAD.index(one.bad), one.id, one.where.sort.to_s] }
      Result.new(findings: found.freeze, looked_for: looked.map(&:first).freeze).freeze
    end

    # [id, findings], or nil where it took too long.
    def self.looked(finder, asked)
      asked.deadline.check
      find = -> { finder.new(asked).findings.freeze }
      # What was heard is another from press to press; the rest is as long as the fitting is.
      kept = [:check, finder::ID, asked.knowledge.kinds.object_id]
      [finder::ID, finder.by_contacts? ? find.call : asked.fitting.recall(kept, &find)]
    rescue Deadline::Passed
      nil
    end
    private_class_method :looked
  end
end
