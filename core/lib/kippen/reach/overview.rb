# frozen_string_literal: true

module Kippen
  module Reach
    # The map of a client's wants and devices, what a day comes to, and roads that are too thin.
    class Overview
      # More presses than this of one part of the body is much (common practice, no source).
      MUCH = 0.5
      # id – "single", "unsure", "one_device" or "one_part"; want, device, part – what it is about; figures
      Thin = Struct.new(:id, :want, :device, :part, :figures, keyword_init: true)

      # ways – Ways
      def initialize(ways)
        @ways = ways
        @fitting = ways.fitting
      end

      # As JSON: see docs/reach.md.
      def plain
        { "wants" => @fitting.wants.map { |want| row(want) }, "day" => day, "devices" => devices }
      end

      # { "presses", "seconds", "wrong", "undone" – a day; "parts" – { part of the body => presses } }
      def day
        done = best.compact
        { "presses" => sum(done, &:presses), "seconds" => sum(done, &:seconds).round(1),
          "wrong" => sum(done) { |way| 1 - way.rate.right }.round(2), "cost_s" => done.values.sum(&:cost_s).round(1),
          "undone" => best.count { |_, way| way.nil? }, "parts" => parts }
      end

      # How much of the day's presses rests on each device, and which wants nothing else does.
      def devices
        total = presses.values.sum
        @fitting.devices.map do |device|
          alone = @fitting.wants.select do |want|
            (ways = @ways.of(want)).any? && ways.all? do |way|
              way.devices.include?(device.id)
            end
          end
          { "device" => device.id, "share" => total.zero? ? 0 : (presses[device.id].to_f / total).round(4),
            "alone" => alone.map(&:id) }
        end
      end

      # [Thin…]
      def thin = [*wants_on_thin_roads, *one_device, *one_part]

      private

      # { want => its cheapest Way or nil }
      def best = @best ||= @fitting.wants.to_h { |want| [want, @ways.of(want).first] }

      def row(want)
        ways = @ways.of(want)
        by_device = ways.group_by(&:device).transform_values(&:first)
        second = ways.find { |way| way.device != ways[0].device }
        missing = @fitting.devices.reject { |device| by_device.key?(device.id) }
        { "id" => want.id, "ways" => by_device.values.map(&:plain), "second" => second&.device,
          "none_because" => missing.map { |device| { "device" => device.id, "why" => @ways.none_because(want, device) } } }
      end

      # Over a day, what the block gives of a way.
      def sum(done) = done.sum { |want, way| yield(way) * Ways.times(want) }

      # { device => presses a day }
      def presses
        @presses ||= best.compact.each_with_object(Hash.new(0)) do |(want, way), all|
          way.steps.each { |step| all[step.button.device] += step.presses * Ways.times(want) }
        end
      end

      # What isn't said which part of the body works it is of none.
      def parts
        @parts ||= best.compact.each_with_object(Hash.new(0)) do |(want, way), all|
          way.steps.each { |step| (part = @fitting.worked_with(step.button)) && all[part] += step.presses * Ways.times(want) }
        end
      end

      def wants_on_thin_roads
        best.compact.flat_map do |want, way|
          next [] unless want.importance == "must" || want.wrong == "dangerous"

          single = if @ways.of(want).map(&:devices).uniq.one?
                     [Thin.new(id: "single", want: want.id, device: way.device,
                               figures: {})]
                   else
                     []
                   end
          [*single, *unsure(want, way)]
        end
      end

      def unsure(want, way)
        return [] if way.rate.right >= @ways.figures.rate

        [Thin.new(id: "unsure", want: want.id, device: way.device,
                  figures: { "right" => (way.rate.right * 100).round, "least" => (@ways.figures.rate * 100).round,
                             "of" => way.rate.n })]
      end

      # Everything that is done needs it, though there are others.
      def one_device
        done = best.compact
        return [] if done.size < 2 || @fitting.devices.reject(&:off).size < 2

        on_all = done.keys.map { |want| @ways.of(want).map(&:devices).reduce(:&) }.reduce(:&)
        on_all.first(1).map { |device| Thin.new(id: "one_device", device:, figures: { "wants" => done.size }) }
      end

      def one_part
        total = parts.values.sum
        return [] if parts.size < 2 || total.zero?

        part, presses = parts.max_by(&:last)
        return [] unless presses > total * MUCH

        [Thin.new(id: "one_part", part:, figures: { "presses" => presses, "of" => total })]
      end
    end
  end
end
