# frozen_string_literal: true

module Kippen
  class Kinds
    # Getting a device ready: which steps there are for this one, on this host, in this
    # version, and how far each is.
    class Ready
      # state – "done" (ticked off by hand), "seen" (Kippen heard it itself), "open", or
      #         "later" (another step comes first)
      # needs – titles of the steps that come first and are still open
      # changed_from – the version it was done in, where it is open again since
      # can_see – may Kippen see for itself that it is done
      Step = Struct.new(:id, :title, :how, :see, :if_not, :part, :stops, :state, :needs, :by, :at, :changed_from, :can_see,
                        :becomes, keyword_init: true)
      # A press that was heard: button – its id within the device; held_us; at – a time in ISO 8601; stands_in – what
      # was pressed only stands for the button, and can't have been the button itself
      Contact = Struct.new(:button, :held_us, :at, :stands_in, keyword_init: true)

      attr_reader :steps

      # kind – a Kind or nil; host – the Fitting::Host; contacts – of this device, oldest first
      def initialize(kind, device, host, contacts: [])
        @device = device
        @contacts = contacts.select { |contact| device.version_at.nil? || contact.at >= device.version_at }
        asked = (kind ? kind.steps : []).select { |step| asked?(step, host.system) }
        @done = asked.to_h { |step| [step["id"], finished(step)] }
        @titles = asked.to_h { |step| [step["id"], step["title"]] }
        @ways = Ready.ways(asked)
        @steps = asked.reject { |step| otherwise_done?(step, asked) }.map { |step| step(step) }.freeze
      end

      # { what several steps of which one is enough are called => their ids }
      def self.ways(steps)
        steps.select { |step| step["one_of"] }.group_by { |step| step["one_of"] }.transform_values do |same|
          same.map { |step| step["id"] }
        end
      end

      def open = steps.reject { |step| %w[done seen].include?(step.state) }

      # What the device can't do yet, in words.
      def stops = open.filter_map(&:stops).uniq

      # a, b – versions such as "1.10"; returns -1, 0, 1. Numbers count as numbers.
      def self.compare(one, other)
        one, other = [one, other].map { |version| version.scan(/\d+/).map { |part| Integer(part, 10) } }
        length = [one.size, other.size].max
        (one + ([0] * (length - one.size))) <=> (other + ([0] * (length - other.size)))
      end

      private

      # A version nobody told may be any: then the step is asked for.
      def asked?(step, system)
        return false if step["hosts"] && !step["hosts"].include?(system)

        version = @device.version or return true
        return false if step["from_version"] && Ready.compare(version, step["from_version"]).negative?

        !step["before_version"] || Ready.compare(version, step["before_version"]).negative?
      end

      # [state, by, at, changed_from] of one step, whatever it needs.
      def finished(step)
        record = @device.ready[step["id"]]
        changed = record && step["again"] == "version" && record["version"] != @device.version
        return ["done", record["by"], record["at"], nil] if record && !changed

        heard = seen(step)
        return ["seen", nil, heard.at, nil] if heard

        ["open", nil, nil, changed ? record["version"] || Words.say(:unnamed_version) : nil]
      end

      def seen(step)
        check = step["check"] or return
        return @contacts.find { |contact| holds?(contact, check["held"]) } if check["held"]

        # One of two ways to start can't be told from hearing alone which it was.
        @contacts.first unless step["one_of"]
      end

      # Only the button itself can have done what holding it does.
      def holds?(contact, held)
        !contact.stands_in && contact.held_us.to_i >= held["ms"] * 1000 && contact.button == held["button"]
      end

      # id – of a step, or what several of which one is enough are called
      def finished?(id)
        (@ways[id] || [id]).any? { |step| %w[done seen].include?(@done.fetch(step, ["done"]).first) }
      end

      def title(id)
        @ways.key?(id) ? @ways[id].map { |way| @titles.fetch(way) }.join(Words.say(:one_or_other)) : @titles.fetch(id)
      end

      def otherwise_done?(step, asked)
        step["one_of"] && !finished?(step["id"]) && asked.any? do |other|
          other["one_of"] == step["one_of"] && finished?(other["id"])
        end
      end

      def step(step)
        state, by, at, changed_from = @done.fetch(step["id"])
        needs = step["needs"].reject { |id| finished?(id) }.map { |id| title(id) }
        state = "later" if state == "open" && needs.any?
        Step.new(**%w[id title how see if_not part stops becomes].to_h { |key| [key.to_sym, step[key]] },
                 state:, needs:, by:, at:, changed_from:, can_see: step.key?("check") && !step.key?("one_of")).freeze
      end
    end
  end
end
