# frozen_string_literal: true

module Kippen
  # What is really seen on a page, asked of the browser.
  module InSight
    def in_sight(selector)
      page.evaluate_script(<<~JS)
        (() => {
          const bench = document.querySelector("section[aria-label='Bench']").getBoundingClientRect()
          const below = getComputedStyle(document.querySelector("main")).overflowY === "auto" ? bench.top : innerHeight
          return [...document.querySelectorAll("#{selector}")].filter((one) => one.getBoundingClientRect().bottom <= below).length
        })()
      JS
    end

    # What stands in the lanes, two of which overlap; and words that are wider than what they stand on.
    def covered
      page.evaluate_script(<<~JS)
        [...document.querySelectorAll("[data-button]")].flatMap((lane) => {
          const all = [...lane.querySelectorAll("button[data-spot], [role=slider] span")]
          const boxes = all.map((one) => [one, one.getBoundingClientRect()])
          const over = boxes.flatMap(([one, a], index) => boxes.slice(index + 1)
            .filter(([, b]) => a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1)
            .map(([other]) => `${one.innerText} over ${other.innerText}`))
          const lost = all.filter((one) => one.scrollWidth > one.clientWidth + 1 && one.matches("button")).map((one) => `lost: ${one.innerText}`)
          return [...over, ...lost]
        })
      JS
    end

    # Figures of the scales that run into each other or break.
    def run_together
      page.evaluate_script(<<~JS)
        (() => {
          const boxes = [...document.querySelectorAll("[data-stretch] span")].filter((one) => /^\\d+$/.test(one.innerText))
            .map((one) => [one.innerText, one.getBoundingClientRect()])
          const broken = boxes.filter(([, box]) => box.height > 34).map(([words]) => `broken: ${words}`)
          return [...broken, ...boxes.slice(1).flatMap(([words, box], index) => box.left < boxes[index][1].right && box.left >= boxes[index][1].left ? [words] : [])]
        })()
      JS
    end
  end
end
