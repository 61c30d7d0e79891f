# frozen_string_literal: true

require "json"

module Kippen
  # What the pages say, by the key of the sentence: a story finds things whatever language they are in. See docs/words.md.
  module Saying
    # ICU's message format as far as the pages use it: names, plural and select, one within the other.
    module Message
      module_function

      def fill(message, parts)
        rest = message.dup
        said = +""
        until rest.empty?
          said << rest.slice!(/\A[^{]*/)
          said << part(inside(rest), parts) unless rest.empty?
        end
        said
      end

      # What stands in the braces that a text begins with; takes it off.
      def inside(rest)
        deep = 0
        length = rest.each_char.with_index do |sign, index|
          deep += { "{" => 1, "}" => -1 }.fetch(sign, 0)
          break index + 1 if deep.zero?
        end
        rest.slice!(0, length)[1..-2]
      end

      def part(text, parts)
        name, kind, forms = text.split(/,\s*/, 3)
        value = parts.fetch(name.to_sym)
        return value.to_s if forms.nil?

        fill(chosen(kind, value, choices(forms)).gsub("#", value.to_s), parts)
      end

      def choices(forms)
        rest = forms.strip
        choices = {}
        choices[rest.slice!(/\A\s*\S+\s*/).strip] = inside(rest) until rest.strip.empty?
        choices
      end

      def chosen(kind, value, choices)
        form = kind == "plural" ? Words::Plurals.of("en").call(value).to_s : value.to_s
        choices["=#{value}"] || choices[form] || choices.fetch("other")
      end
    end

    PAGES = JSON.parse(File.read(File.join(Server::ROOT, "web", "dist", "sentences.json"))).freeze

    # Does Kippen say everything in other words, each sentence in ⟦…⟧? Then what is drawn is told without the marks, which
    # nothing but the program sees.
    MARKED = ENV.key?("KIPPEN_WORDS")
    UNMARK = <<~JS
      const marks = /[⟦⟧]/g
      const unmark = (node) => {
        if (node.nodeType === 3 && node.data.search(marks) >= 0) node.data = node.data.replace(marks, '')
        for (const one of node.attributes ?? []) if (one.value.search(marks) >= 0) one.value = one.value.replace(marks, '')
        node.childNodes.forEach(unmark)
      }
      new MutationObserver((all) => all.forEach(({ type, target, addedNodes }) =>
        type === 'childList' ? addedNodes.forEach(unmark) : unmark(target)))
        .observe(document, { subtree: true, childList: true, characterData: true, attributes: true })
    JS

    # For a driver: before its first page.
    module Unmarked
      def visit(...)
        @unmarked ||= browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: UNMARK)
        super
      end
    end
    Capybara::Selenium::Driver.prepend(Unmarked) if MARKED

    def self.sentence(key, **parts) = Message.fill(PAGES.fetch(key), parts)

    def sentence(key, **parts) = Saying.sentence(key, **parts)
  end
end
