# frozen_string_literal: true

module Kippen
  module Changes
    # Somebody else changed meanwhile what a change touches. mine, theirs – sentences of both sides.
    class Conflict < Error
      attr_reader :mine, :theirs

      def initialize(mine, theirs)
        @mine = mine
        @theirs = theirs
        super(Words.say(:what_this_touches_was_changed))
      end

      # Makes changes on the newest fitting that were thought of on an older one. opened – the Fitting
      # their form was opened on; others – [[Fitting before, after]…] of what others saved since.
      # What they changed elsewhere is kept. Returns a Finish::Result; raises Conflict, Invalid.
      def self.make(newest, changes, opened:, others:, **more)
        return Changes.make(newest, changes, **more) if others.empty?

        meant = attempt { Changes.make(opened, changes, **more) }
        made = attempt { Changes.make(newest, changes, **more) }
        Meanwhile.new(newest, opened, others).check(meant, made) unless meant.is_a?(Invalid) && made.is_a?(Invalid)
        made.is_a?(Invalid) ? raise(made) : made
      end

      def self.attempt
        yield
      rescue Invalid => e
        e
      end
      private_class_method :attempt

      # What others saved between the Fitting that a form was opened on and the newest.
      Meanwhile = Struct.new(:newest, :opened, :others) do
        # meant, made – what the changes came to on each: Finish::Result or Invalid. Raises Conflict.
        def check(meant, made)
          # They did the same: nothing of theirs is changed by it.
          return if made.is_a?(Finish::Result) && made.touched.empty?

          results = [meant, made].grep(Finish::Result)
          met = changed.select { |address| results.any? { |result| touches?(result, address) } }
          # What was possible and is no more was made so by them, whatever it is.
          met = changed if met.empty? && made.is_a?(Invalid)
          return if met.empty?

          told = Differences.new(opened, newest, results.first.knowledge).words(only: met)
          raise Conflict.new(results.first.words, told)
        end

        private

        # Addresses that others changed, and that differ still.
        def changed
          @changed ||= begin
            touched = others.flat_map { |before, after| Addresses.changed(before.document, after.document).keys }.uniq
            still = Addresses.changed(opened.document, newest.document).keys
            still.select { |address| touched.any? { |one| overlap?(one, address) } }
          end
        end

        def touches?(result, address) = result.touched.each_key.any? { |own| overlap?(own, address) }

        # The same, or one within the other.
        def overlap?(one, other)
          shorter, longer = [one, other].sort_by(&:size)
          longer.first(shorter.size) == shorter
        end
      end
      private_constant :Meanwhile
    end
  end
end
