# frozen_string_literal: true

require "json"

module Kippen
  module Formats
    # JSON (RFC 8259) read strictly: UTF-8 only, no key twice, numbers finite, no halves of characters
    # and no NUL, which can't be kept; size and depth limited. Raises Invalid naming the place.
    module StrictJson
      # A Hash that won't take a key twice while it is read: the json that Ruby 3.1 ships
      # fills it key by key. Newer ones look for doubles themselves (allow_duplicate_key).
      class OnceHash < Hash
        class Twice < StandardError; end

        def []=(key, value)
          raise Twice, key if key?(key)

          super
        end
      end

      # text – a String of at most +limit+ bytes. Returns Hashes, Arrays, Strings, numbers.
      def self.read(text, limit:)
        wrong(:has_more_than_bytes, limit:) if text.bytesize > limit

        text = text.dup.force_encoding(Encoding::UTF_8)
        wrong(:not_valid_utf) unless text.valid_encoding?
        wrong(:is_empty) if text.strip.empty?

        plain(JSON.parse(text, object_class: OnceHash, allow_duplicate_key: false, max_nesting: Limits::JSON_DEPTH))
      rescue OnceHash::Twice => e
        wrong(:key_stands_twice_one_object, what: Faults.show(e.message))
      rescue JSON::NestingError
        wrong(:nested_deeper_than_levels, depth: Limits::JSON_DEPTH)
      rescue JSON::ParserError => e
        twice = e.message[/duplicate key (".*?")/, 1]
        wrong(:key_stands_twice_one_object, what: twice) if twice

        wrong(:not_json, what: first_line(e.message))
      end

      def self.wrong(key, **parts) = raise(Invalid.at("file", Words.say(key, **parts)))

      # Ordinary Hashes again; refuses what can't be held.
      def self.plain(value)
        case value
        when Hash then value.to_h { |key, item| [plain(key), plain(item)] }
        when String then value.valid_encoding? && !value.include?("\0") ? value : wrong(:has_character_that_cant_kept)
        when Array then value.map { |item| plain(item) }
        when Float then value.finite? ? value : wrong(:has_number_too_large_hold)
        else value
        end
      end

      def self.first_line(message)
        line = message.encode("UTF-8", invalid: :replace, undef: :replace).lines.first.to_s.strip
        line.sub(/\A\d+: /, "").slice(0, 120)
      end
      private_class_method :wrong, :plain, :first_line
    end
  end
end
