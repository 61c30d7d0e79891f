# frozen_string_literal: true

require_relative "tuning"

module Kippen
  # Counts what somebody does who sets buttons up: each click, and each key that is no letter. What the client presses
  # is not counted.
  module Working
    include Tuning::Stories

    def setup
      super
      @clicks = @keys = 0
    end

    def work(element)
      @clicks += 1
      element.click
    end

    def press_on(name, wait: 5) = work(find_button(name, wait:))
    def follow(name) = work(find_link(name))

    def enter(*words)
      @keys += words.count { |word| word.is_a?(Symbol) }
      page.driver.browser.switch_to.active_element.send_keys(*words)
    end

    # Of a list that opens, by what is typed.
    def choose(words, from:)
      work(find_field(from).find(:xpath, "./ancestor::*[contains(@class, 'ant-select')][1]"))
      enter words
      assert_selector ".ant-select-item-option-active", text: words
      enter :enter
    end

    # Of a short list that opens.
    def pick_from(field, words)
      work(find_field(field).find(:xpath, "./ancestor::*[contains(@class, 'ant-select')][1]"))
      work(find(".ant-select-item-option", text: words, match: :first))
    end

    # What the server finds for the words.
    def choose_found(field, words)
      work(find_field(field).find(:xpath, "./ancestor::*[contains(@class, 'ant-select')][1]"))
      enter words
      assert_no_selector ".ant-select-item-option", text: sentence("assign.notKnownYet")
      assert_selector ".ant-select-item-option-active"
      enter :enter
      # Whoever works sees that it is chosen before anything else is pressed.
      assert_no_selector ".ant-select-item-option-active"
    end

    # In the sheet of a gesture that was opened.
    def give(action)
      revision = find("button", text: /Revision \d+, saved/).text[/\d+/].to_i
      assert_selector "aside :focus"
      enter action, :enter, :enter
      saved(revision + 1)
    end

    # Short presses of more than half a second, as somebody makes them who lets go slowly.
    def answer(code)
      case prompt
      when "Press once" then press_key(code, 0.58)
      when "Press twice" then press_key(code, 0.55).then { press_key(code, 0.55, at: moment(after: 0.3)) }
      when "Press and keep it down" then press_key(code, 1.4)
      end
    end

    def answer_prompts(count, code)
      count.times do
        number = asked
        answer(code)
        prompts { assert_text(/Next press (?!#{number}\b)\d+/, wait: 15) }
      end
      press_on sentence("tune.enough")
    end

    def tell_counts(job)
      puts "#{job}: #{@clicks} clicks and #{@keys} keys"
      assert_operator @clicks, :<=, self.class::MOST_CLICKS
      assert_operator @keys, :<=, self.class::MOST_KEYS
    end
  end
end
