# frozen_string_literal: true

module Kippen
  module Server
    # From where somebody asks: the address of the connection. A proxy that is configured (KIPPEN_PROXY, its
    # address) says for whom it asks; nobody else is believed.
    module Address
      PROXY = ENV["KIPPEN_PROXY"].to_s.then { |address| address.empty? ? nil : address }.freeze

      # proxy – the one that is believed, or nil
      def self.of(env, proxy: PROXY)
        connection = env["REMOTE_ADDR"].to_s
        return connection unless proxy && connection == proxy

        # What the proxy itself has added stands last.
        env["HTTP_X_FORWARDED_FOR"].to_s.split(",").last&.strip || connection
      end
    end
  end
end
