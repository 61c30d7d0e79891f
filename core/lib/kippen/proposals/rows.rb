# frozen_string_literal: true

module Kippen
  module Proposals
    # The wants of a fitting as rows of a table: those with the same action on the same host are one.
    class Rows
      # wants – [Fitting::Want]; host – id; action – JSON object
      Row = Struct.new(:id, :wants, :host, :action, keyword_init: true)

      # ways – Reach::Ways
      def initialize(ways)
        @ways = ways
        @fitting = ways.fitting
        @catalogue = ways.case.catalogue
      end

      # [Row]; a want without an action, or that no host of its can do, is in none.
      def all
        @all ||= @fitting.wants.select { |want| want.action && host(want) }
          .group_by { |want| [host(want), @catalogue.plain(want.action)] }
          .map { |(host, _), wants| Row.new(id: wants[0].id, wants:, host:, action: wants[0].action).freeze }
      end

      # As a table has it. besides – seconds a day of the cheapest way that is no slot of the table, or nil
      def plain(row, besides, cant)
        figures = @ways.figures
        times = row.wants.sum { |want| Reach::Ways.times(want) }
        missing = row.wants.sum { |want| figures.missing_s.fetch(want.importance) }
        { "id" => row.id, "host" => row.host, "times" => times, "wrong_s" => wrong_s(row, times),
          "ways" => row.wants.any? { |want| two?(want) } ? 2 : 1, "missing_s" => [missing, besides].compact.min.round(6),
          "missing_second_s" => (missing * figures.missing_second).round(6),
          "cant" => cant.map { |button, gesture| { "button" => button, "gesture" => gesture } },
          "wants" => row.wants.map(&:id) }
      end

      private

      def two?(want) = want.second_way.nil? ? want.wrong == "dangerous" : want.second_way

      # The mean by times.
      def wrong_s(row, times)
        all = row.wants.sum { |want| Reach::Ways.times(want) * @ways.figures.wrong_s.fetch(want.wrong) }
        times.zero? ? @ways.figures.wrong_s.fetch(row.wants[0].wrong) : all.fdiv(times)
      end

      # Where it is done today; else the first of its hosts that can do it.
      def host(want)
        @hosts ||= {}
        @hosts[want.id] ||= @ways.of(want).first&.host || possible(want)
      end

      def possible(want)
        systems = @catalogue.hosts(want.action)
        hosts = @fitting.hosts.select { |host| want.hosts.empty? || want.hosts.include?(host.id) }
        hosts.find do |host|
          (systems.nil? || systems.include?(host.system)) && @fitting.buttons.any? do |one|
            one.host == host.id
          end
        end&.id
      end
    end
  end
end
