# frozen_string_literal: true

module Kippen
  module Standins
    # What stands where on the screen of a stand-in host: invented, and simple enough to be pressed on.
    # Places in parts of a hundred of the screen.
    class Layout
      # key – names it; kind – "window", "part", "behind", "region", "start" or "locked"; rect – [left, top,
      # width, height]; where – as a host tells where it is; place – the id of the fitting's place, or nil
      Element = Struct.new(:key, :kind, :label, :rect, :where, :place, keyword_init: true) do
        def over?(pointer)
          left, top, width, height = rect
          pointer[0].between?(left, left + width) && pointer[1].between?(top, top + height)
        end
      end

      FRONT = [2, 3, 60, 94].freeze
      WHOLE = [2, 3, 96, 94].freeze
      SIDE = [64, 34].freeze
      # A row beside the front takes no more of the height than this.
      ROW = 22

      # open – ids of apps, the one in front first
      def initialize(fitting, knowledge, host, open:, locked:)
        @fitting = fitting
        @catalogue = knowledge.catalogue
        @host = host
        @open = open
        @locked = locked
        @side = %w[computer tablet].include?(host.system) || regions.any?
      end

      # [Element], what lies on top last.
      def elements
        if @locked
          return [Element.new(key: "locked", kind: "locked", label: Words.say(:screen_locked), rect: WHOLE, where: "",
                              place: nil)]
        end

        [*front, *beside]
      end

      # The Element under a point, or nil.
      def at(pointer) = elements.reverse.find { |one| one.kind != "start" && one.over?(pointer) }

      private

      def front
        app = @open.first or return []
        rect = @side ? FRONT : WHOLE
        parts = @fitting.places.select { |place| place.app == app && place.part }
        height = parts.empty? ? 0 : 70.0 / parts.size
        window = Element.new(key: "app:#{app}", kind: "window", label: @catalogue.app(app), rect:, where: app,
                             place: id(app, nil))
        [window, *parts.each_with_index.map do |place, index|
          Element.new(key: "part:#{place.id}", kind: "part", label: Words.place(@fitting, place.id),
                      where: "#{app}/#{place.part}", place: place.id,
                      rect: [rect[0] + 3, (20 + (index * height)).round, rect[2] - 6, (height - 3).round])
        end]
      end

      # Other apps that are open and regions, one below the other; and what can be opened, which stands nowhere.
      def beside
        rows = [*behind, *regions].first(8)
        height = [ROW, 94 / [rows.size, 1].max].min
        rows.each_with_index { |one, index| one.rect = [SIDE[0], 3 + (index * height), SIDE[1], height - 2] }
        [*rows, *startable]
      end

      def behind
        return [] unless @side

        @open.drop(1).map do |app|
          Element.new(key: "app:#{app}", kind: "behind", label: Words.say(:screen_behind, app: @catalogue.app(app)), where: app,
                      place: id(app, nil))
        end
      end

      def regions
        @fitting.places.select { |place| place.app == Fitting::SCREEN && place.part }.map do |place|
          Element.new(key: "region:#{place.id}", kind: "region", label: Words.place(@fitting, place.id),
                      where: "#{Fitting::SCREEN}/#{place.part}",
                      place: place.id)
        end
      end

      def startable
        apps = @fitting.apps.select do |app|
          app.hosts.include?(@host.system) && app.id != Fitting::SCREEN && !@open.include?(app.id)
        end
        apps.map do |app|
          Element.new(key: "start:#{app.id}", kind: "start", label: Words.say(:screen_open, app: app.name), where: "",
                      rect: [0, 0, 0, 0], place: nil)
        end
      end

      def id(app, part) = @fitting.places.find { |place| place.app == app && place.part == part }&.id
    end
  end
end
