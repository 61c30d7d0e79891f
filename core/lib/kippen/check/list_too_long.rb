# frozen_string_literal: true

module Kippen
  module Check
    # A shortlist longer than its host shows.
    class ListTooLong < Finder
      ID = "list_too_long"

      def findings
        @fitting.shortlists.filter_map do |list|
          host = @fitting.host(list.host) or next
          most = @case.knowledge.host_kinds.at(host).most
          next if list.items.size <= most

          found("serious", Words.say(:check_list_too_long, name: list.name || list.id, host: host_name(host), most:,
                                                           count: list.items.size),
                where: { "host" => host.id, "shortlist" => list.id }, figures: { "lines" => list.items.size, "most" => most },
                rests_on: [RestsOn.pointer("shortlists", list.id), RestsOn.pointer("hosts", host.id)])
        end
      end

      def candidates(finding)
        item = @fitting.list("shortlists").find { |one| one["id"] == finding.where["shortlist"] }
        kept = item["items"].first(finding.figures["most"])
        [[Words.say(:fix_shorten, name: item["name"] || item["id"], count: item["items"].size - kept.size),
          { "kind" => "shortlist", "shortlist" => { "id" => item["id"], "items" => kept } }]]
      end
    end
  end
end
