# frozen_string_literal: true

module Kippen
  module Press
    # An engine's state as plain JSON values, to be taken up again at any point, in
    # another process too. Outcomes that haven't been taken are not part of it.
    module Saving
      FORMAT = "press-state/1"
      REST = "press-rest/1"
      CONTACT = %i[closed began_us opened_us verdict bounce_ref].freeze
      BURST = %i[mode began_us closed unhurried state count last_start_us last_release_us repeat_us repeats told].freeze

      # Returns a Hash of Strings, Integers, booleans, Arrays and Hashes.
      def save
        holds = @hosts.values.flat_map(&:held) | @contacts.filter_map(&:hold_then) | @contacts.filter_map { |c| hold_of(c) }
        { "kippen" => FORMAT, "now_us" => @now_us, "holds" => holds.map { |hold| [hold.mode, hold.button.index] },
          "hosts" => @hosts.transform_values { |host| save_host(host, holds) },
          "contacts" => @contacts.filter_map { |contact| save_contact(contact, holds) } }
      end

      # Takes up what #save gave, on the same fitting; for an engine that is new.
      def resume(state)
        raise Error, Words.say(:this_no_saved_state, given: Faults.show(state["kippen"])) unless state["kippen"] == FORMAT

        @now_us = state.fetch("now_us")
        holds = state.fetch("holds").map { |mode, index| HostState::Hold.new(mode, @contacts.fetch(index)) }
        state.fetch("hosts").each { |id, saved| resume_host(@hosts.fetch(id), saved, holds) }
        state.fetch("contacts").each { |saved| resume_contact(@contacts.fetch(saved.fetch("index")), saved, holds) }
        @contacts.each { |contact| arm(contact) }
        self
      end

      # What goes on from a moment of rest (nothing down, nothing waiting), as plain JSON values, whatever
      # becomes of the fitting: where pointer and focus are, modes taken for the next press or until
      # changed, from when the bounce guards count. nil where it is no such moment.
      def rest
        return unless @contacts.none? { |contact| contact.closed || contact.opened_us || contact.burst } && @hosts.each_value.all? { |host| host.held.empty? }

        { "kippen" => REST, "now_us" => @now_us,
          "hosts" => @hosts.transform_values { |host| save_host(host, []).except("held") },
          "bounce" => @contacts.select(&:bounce_ref).to_h { |contact| [contact.button.ref, contact.bounce_ref] } }
      end

      # Goes on from what #rest gave, on any fitting of the same client: what is no more is passed
      # over. For an engine that is new.
      def go_on(rest)
        raise Error, Words.say(:this_no_moment_rest, given: Faults.show(rest["kippen"])) unless rest["kippen"] == REST

        @now_us = rest.fetch("now_us")
        rest.fetch("hosts").each { |id, saved| go_on_host(@hosts[id], saved) if @hosts.key?(id) }
        @contacts.each { |contact| contact.bounce_ref = rest.fetch("bounce")[contact.button.ref] }
        self
      end

      private

      def go_on_host(host, saved)
        resume_host(host, saved.merge("held" => []), [])
        host.latched = nil unless host.latched && @fitting.mode(host.latched)
        host.locked = nil unless host.locked && @fitting.mode(host.locked)
      end

      def hold_of(contact) = contact.burst&.origin.then { |origin| origin unless origin == :latch }

      def save_host(host, holds)
        { "pointer_in" => host.pointer_in.where, "focus_in" => host.focus_in.where, "latched" => host.latched,
          "locked" => host.locked, "held" => host.held.map { |hold| holds.index(hold) } }
      end

      def resume_host(host, saved, holds)
        host.pointer_in = @resolver.spot(saved.fetch("pointer_in"))
        host.focus_in = @resolver.spot(saved.fetch("focus_in"))
        host.latched = saved["latched"]
        host.locked = saved["locked"]
        host.held.replace(saved.fetch("held").map { |index| holds.fetch(index) })
      end

      # A contact on which nothing ever happened needs no word.
      def save_contact(contact, holds)
        return unless contact.closed || contact.began_us || contact.bounce_ref || contact.burst

        saved = CONTACT.to_h { |name| [name.to_s, plain(contact.public_send(name))] }
        saved["index"] = contact.index
        saved["hold_then"] = contact.hold_then && holds.index(contact.hold_then)
        saved["burst"] = save_burst(contact.burst, holds) if contact.burst
        saved
      end

      def save_burst(burst, holds)
        origin = burst.origin
        origin = origin == :latch ? "latch" : holds.index(origin) if origin
        BURST.to_h { |name| [name.to_s, plain(burst.public_send(name))] }.merge("origin" => origin, "where" => burst.spot.where)
      end

      def resume_contact(contact, saved, holds)
        CONTACT.each { |name| contact.public_send("#{name}=", saved[name.to_s]) }
        contact.verdict = saved["verdict"]&.to_sym
        contact.hold_then = saved["hold_then"]&.then { |index| holds.fetch(index) }
        contact.burst = resume_burst(contact, saved["burst"], holds) if saved["burst"]
      end

      def resume_burst(contact, saved, holds)
        spot = @resolver.spot(saved.fetch("where"))
        mode = saved.fetch("mode")
        origin = saved["origin"]
        origin = origin == "latch" ? :latch : holds.fetch(origin) if origin
        burst = Burst.new(@resolver.choice(contact.button, mode, spot), mode, origin, saved.fetch("began_us"), saved["closed"], spot,
                          unhurried: saved["unhurried"])
        %i[count last_start_us last_release_us repeat_us repeats told].each { |name| burst.public_send("#{name}=", saved[name.to_s]) }
        burst.state = saved.fetch("state").to_sym
        origin.followers[contact] = true if origin && origin != :latch
        contact.host.poised << contact if burst.state == :first && burst.choice.held_mode
        burst
      end

      def plain(value) = value.is_a?(Symbol) ? value.to_s : value
    end
  end
end
