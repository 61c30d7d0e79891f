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
        between(newest, opened, others, meant, made) unless meant.is_a?(Invalid) && made.is_a?(Invalid)
        made.is_a?(Invalid) ? raise(made) : made
      end

      def self.attempt
        yield
      rescue Invalid => e
        e
      end

      def self.between(newest, opened, others, meant, made)
        # They did the same: nothing of theirs is changed by it.
        return if made.is_a?(Finish::Result) && made.touched.empty?

        results = [meant, made].grep(Finish::Result)
        theirs = changed_by(others, opened.document, newest.document)
        met = theirs.select { |address| results.any? { |result| result.touched.each_key.any? { |own| overlap?(own, address) } } }
        # What was possible and is no more was made so by them, whatever it is.
        met = theirs if met.empty? && made.is_a?(Invalid)
        return if met.empty?

        told = Changes::Differences.new(opened, newest, results.first.knowledge).words(only: met)
        raise new(results.first.words, told)
      end

      # Addresses that others changed, and that differ still.
      def self.changed_by(others, opened, newest)
        still = Addresses.changed(opened, newest).keys
        touched = others.flat_map { |before, after| Addresses.changed(before.document, after.document).keys }.uniq
        still.select { |address| touched.any? { |one| overlap?(one, address) } }
      end

      # The same, or one within the other.
      def self.overlap?(one, other)
        shorter, longer = [one, other].sort_by(&:size)
        longer.first(shorter.size) == shorter
      end
      private_class_method :attempt, :between, :changed_by, :overlap?
    end
  end
end
