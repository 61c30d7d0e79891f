# frozen_string_literal: true

module Kippen
  module Changes
    # A fitting on its way to become another. Whatever it isn't asked to change is carried along
    # as it is, members nobody here knows included. Not valid until it is finished.
    class Draft
      # Lists whose items are named by one member, each once.
      NAMED = { "devices" => "id", "hosts" => "id", "wants" => "id", "modes" => "id", "places" => "id", "apps" => "id",
                "shortlists" => "id", "kinds" => "id", "known" => "id",
                "links" => "to" }.freeze

      # before – the Fitting it was made on; by, at – who changes it and when, in ISO 8601
      # left_out, notes – sentences on what did not go along, and what must be known
      # spots – Spots that the changes spoke of
      attr_reader :before, :knowledge, :by, :at, :left_out, :notes, :spots, :deadline

      def initialize(fitting, knowledge, by:, at:, deadline: Deadline::NEVER)
        @before = fitting
        @deadline = deadline
        @knowledge = knowledge.of(fitting)
        @by = by
        @at = at
        @left_out = []
        @notes = []
        @spots = []
        @members = {}
        @lists = {}
        @rows = nil
        @whole = nil
      end

      def kinds = knowledge.kinds

      # The Kinds::Kind by its id, one that ships or one of the fitting's own; or nil.
      def kind(id)
        return kinds.find(id) if kinds.find(id)

        own = list("kinds").find(id) and Kinds::Reader.read(own, Faults.new)
      end

      def catalogue = knowledge.catalogue

      # What can be put on which button, as devices and hosts are now.
      def cautions = @cautions ||= Cautions.new(view, knowledge)

      # Its parts as they are now.
      def view = @view ||= View.new(self)

      # The Rows of its assignments.
      def rows = @rows ||= Rows.new(member("assignments", []))

      # The List of a named member.
      def list(name) = @lists[name] ||= List.new(member(name, []), NAMED.fetch(name))

      # Ids that a new place, mode or shortlist can't have: of those there are, and of those that lie aside, so that each
      # can be brought back.
      def ids(name)
        what = BringBack::PARTS.key(name)
        aside = member("taken_out", []).grep(Hash).filter_map { |bundle| bundle[what] }
        aside += member("taken_out", []).grep(Hash).filter_map { |bundle| Draft.mode_of(bundle["shortlist"]) } if what == "mode"
        list(name).ids + aside.grep(Hash).map { |item| item["id"] }
      end

      # What is stepped through lies aside with its mode.
      def self.mode_of(shortlist) = shortlist.is_a?(Hash) ? shortlist["mode"] : nil

      # A member of the document as it stands now.
      def member(name, default = nil) = @members.fetch(name) { before.document.fetch(name, default) }

      # nil takes it away. Not for what is a list or the assignments.
      def set(name, value) = @members[name] = value

      # Everything at once, in place of what there was.
      def become(document) = @whole = document

      def whole? = !@whole.nil?

      # An item of a list, with some of its members set; nil takes one away.
      def alter(name, id, members) = list(name).put(Draft.with(list(name).find(id), members))

      # Yields the List of a device's buttons, to be changed.
      def alter_buttons(device)
        item = list("devices").find(device)
        buttons = List.new(item.fetch("buttons", []), "id")
        yield buttons
        list("devices").put(item.merge("buttons" => buttons.to_a))
      end

      # Takes all that is assigned to some buttons, and their timing: { "assignments", "button_timing" }.
      def take_of(refs)
        gone = refs.flat_map { |ref| rows.of(ref) }
        gone.each { |item| rows.delete(Spot.of(item), item["gesture"]) }
        timing = member("button_timing", {})
        set("button_timing", timing.except(*refs)) if refs.any? { |ref| timing.key?(ref) }
        { "assignments" => gone, "button_timing" => timing.slice(*refs) }
      end

      # Keeps what gives way, to be brought back. Raises Invalid.
      def put_aside(bundle)
        aside = member("taken_out", [])
        if aside.size >= Limits::TAKEN_OUT
          raise Invalid.at("/change/id", Words.say(:things_lie_aside_already_bring, aside: aside.size))
        end

        set("taken_out", aside + [bundle])
      end

      # item – with members set; those set to nil are gone. Others stay, whatever they are.
      def self.with(item, members)
        gone = members.select { |_, value| value.nil? }.keys
        item.merge(members.except(*gone)).except(*gone)
      end

      # The Fitting::Button of the fitting before. Raises Invalid.
      def button(ref)
        before.button(ref) || raise(Invalid.at("/change/button", Words.say(:unknown_button, ref: Faults.show(ref))))
      end

      # The same, of a device that goes its own way.
      def own_button(ref) = button(ref).tap { |button| own_device(button.device) }

      # What follows another is changed there. Raises Invalid.
      def own_device(id)
        link = list("links").find(id) or return
        leader = before.device(link["from"])
        raise Invalid.at("/change/button", Words.say(:this_device_follows_change_there, from: leader&.name || link["from"]))
      end

      # The Fitting::Device of the fitting before. Raises Invalid.
      def device(id) = before.device(id) || raise(Invalid.at("/change/device", Words.say(:no_device, id: Faults.show(id))))

      # Remembers a Spot for whoever asks what was spoken of.
      def speak_of(spot)
        @spots |= [spot]
        spot
      end

      # The document as it stands now.
      def document
        return @whole if @whole

        members = @members.dup
        @lists.each { |name, list| members[name] = list.to_a if list.to_a != before.list(name) || @members.key?(name) }
        members["assignments"] = @rows.to_a if @rows && (@rows.to_a != before.list("assignments") || @members.key?("assignments"))
        Draft.with(before.document, members)
      end
    end
  end
end
