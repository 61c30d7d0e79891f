# frozen_string_literal: true

module Kippen
  module Press
    # A fitting as an engine asks for it, of which only the timing is another.
    Timed = Struct.new(:fitting, :own) do
      def timing(_button) = own
      def hosts = fitting.hosts
      def buttons = fitting.buttons
      def follow = fitting.follow
      def mode(id) = fitting.mode(id)
    end
  end
end
