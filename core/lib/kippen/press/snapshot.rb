# frozen_string_literal: true

module Kippen
  module Press
    # An engine's state as plain JSON values, to be taken up again at any point, in
    # another process too. Outcomes that haven't been taken are not part of it.
    class Snapshot
      FORMAT = "press-state/2"
      REST = "press-rest/1"
      CONTACT = %i[closed began_us opened_us verdict bounce_ref].freeze

      # hosts – { id => HostState }; contacts – in the fitting's order of buttons
      def initialize(resolver, schedule, hosts, contacts)
        @resolver = resolver
        @schedule = schedule
        @hosts = hosts
        @contacts = contacts
      end

      # See Engine#save.
      def save
        @holds = @hosts.values.flat_map(&:held) | @contacts.filter_map(&:hold_then) | @contacts.filter_map do |contact|
          contact.burst&.hold
        end
        { "kippen" => FORMAT, "now_us" => @schedule.now_us, "holds" => @holds.map { |hold| [hold.mode, hold.button.index] },
          "hosts" => @hosts.transform_values { |host| save_host(host) },
          "contacts" => @contacts.filter_map { |contact| save_contact(contact) } }
      end

      # See Engine#resume.
      def resume(state)
        raise Error, Words.say(:this_no_saved_state, given: Faults.show(state["kippen"])) unless state["kippen"] == FORMAT

        @schedule.now_us = state.fetch("now_us")
        @holds = state.fetch("holds").map { |mode, index| HostState::Hold.new(mode, @contacts.fetch(index)) }
        state.fetch("hosts").each { |id, saved| resume_host(@hosts.fetch(id), saved) }
        state.fetch("contacts").each { |saved| resume_contact(@contacts.fetch(saved.fetch("index")), saved) }
        @contacts.each { |contact| @schedule.arm(contact) }
      end

      # See Engine#rest.
      def rest
        if @contacts.any? { |contact| contact.closed || contact.opened_us || contact.burst } || @hosts.each_value.any? do |host|
          host.held.any?
        end
          return
        end

        { "kippen" => REST, "now_us" => @schedule.now_us,
          "hosts" => @hosts.transform_values { |host| save_host(host).except("held") },
          "bounce" => @contacts.select(&:bounce_ref).to_h { |contact| [contact.button.ref, contact.bounce_ref] } }
      end

      # See Engine#go_on.
      def go_on(rest)
        raise Error, Words.say(:this_no_moment_rest, given: Faults.show(rest["kippen"])) unless rest["kippen"] == REST

        @schedule.now_us = rest.fetch("now_us")
        rest.fetch("hosts").each { |id, saved| go_on_host(@hosts[id], saved) if @hosts.key?(id) }
        @contacts.each { |contact| contact.bounce_ref = rest.fetch("bounce")[contact.button.ref] }
      end

      private

      def go_on_host(host, saved)
        resume_host(host, saved.merge("held" => []))
        host.latched = nil unless @resolver.mode?(host.latched)
        host.locked = nil unless @resolver.mode?(host.locked)
      end

      def save_host(host)
        { "pointer_in" => host.pointer_in.where, "focus_in" => host.focus_in.where, "latched" => host.latched,
          "locked" => host.locked, "held" => host.held.map { |hold| @holds.index(hold) } }
      end

      def resume_host(host, saved)
        host.pointer_in = @resolver.spot(saved.fetch("pointer_in"))
        host.focus_in = @resolver.spot(saved.fetch("focus_in"))
        host.latched = saved["latched"]
        host.locked = saved["locked"]
        host.held.replace(saved.fetch("held").map { |index| @holds.fetch(index) })
      end

      # A contact on which nothing ever happened needs no word.
      def save_contact(contact)
        return unless contact.closed || contact.began_us || contact.bounce_ref || contact.burst

        saved = CONTACT.to_h { |name| [name.to_s, contact.public_send(name)] }
        saved["verdict"] = contact.verdict&.to_s
        saved["index"] = contact.index
        saved["hold_then"] = contact.hold_then && @holds.index(contact.hold_then)
        saved["burst"] = save_burst(contact.burst) if contact.burst
        saved
      end

      def save_burst(burst)
        origin = burst.hold ? @holds.index(burst.hold) : burst.origin&.to_s
        burst.save.merge("origin" => origin, "where" => burst.spot.where)
      end

      def resume_contact(contact, saved)
        CONTACT.each { |name| contact.public_send("#{name}=", saved[name.to_s]) }
        contact.verdict = saved["verdict"]&.to_sym
        contact.hold_then = saved["hold_then"]&.then { |index| @holds.fetch(index) }
        contact.burst = resume_burst(contact, saved["burst"]) if saved["burst"]
      end

      def resume_burst(contact, saved)
        spot = @resolver.spot(saved.fetch("where"))
        mode = saved.fetch("mode")
        origin = saved["origin"].then { |given| given == "latch" ? :latch : given && @holds.fetch(given) }
        taken = HostState::Taken.new(mode, origin, saved["closed"])
        burst = Burst.new(contact, taken, @resolver.choice(contact.button, mode, spot), spot).resume(saved)
        burst.hold&.followers&.store(contact, true)
        contact.host.poised << contact if burst.state == :first && burst.choice.held_mode
        burst
      end
    end
  end
end
