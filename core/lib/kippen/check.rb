# frozen_string_literal: true

require_relative "check/rests_on"
require_relative "check/known"
require_relative "check/presses"
require_relative "check/case"
require_relative "check/used_settings"
require_relative "check/finder"
require_relative "check/help"
require_relative "check/built_in_gone"
require_relative "check/help_unreliable"
require_relative "check/claimed"
require_relative "check/dangerous_press"
require_relative "check/guard_never_ends"
require_relative "check/impossible"
require_relative "check/late"
require_relative "check/list_too_long"
require_relative "check/never"
require_relative "check/no_primary_click"
require_relative "check/no_way_back"
require_relative "check/not_ready"
require_relative "check/not_settable"
require_relative "check/print_differs"
require_relative "check/thin_road"
require_relative "check/trials_old"
require_relative "check/want_undone"
require_relative "check/way_around_taken"
require_relative "check/fixes"

module Kippen
  # What is wrong with a fitting before it hurts: asked of the engine, the resolver, the catalogue and the kinds, never
  # guessed from lists. One finding a file.
  module Check
    FINDERS = [NoPrimaryClick, NoHelp, HelpUnreliable, DangerousPress, NoWayBack, Impossible, Never, WantUndone, BuiltInGone,
               Claimed, WayAroundTaken, Late, PrintDiffers, ListTooLong, NotSettable, GuardNeverEnds, NotReady,
               TrialsOld, ThinRoad].freeze
    BAD = %w[serious look].freeze

    # findings – [Finding], the worst first, then by id and where; looked_for – ids of what was looked for, whether or not
    # it was found; what took too long is missing from it
    Result = Struct.new(:findings, :looked_for, keyword_init: true) do
      # Of those that nobody wants so.
      def counts = BAD.to_h { |bad| [bad, findings.count { |finding| finding.bad == bad && !finding.known }] }

      # As JSON values.
      def plain = { "findings" => findings.map(&:checked), "looked_for" => looked_for }
    end

    # knowledge – Knowledge; trials – this client's presses: [Tuning::Series], one a button, or what gives them, see Presses
    # contacts – { device id => [Kinds::Ready::Contact] } of what was heard
    # figures – Reach::Figures; deadline – how long all of it may take. The same input gives the same Result.
    def self.of(fitting, knowledge, deadline: Deadline::NEVER, **heard)
      asked = Case.new(fitting, knowledge, **heard, deadline:)
      looked = FINDERS.filter_map { |finder| looked(finder, asked) }
      found = looked.flat_map(&:last).sort_by { |one| [BAD.index(one.bad), one.id, one.where.sort.to_s] }
      known = Known.new(asked)
      Result.new(findings: found.map { |one| known.told(one) }.freeze, looked_for: looked.map(&:first).freeze).freeze
    end

    # [id, findings], or nil where it took too long.
    def self.looked(finder, asked)
      asked.deadline.check
      find = -> { finder.new(asked).findings.freeze }
      # What was heard is another from press to press.
      kept = [:check, finder::ID, asked.knowledge.kinds.object_id]
      [finder::ID, finder.kept? ? asked.fitting.recall(kept, &find) : find.call]
    rescue Deadline::Passed
      nil
    end
    private_class_method :looked
  end
end
