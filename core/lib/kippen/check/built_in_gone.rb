# frozen_string_literal: true

module Kippen
  module Check
    # What people need and a device of a host did by itself, and nothing on that host does any more. Where a kind doesn't know
    # what a button does, it isn't looked for.
    class BuiltInGone < Finder
      ID = "built_in_gone"
      ACTIONS = [{ "kind" => "system", "do" => "home" }, { "kind" => "system", "do" => "back" },
                 { "kind" => "volume", "direction" => "up" }, { "kind" => "volume", "direction" => "down" },
                 { "kind" => "system", "do" => "wake" }, { "kind" => "system", "do" => "unlock" }].freeze
      # Without them nothing else can be done.
      FIRST = %w[wake unlock].freeze
      CLICK = { "kind" => "click", "button" => "left" }.freeze
      # What the host makes of a button's own presses => as it is told, and what does it in one press.
      OWN = { "double_tap" => ["double_click", [CLICK.merge("times" => 2)]],
              "hold" => ["drag", [CLICK.merge("how" => "held"), CLICK.merge("how" => "lock")]] }.freeze

      def findings = @fitting.hosts.flat_map { |host| of_actions(host) + of_own(host) }

      def candidates(finding)
        host = @fitting.host(finding.where["host"])
        wanted = doing(finding.where["gesture"]) || [own(@fitting.button(finding.where["button"]))]
        back = OWN.values.map(&:first).include?(finding.where["gesture"]) ? [] : giving_back(finding.where["button"])
        [*back, *wanted.flat_map { |action| free_places(action, hosts: [host.id]) }]
      end

      private

      def own(button) = @case.data(button)["builtin_action"]
      def doing(gesture) = OWN.values.to_h[gesture]

      def of_actions(host)
        ACTIONS.filter_map do |action|
          button = @case.buttons_of(host).find { |one| own(one) == action } or next
          next if @case.ways(action, hosts: [host.id]).any?

          gone(host, button, "tap", button.builtin || action_name(action), bad: FIRST.include?(action["do"]) ? "serious" : "look")
        end
      end

      # A timing that makes it impossible is told as that.
      def of_own(host)
        OWN.filter_map do |gesture, (told, actions)|
          had = @case.buttons_of(host).filter_map { |button| doing_of(button, gesture)&.then { |one| [button, one] } }
          next if had.empty? || had.any? { |_, one| one.kept || one.by_timing }
          next if actions.any? { |action| @case.ways(action, hosts: [host.id]).any? }

          gone(host, had[0][0], told, had[0][1].words)
        end
      end

      def doing_of(button, gesture)
        OwnDoing.on(@fitting, @case.kinds, @case.lanes(button).first).find { |one| one.gesture == gesture }
      end

      def gone(host, button, gesture, builtin, bad: "look")
        found(bad, Words.say(:check_built_in_gone, builtin:, button: name(button), host: host_name(host)),
              where: { "host" => host.id, "button" => button.ref, "gesture" => gesture },
              rests_on: [itself(button), assigned(button.ref)])
      end
    end
  end
end
