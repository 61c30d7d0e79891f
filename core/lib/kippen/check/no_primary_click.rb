# frozen_string_literal: true

module Kippen
  module Check
    # Nothing left-clicks on a host whose pointer can be moved; on one without a pointer, nothing chooses what is marked any
    # more, where something did.
    class NoPrimaryClick < Finder
      ID = "no_primary_click"
      CLICK = Reach::MainJob::ACTIONS.first

      def findings
        @fitting.hosts.filter_map do |host|
          pointer = pointer?(host)
          next if pointer ? clicks?(host) : chooses?(host)

          found("serious", Words.say(pointer ? :check_no_click : :check_no_choosing, host: host_name(host)),
                where: { "host" => host.id }, rests_on: [RestsOn.pointer("hosts", host.id)])
        end
      end

      def candidates(finding)
        host = @fitting.host(finding.where["host"])
        gone = taken(host)
        action = pointer?(host) ? CLICK : own(gone.first)
        [*gone.flat_map { |button| giving_back(button.ref) }, *(free_places(action, hosts: [host.id]) if action)].compact
      end

      private

      # A device that moves it, or an assignment that does.
      def pointer?(host)
        devices = @fitting.devices.select { |device| device.host == host.id && !device.off }
        devices.any? { |device| @case.kinds.of(device)&.points? } ||
          @case.winners.any? { |one| one.action["kind"] == "move" && @fitting.button(one.button).host == host.id }
      end

      # A finger on the screen clicks, whatever is set.
      def clicks?(host)
        ways = @case.ways(CLICK, hosts: [host.id], by_list: false)
        ways.any? { |way| way.gesture == "tap" && way.mode == Fitting::BASE } ||
          @case.buttons_of(host).any? { |button| @case.data(button)["clicks"] }
      end

      def chooses?(host) = taken(host).empty? || Reach::MainJob.new(@case.knowledge).buttons(@fitting, host).any?

      # Buttons whose own doing was the main job and that do something else now.
      def taken(host)
        jobs = Reach::MainJob::ACTIONS
        @case.buttons_of(host).select do |button|
          jobs.include?(own(button)) && Reach::MainJob.new(@case.knowledge).buttons(@fitting, host).none? { |one| one == button }
        end
      end

      def own(button) = button && @case.data(button)["builtin_action"]
    end
  end
end
