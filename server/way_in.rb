# frozen_string_literal: true

require "fileutils"
require "socket"

module Kippen
  module Server
    # The way in for clients' own devices, besides loopback: asked for here, opened and closed by bin/start, which keeps
    # a second server there. The two speak by files in a folder: "wanted" holds an address, "open" address and port,
    # "failed" why it could not be opened. bin/start empties it when it starts: nothing stays open unasked.
    class WayIn
      # State: wanted, open, failed – texts or nil
      State = Struct.new(:wanted, :open, :failed, keyword_init: true)

      # It can't be opened from here, or not at that address.
      class Refused < Error; end

      # Do other machines reach this server as it is?
      attr_reader :reached

      # folder – nil where nobody keeps such a server
      def initialize(folder, reached: false, addresses: -> { Socket.ip_address_list })
        @folder = folder
        @reached = reached
        @addresses = addresses
      end

      # This machine's own IPv4 addresses in networks, private ones first; none where it can't be opened from here.
      def possible
        return [] unless @folder

        found = @addresses.call.select { |one| one.ipv4? && !one.ipv4_loopback? }
        found.partition(&:ipv4_private?).flatten.map(&:ip_address).uniq
      end

      # Raises Refused.
      def open(address)
        raise Refused, "it can't be opened from here: Kippen was not started by bin/start" unless @folder
        unless possible.include?(address)
          raise Refused, "#{Faults.show(address)} is not an address of this machine; it has #{possible.join(", ")}"
        end

        FileUtils.mkdir_p(@folder)
        FileUtils.rm_f(file("failed"))
        # Whole or not at all.
        File.write(file("wanted.new"), address)
        File.rename(file("wanted.new"), file("wanted"))
      end

      def close = @folder && FileUtils.rm_f([file("wanted"), file("failed")])

      def state
        return State.new unless @folder

        State.new(**State.members.to_h { |name| [name, read(name.to_s)] })
      end

      # Where a device can join: ["http://192.168.1.20:4310/join"], or none.
      def join_addresses = state.open.then { |open| open ? ["http://#{open}/join"] : [] }

      private

      def file(name) = File.join(@folder, name)

      def read(name)
        text = File.read(file(name)).strip
        text unless text.empty?
      rescue Errno::ENOENT
        nil
      end
    end
  end
end
