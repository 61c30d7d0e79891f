# frozen_string_literal: true

require_relative "helper"
require_relative "real_screen"

module Kippen
  # What the catalogue calls a combination of keys, against what Chromium does with the real keys
  # (XTEST): the clipboard's own events, the inputType of the Input Events standard, the selection.
  class CombinationsTest < ReferenceTest
    include RealScreen

    DATA = File.expand_path("../../core/data", __dir__)
    NAMES = JSON.parse(File.read(File.join(DATA, "actions", "keys.json")))["actions"].to_h do |one|
      [one["action"]["keys"], one["name"]]
    end
    DOES = { "Mark everything" => %w[Control KeyA], "Copy" => %w[Control KeyC], "Cut" => %w[Control KeyX],
             "Paste" => %w[Control KeyV],
             "Undo" => %w[Control KeyZ], "Redo" => %w[Control Shift KeyZ] }.freeze
    PAGE = <<~HTML
      data:text/html,<textarea style='width:700px;height:400px'>three%20words%20here</textarea><script>
      window.heard = [];
      for (const type of ["copy", "cut", "paste"]) addEventListener(type, () => heard.push(type));
      addEventListener("beforeinput", (event) => heard.push(event.inputType));
      addEventListener("select", ({ target }) =>
        target.selectionStart === 0 && target.selectionEnd === target.value.length && heard.push("all"), true);
      addEventListener("keydown", (event) => heard.push(event.code));</script>
    HTML
    EXPECTED = { "Mark everything" => "all", "Copy" => "copy", "Cut" => "cut", "Paste" => "paste", "Undo" => "historyUndo",
                 "Redo" => "historyRedo" }.freeze

    def press(environment, keys)
      system(environment, "xdotool", "key", keys.map { |key| key.delete_prefix("Key").sub("Control", "ctrl").downcase }.join("+"))
      sleep 0.4
    end

    def show(browser, environment)
      browser.get(PAGE.delete("\n"))
      system(environment, "xdotool", "mousemove", "400", "350", "click", "1")
      sleep 0.3
    end

    def test_what_a_combination_is_called_is_what_chromium_does
      assert_empty(DOES.reject { |name, keys| NAMES[keys] == name })
      heard = on_a_real_screen do |browser, environment|
        show(browser, environment)
        DOES.to_h do |name, keys|
          browser.execute_script("heard.length = 0")
          press(environment, keys)
          [name, browser.execute_script("return heard")]
        end
      end
      EXPECTED.each { |name, event| assert_includes heard[name], event, name }
    end
  end
end
