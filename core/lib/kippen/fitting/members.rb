# frozen_string_literal: true

module Kippen
  class Fitting
    # Reads single members of an object while a fitting is read. Needs @faults.
    module Members
      private

      # One of a few words, or the default; a wrong one is told and the default returned.
      def choice(item, key, allowed, pointer, default: nil)
        value = item.fetch(key, default)
        return value if allowed.include?(value)

        @faults.add("#{pointer}/#{key}", Words.say(:must_be_one_of, value: Faults.show(value), values: allowed.join(", "))) ||
          default
      end

      def flag(item, key, pointer)
        value = item.fetch(key, false)
        return value if [true, false].include?(value)

        @faults.add("#{pointer}/#{key}", Words.say(:must_be_true_or_false, value: Faults.show(value)))
      end

      # One of what the fitting itself declares.
      def one_of(item, key, known, pointer, default: nil)
        value = item.fetch(key, default)
        return value if value.is_a?(String) && known.include?(value)

        @faults.add("#{pointer}/#{key}", Words.say(:unknown_one, what: key, value: Faults.show(value)))
      end

      # Words for people, short; where they are needed, not empty.
      def words(item, key, pointer, needed: false)
        value = item[key]
        return value if value.nil? && !needed
        return value if value.is_a?(String) && value.length <= Limits::NAME_CHARACTERS && !(needed && value.strip.empty?)

        @faults.add("#{pointer}/#{key}",
                    Words.say(:must_be_text_from_to, needed: needed ? 1 : 0, characters: Limits::NAME_CHARACTERS))
      end

      # Tells ids that are used more than once among what was read.
      def unique(pointer, found)
        found.group_by(&:id).each do |id, same|
          @faults.add(pointer, Words.say(:id_used_times, id: id.inspect, what: same.size)) if same.size > 1
        end
      end

      # The objects of a list with their pointers: [[object, "/list/0"]…]
      def objects(holder, list, most, pointer = "", faults: @faults)
        items = holder.fetch(list, [])
        at = "#{pointer}/#{list}"
        return faults.add(at, Words.say(:must_be_an_array)) || [] unless items.is_a?(Array)
        return faults.add(at, Words.say(:has_items_most_are_taken, items: items.size, most: most)) || [] if items.size > most

        items.each_with_index.filter_map do |item, index|
          item.is_a?(Hash) ? [item, "#{at}/#{index}"] : faults.add("#{at}/#{index}", Words.say(:must_be_an_object))
        end
      end
    end
  end
end
