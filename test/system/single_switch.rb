# frozen_string_literal: true

module Kippen
  # A stand-in for somebody who works the page by one switch: what can be worked is stepped through in groups, and
  # inside a group once that is chosen. One step is one move on, or one choice. It begins with the pane that has the focus.
  module SingleSwitch
    # How a page is grouped, as somebody who can't see it is told: panes, landmarks, named groups, lists and rows.
    JS = <<~JS
      const GROUPS = '[data-pane], header, nav, main, aside, footer, form, section, fieldset, table, tr, ul, ol, li, details, [role=group], [role=region], [role=radiogroup]'
      const WORKED = 'a[href], button, input, select, textarea, summary, [role=slider], [role=combobox], [data-stop]'
      const shown = (one) => one.checkVisibility() && !one.disabled && one.getAttribute('aria-disabled') !== 'true' && !one.closest('[inert]')
      // [element, or [elements…]…]: what stands alone in a group counts as itself.
      const tree = (root) => [...root.children].flatMap((child) => {
        if (child.matches(WORKED)) return shown(child) ? [child] : []
        const inside = tree(child)
        return child.matches(GROUPS) && inside.length > 1 ? [inside] : inside
      })
      const has = (node, target) => (Array.isArray(node) ? node.some((one) => has(one, target)) : node === target || node.contains(target))
      const steps = (nodes, target) => {
        const index = nodes.findIndex((node) => has(node, target))
        if (index < 0) return undefined
        return index + 1 + (Array.isArray(nodes[index]) ? steps(nodes[index], target) : 0)
      }
      const top = tree(document.body)
      const flat = top.length === 1 && Array.isArray(top[0]) ? top[0] : top
      const first = flat.findIndex((node) => has(node, document.activeElement))
      const from = first > 0 ? [...flat.slice(first), ...flat.slice(0, first)] : flat
      return steps(from, arguments[0])
    JS

    # Works it; returns how many steps it took.
    def switch_to(element)
      steps = browser.execute_script(JS, element.native)
      refute_nil steps, "it can be stepped to"
      element.click
      steps
    end
  end
end
