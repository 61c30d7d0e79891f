# frozen_string_literal: true

module Kippen
  class HostKinds
    # What a service says of hosts of a sort, in the form of core/data/hosts.json, as far as it says anything:
    # { "kippen" => "hosts/1", "hosts" => [{ "system", "shortlist" => { "most" }, "steps" => { "most" }, "keeps" => [{ "keys",
    # "why" }] }…] }.
    # What else such a file has is kept and not asked.
    module Own
      EMPTY = { "kippen" => FORMAT, "hosts" => [].freeze }.freeze

      module_function

      # Adds every fault of a parsed JSON value, each where it stands.
      def check(data, faults, pointer)
        return faults.add(pointer, Words.say(:must_be_an_object)) unless data.is_a?(Hash)

        faults.add("#{pointer}/kippen", Words.say(:must_be, value: FORMAT)) unless data["kippen"] == FORMAT
        hosts = data["hosts"]
        return faults.add("#{pointer}/hosts", Words.say(:must_be_an_array)) unless hosts.is_a?(Array) && hosts.all?(Hash)

        hosts.each_with_index { |host, index| of_one(host, faults, "#{pointer}/hosts/#{index}") }
        twice = hosts.map { |host| host["system"] }.tally.select { |_, times| times > 1 }.keys
        twice.each { |system| faults.add("#{pointer}/hosts", Words.say(:id_used_times, id: system.inspect, what: 2)) }
      end

      # { system => what a Fitting::Host of it can be put right by, see Fitting::CorrectedHost }, of a document that is right.
      def by_system(data) = data["hosts"].to_h { |host| [host["system"], said(host)] }.reject { |_, said| said.empty? }

      def of_one(host, faults, pointer)
        systems = Fitting::ListReader::SYSTEMS
        unless systems.include?(host["system"])
          faults.add("#{pointer}/system",
                     Words.say(:must_be_one_of, value: Faults.show(host["system"]), values: systems.join(", ")))
        end
        %w[shortlist steps].each do |part|
          faults.add("#{pointer}/#{part}", Words.say(:must_be_an_object)) unless host[part].nil? || host[part].is_a?(Hash)
        end
        own = Faults.new
        Fitting::CorrectedHost.read({ "corrected" => said(host) }, "", own)
        own.to_a.each do |fault|
          faults.add("#{pointer}#{WHERE.fetch(fault.where) { fault.where.delete_prefix("/corrected") }}", fault.message)
        end
      end

      WHERE = { "/corrected/lines" => "/shortlist/most", "/corrected/steps" => "/steps/most" }.freeze

      def said(host)
        most = %w[shortlist steps].map { |part| host[part]["most"] if host[part].is_a?(Hash) }
        { "lines" => most[0], "steps" => most[1], "keeps" => host["keeps"] }.compact
      end
      private_class_method :of_one, :said
    end
  end
end
