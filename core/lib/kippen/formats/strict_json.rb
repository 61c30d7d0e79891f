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
        raise Invalid.at("file", "has more than #{limit} bytes") if text.bytesize > limit

        text = text.dup.force_encoding(Encoding::UTF_8)
        raise Invalid.at("file", "is not valid UTF-8") unless text.valid_encoding?
        raise Invalid.at("file", "is empty") if text.strip.empty?

        plain(JSON.parse(text, object_class: OnceHash, allow_duplicate_key: false, max_nesting: Limits::JSON_DEPTH))
      rescue OnceHash::Twice => e
        raise Invalid.at("file", "key #{Faults.show(e.message)} stands twice in one object")
      rescue JSON::NestingError
        raise Invalid.at("file", "is nested deeper than #{Limits::JSON_DEPTH} levels")
      rescue JSON::ParserError => e
        twice = e.message[/duplicate key (".*?")/, 1]
        raise Invalid.at("file", "key #{twice} stands twice in one object") if twice

        raise Invalid.at("file", "is not JSON: #{first_line(e.message)}")
      end

      # Ordinary Hashes again; refuses what can't be held.
      def self.plain(value)
        case value
        when Hash then value.to_h { |key, item| [plain(key), plain(item)] }
        when String then value.valid_encoding? && !value.include?("\0") ? value : raise(Invalid.at("file", "has a character that can't be kept"))
        when Array then value.map { |item| plain(item) }
        when Float then value.finite? ? value : raise(Invalid.at("file", "has a number too large to hold"))
        else value
        end
      end

      def self.first_line(message)
        line = message.encode("UTF-8", invalid: :replace, undef: :replace).lines.first.to_s.strip
        line.sub(/\A\d+: /, "").slice(0, 120)
      end
      private_class_method :plain, :first_line
    end
  end
end
