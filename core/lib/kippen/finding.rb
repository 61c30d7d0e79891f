# frozen_string_literal: true

module Kippen
  # Something about a fitting that people should know, whoever found it.
  #   id    – what it is, a token
  #   bad   – "bars": nothing can be put there; "serious"; "look": to be looked at; "gain": it becomes better
  #   what  – a sentence
  #   where – only what it is about: { "host", "device", "button", "gesture", "place", "mode", "shortlist" => id }
  #   fixes – [Fix] that would mend it, the best first
  Finding = Struct.new(:id, :bad, :what, :where, :fixes, keyword_init: true) do
    def initialize(id:, bad:, what:, where: {}, fixes: [])
      super(id:, bad:, what:, where: where.compact.freeze, fixes: fixes.freeze)
      freeze
    end

    def bars? = bad == "bars"
    def gesture = where["gesture"]

    # As JSON values.
    def plain = { "id" => id, "bad" => bad, "what" => what, "where" => where, "fixes" => fixes.map(&:plain) }
  end

  # What would mend a finding: in words, and the change as it is sent (see Changes.read).
  Fix = Struct.new(:words, :change) do
    def plain = { "words" => words, "change" => change }
  end
end
