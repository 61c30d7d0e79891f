# frozen_string_literal: true

require_relative "../kinds_data"

module Kippen
  # A device may be used at any host that a cable or a radio reaches; where nobody can be sure, that is told. Which works
  # surely: common practice, no source.
  class AnywhereTest < CoreTest
    include KindsData

    EVERY = %w[computer tablet phone
               television].map { |system| { "id" => system, "name" => system.capitalize, "system" => system } }.freeze
    # What is its own host, or happens to one.
    BOUND = { "phone" => %w[phone], "phone-keys" => %w[phone], "tablet" => %w[tablet], "phone-itself" => %w[phone],
              "tablet-itself" => %w[tablet],
              "computer-itself" => %w[computer] }.freeze
    # Neither has a screen that a pen draws on.
    ELSEWHERE = { "pen" => %w[tablet computer phone], "drawing-tablet" => %w[tablet computer phone] }.freeze
    SURE = { "mouse-five" => %w[computer tablet], "gamepad" => %w[computer tablet], "keyboard" => %w[computer tablet phone],
             "grip" => %w[computer tablet],
             "stick" => %w[computer tablet], "sip-puff" => %w[computer tablet],
             "head-switch" => %w[computer tablet phone] }.freeze

    def desk = bare("hosts" => EVERY)

    def at?(kind, host)
      add(desk, kind, host:)
      true
    rescue Invalid
      false
    end

    def test_only_what_is_its_own_host_is_refused_anywhere
      KINDS.all.each do |kind|
        fits = BOUND[kind.id] || ELSEWHERE[kind.id] || EVERY.map { |host| host["id"] }
        there = EVERY.map { |host| host["id"] }.select { |host| at?(kind.id, host) }
        assert_equal fits.sort, there.sort, kind.id
      end
    end

    def test_where_it_is_not_sure_that_is_told_and_nowhere_else
      SURE.each do |kind, sure|
        told = EVERY.map { |host| host["id"] }.reject { |host| result(desk, "add_device", of: kind, host:).notes.empty? }
        assert_equal (EVERY.map { |host| host["id"] } - sure).sort, told.sort, kind
      end
      assert_equal ["Keyboard at a television: it isn't sure that it works. Only where the television has a socket or a radio " \
                    "for it: " \
                    "try one press before relying on it."], result(desk, "add_device", of: "keyboard", host: "television").notes
    end

    def test_what_moves_is_told_the_same_and_keeps_what_can_be_kept
      fitting = add(desk, "grip", host: "computer")
      grip = fitting.devices.first.id
      fitting = made(fitting, "assign", button: "#{grip}/squeeze", gesture: "hold", action: { "kind" => "help" })
      moved = result(fitting, "device", device: grip, set: { "host" => "television" })
      assert_includes moved.notes.join, "Squeeze grip, left hand at a television: it isn't sure that it works."
      assert_equal "television", moved.fitting.device(grip).host
      assert_includes moved.left_out.join, "switched off there"
    end

    # A client with a tablet alone needs no computer for a gamepad; one with a phone alone does, for there it isn't sure.
    def test_several_at_once_go_where_they_surely_work_before_a_host_is_made_for_them
      hosts = lambda { |system, kind|
        made(bare("hosts" => [{ "id" => "h", "system" => system }]), "add_devices",
             devices: [{ "of" => kind }]).hosts.map(&:system)
      }
      assert_equal %w[tablet], hosts["tablet", "gamepad"]
      assert_equal %w[phone computer], hosts["phone", "gamepad"]
      assert_equal %w[television computer], hosts["television", "mouse-five"]
    end

    def test_two_that_come_together_are_not_put_at_each_other
      fitting = made(Fitting.read("kippen" => "fitting/1"), "add_devices",
                     devices: [{ "of" => "tablet" }, { "of" => "mouse-five" }])
      assert_equal %w[tablet computer], fitting.hosts.map(&:system)
    end
  end
end
