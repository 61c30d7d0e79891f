# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads what somebody put right about one device as a whole, in place of what its kind carries: each member may be
    # missing. gestures, modes – as in a kind; settable – by setting, null: any value
    module CorrectedDevice
      MEMBERS = %w[gestures settable modes by at].freeze

      module_function

      # item – of a device; faults are added. Returns the object as it stands, or nil where there is none or it can't be read.
      def read(item, pointer, faults)
        given = item["corrected"]
        return if given.nil?

        own = Faults.new
        check(given, "#{pointer}/corrected", own)
        own.to_a.each { |fault| faults.add(fault.where, fault.message) }
        given if own.to_a.empty?
      end

      def check(given, pointer, faults)
        return faults.add(pointer, Words.say(:must_be_an_object)) unless given.is_a?(Hash)

        Kinds::KindHost.new(faults).check_part(given, pointer)
        %w[by at].each do |key|
          unless words?(given[key])
            faults.add("#{pointer}/#{key}", Words.say(:must_be_text_from_to, needed: 0, characters: Limits::NAME_CHARACTERS))
          end
        end
      end

      def words?(value) = value.nil? || (value.is_a?(String) && value.length <= Limits::NAME_CHARACTERS)
      private_class_method :check, :words?
    end
  end
end
