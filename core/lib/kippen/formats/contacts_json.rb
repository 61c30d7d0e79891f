# frozen_string_literal: true

module Kippen
  module Formats
    # What was heard of a client's devices: { "device id" => [{ "button", "held_us", "at", "stands_in" }…] }, oldest first.
    module ContactsJson
      MOST = 100_000

      # Returns { device id => [Kinds::Ready::Contact] }. Raises Invalid with every fault.
      def self.read(text)
        document = StrictJson.read(text, limit: Limits::FITTING_BYTES)
        raise Invalid.at("", Words.say(:must_be_an_object)) unless document.is_a?(Hash)

        faults = Faults.new
        read = document.to_h { |device, list| [device, contacts(list, "/#{device}", faults)] }
        faults.raise_any
        read
      end

      def self.contacts(list, pointer, faults)
        unless list.is_a?(Array) && list.size <= MOST
          faults.add(pointer, Words.say(:must_be_an_array))
          return []
        end
        list.each_with_index.filter_map { |item, index| contact(item, "#{pointer}/#{index}", faults) }
      end

      def self.contact(item, pointer, faults)
        return faults.add(pointer, Words.say(:must_be_an_object)) unless item.is_a?(Hash)

        button, held_us, at = item.values_at("button", "held_us", "at")
        { "button" => button, "at" => at }.each do |name, value|
          faults.add("#{pointer}/#{name}", Words.say(:must_be_text)) unless value.is_a?(String)
        end
        unless held_us.nil? || held_us.is_a?(Integer)
          faults.add("#{pointer}/held_us", Words.say(:must_be_a_number, value: Faults.show(held_us)))
        end
        Kinds::Ready::Contact.new(button:, held_us:, at:, stands_in: item["stands_in"] == true).freeze
      end
      private_class_method :contacts, :contact
    end
  end
end
