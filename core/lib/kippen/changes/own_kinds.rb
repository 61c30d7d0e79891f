# frozen_string_literal: true

module Kippen
  module Changes
    # A kind of device that no list has, in the form of docs/device-kind.schema.json: kept in the fitting, and travels with
    # it. document – its JSON object; where one of its id ships, or is of other devices, it gets an id of its own.
    class PutKind < Change.of("kind", :document)
      def make(draft)
        PutKind.check(document)
        list = draft.list("kinds")
        there = list.find(document["id"])
        return if there && PutKind.same?(there, document)

        list.put(document.merge("id" => free_id(draft), **{ "by" => draft.by, "at" => draft.at }.compact))
      end

      def free_id(draft)
        taken = [*draft.kinds.all.map(&:id), *draft.list("kinds").ids]
        taken.include?(document["id"]) ? Fitting::OwnIds.from(document["name"], taken, "kind") : document["id"]
      end

      # Raises Invalid with all that is wrong, each where it stands in the document.
      def self.check(document)
        faults = Faults.new
        Kinds::Reader.read(document, faults, "/change/document")
        faults.raise_any
      end

      # Who brought it in, and when, makes it no other.
      def self.same?(one, other) = one.except("by", "at") == other.except("by", "at")
    end

    # Takes out a kind that no device is of any more.
    class RemoveKind < Change.of("remove_kind", :id)
      def make(draft)
        used = draft.list("devices").to_a.select { |item| item["kind"] == id }
        refuse("id", Words.say(:kind_in_use, devices: used.map { |item| item["name"] || item["id"] }.join(", "))) if used.any?
        draft.list("kinds").delete(id) || refuse("id", Words.say(:unknown_kind, kind: Faults.show(id)))
      end
    end
  end
end
