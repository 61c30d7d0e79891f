# frozen_string_literal: true

module Kippen
  module Server
    # Changes as the contract has them, made by the core. What follows another device is
    # brought up to date with every one of them.
    class Changes
      # author – whose name stands by a step that is ticked off; at – now, in ISO 8601
      def initialize(fitting, author:, at:)
        @fitting = fitting
        @author = author
        @at = at
      end

      # change – as in the contract; returns the changed Fitting. Raises Invalid.
      def apply(change)
        changed = public_send(MAKERS.fetch(change["kind"]), change)
        Fitting::Copying.follow(changed, KINDS)
      end

      # Where a change to a button applies.
      def self.spot(change)
        { place: change.fetch("place", Fitting::EVERYWHERE), mode: change.fetch("mode", Fitting::BASE) }
      end

      MAKERS = {
        "assign" => :assign, "clear" => :clear, "timing" => :timing, "switch" => :switch, "client" => :client, "want" => :want, "remove_want" => :remove_want,
        "host" => :host, "remove_host" => :remove_host, "add_device" => :add_device, "device" => :device, "take_out" => :take_out,
        "bring_back" => :bring_back, "add_button" => :add_button, "button" => :button, "ready" => :ready, "copy" => :copy, "cut" => :cut
      }.freeze

      def assign(change)
        Fitting::Edit.assign(@fitting, button: own(change["button"]), gesture: change["gesture"], action: change["action"], **Changes.spot(change))
      end

      def clear(change) = Fitting::Edit.clear(@fitting, button: own(change["button"]), gesture: change["gesture"], **Changes.spot(change))

      def timing(change) = Fitting::Edit.set_timing(@fitting, button: own(change["button"]), setting: change["setting"], value: change["value"])

      def switch(change)
        Fitting::Edit.switch(@fitting, button: own(change["button"]), gesture: change["gesture"], off: change["off"], **Changes.spot(change))
      end

      def client(change) = Fitting::WantEdits.describe(@fitting, name: change["name"], about: change["about"])
      def want(change) = Fitting::WantEdits.put(@fitting, change["want"])
      def remove_want(change) = Fitting::WantEdits.remove(@fitting, change["id"])
      def host(change) = Fitting::WantEdits.put_host(@fitting, change["host"])
      def remove_host(change) = Fitting::WantEdits.remove_host(@fitting, change["id"])

      def add_device(change)
        kind = KINDS.find(change["of"]) || raise(Invalid.at("/change/of", "unknown kind #{Faults.show(change["of"])}"))
        Fitting::DeviceEdits.add(@fitting, kind, change.except("kind", "of"))
      end

      def device(change) = Fitting::DeviceEdits.change(@fitting, change["device"], change["set"], at: @at)
      def take_out(change) = Fitting::TakingOut.take_out(@fitting, change["id"])
      def bring_back(change) = Fitting::TakingOut.bring_back(@fitting, change["id"])
      def add_button(change) = Fitting::DeviceEdits.add_button(@fitting, change["device"], change["button"])
      def button(change) = Fitting::DeviceEdits.change_button(@fitting, change["button"], change["set"])

      def ready(change)
        Fitting::DeviceEdits.mark_ready(@fitting, change["device"], change["step"], change["done"] ? { by: @author, at: @at } : nil)
      end

      def copy(change)
        how = change["lasting"] ? :link : :copy
        Fitting::Copying.public_send(how, @fitting, KINDS, from: change["from"], to: change["to"], mirror: change["mirror"])
      end

      def cut(change) = Fitting::Copying.cut(@fitting, change["device"])

      private

      # A button that may be changed by itself: not one of a device that follows another.
      def own(ref)
        button = @fitting.button(ref) || raise(Invalid.at("/change/button", "unknown button #{Faults.show(ref)}"))
        link = Fitting::Copying.leader(@fitting, button.device) or return ref
        leader = @fitting.device(link.from)
        raise Invalid.at("/change/button", "this device follows #{leader.name || leader.id}: change it there, or cut the link first")
      end
    end
  end
end
