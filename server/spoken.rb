# frozen_string_literal: true

module Kippen
  module Server
    # What Kippen says in another language: a file "words/1", see docs/words.md. locale – "nl", "pt-BR"; direction – "ltr" or
    # "rtl"; pages – what the pages say, { key => sentence in ICU's message format }.
    Spoken = Struct.new(:locale, :direction, :pages, keyword_init: true) do
      # path – of the file, or nil: then it stays English. Speaks it from now on; returns a Spoken or nil. Raises Invalid.
      def self.read(path)
        return if path.to_s.empty?

        file = Formats::StrictJson.read(File.read(path, encoding: "UTF-8"), limit: Spoken::MOST_BYTES)
        of(file).tap { |spoken| Words.speak(spoken.locale, file.fetch("server"), pointer: "/server") }
      end

      # The same for a process that can't go on without: what is wrong is said, one line a fault.
      def self.read_or_end(path)
        read(path)
      rescue Invalid => e
        abort e.faults.map { |fault| "KIPPEN_WORDS, #{path}: #{fault}" }.join("\n")
      rescue SystemCallError => e
        abort "KIPPEN_WORDS: #{e.message}"
      end

      # file – as it was read
      def self.of(file)
        right = file.is_a?(Hash) && file["kippen"] == Spoken::FORMAT
        raise Invalid.at("/kippen", Words.say(:must_be, value: Spoken::FORMAT)) unless right

        faults = Faults.new
        faulty(file) { |where, message| faults.add(where, message) }
        faults.raise_any
        new(locale: file["locale"], direction: file["direction"], pages: file["pages"]).freeze
      end

      # Yields where something is wrong, and what.
      def self.faulty(file)
        yield "/locale", Words.say(:must_be_language) unless Spoken::LOCALE.match?(file["locale"].to_s)
        yield "/direction", Words.say(:must_be, value: "ltr, rtl") unless %w[ltr rtl].include?(file["direction"])
        %w[server pages].each { |part| yield "/#{part}", Words.say(:must_be_an_object) unless file[part].is_a?(Hash) }
        Hash(file["pages"]).each { |key, one| yield "/pages/#{key}", Words.say(:must_be_text) unless one.is_a?(String) }
      end
      private_class_method :faulty
    end

    Spoken::FORMAT = "words/1"
    Spoken::MOST_BYTES = 2_000_000
    Spoken::LOCALE = /\A[a-z]{2,3}(-[A-Za-z0-9]{2,8})*\z/
  end
end
