# frozen_string_literal: true

module Kippen
  # Something about a fitting that people should know, whoever found it.
  #   id    – what it is, a token
  #   bad   – "bars": nothing can be put there; "serious"; "look": to be looked at; "gain": it becomes better
  #   what  – a sentence
  #   where – only what it is about: { "host", "device", "button", "gesture", "place", "mode", "shortlist" => id }
  #   figures – what it is told with, by name; rests_on – JSON pointers to what it was found in, by id
  #   fixes – [Fix] that would mend it, the best first
  #   known – { "why", "by", "at" } where it is known and wanted; again – the same with "because", where it was and is no more,
  #     see Check::Known; mark – of what it rests on, see Check::RestsOn
  Finding = Struct.new(:id, :bad, :what, :where, :figures, :rests_on, :fixes, :known, :again, :mark, keyword_init: true) do
    def initialize(id:, bad:, what:, where: {}, figures: {}, rests_on: [], fixes: [], known: nil, again: nil, mark: nil)
      super(id:, bad:, what:, where: where.compact.freeze, figures: figures.freeze, rests_on: rests_on.freeze,
            fixes: fixes.freeze, known:, again:, mark:)
      freeze
    end

    def bars? = bad == "bars"
    def gesture = where["gesture"]

    # The same, with more of it.
    def with(**more) = self.class.new(**to_h, **more)

    # Is it about the same?
    def same?(other) = id == other.id && where == other.where

    # With its figures, what it rests on and who knows of it, as JSON values.
    def checked
      plain.merge({ "figures" => figures, "rests_on" => rests_on, "known" => known, "again" => again, "mark" => mark }.compact)
    end

    # As JSON values.
    def plain = { "id" => id, "bad" => bad, "what" => what, "where" => where, "fixes" => fixes.map(&:plain) }
  end

  # What would mend a finding: in words, and the change as it is sent (see Changes.read).
  Fix = Struct.new(:words, :change) do
    def plain = { "words" => words, "change" => change }
  end
end
