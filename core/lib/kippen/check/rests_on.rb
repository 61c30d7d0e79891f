# frozen_string_literal: true

require "digest"

module Kippen
  module Check
    # What findings rest on: parts of a fitting, by JSON pointers (RFC 6901) whose steps are ids, see Changes::Slots; of the
    # assignments a button, for all of its.
    module RestsOn
      module_function

      # steps – a member, and ids
      def pointer(*steps) = steps.map { |step| "/#{step.gsub("~", "~0").gsub("/", "~1")}" }.join

      # A mark of what is there now: another where anything of it is another.
      def mark(fitting, pointers)
        parts = pointers.sort.map { |one| [one, at(fitting, steps(one))] }
        Digest::SHA256.hexdigest(InOrder.text(parts))[0, 16]
      end

      def steps(pointer) = pointer.split("/").drop(1).map { |step| step.gsub("~1", "/").gsub("~0", "~") }

      def at(fitting, steps)
        return Changes::Slots.at(fitting.document, steps) unless steps.first == "assignments"

        fitting.recall(:items_by_button) { fitting.list("assignments").group_by { |item| item["button"] } }[steps[1]]
      end

      private_class_method :steps, :at
    end
  end
end
