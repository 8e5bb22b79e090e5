# frozen_string_literal: true

# Driving a page by keys alone, in as few words with the browser as there are keys: what has the focus is read at once.
module Keyboard
  # What has the focus. tag; text: to be read; name: what a screen reader calls it; label: of a field; group: of a choice
  Focused = Struct.new(:tag, :text, :name, :label, :group, :id, :type, :value, keyword_init: true)
  MOST_TABS = 200
  READ = <<~JAVASCRIPT
    const node = document.activeElement ?? document.body
    const text = node.innerText ?? ''
    return { tag: node.localName, text: text, name: node.getAttribute('aria-label') ?? text.trim(), label: node.labels?.[0]?.textContent ?? '',
             group: node.closest('[role=radiogroup]')?.getAttribute('aria-label'), id: node.id, type: node.getAttribute('type'), value: node.value }
  JAVASCRIPT
  private_constant :READ

  # A click would be cheating: every pointer event is counted.
  def count_pointers
    page.execute_script(<<~JAVASCRIPT)
      window.pointerUsed = 0
      for (const kind of ['pointerdown', 'mousedown', 'touchstart']) window.addEventListener(kind, () => { window.pointerUsed += 1 }, true)
    JAVASCRIPT
  end

  def pointers_used = page.evaluate_script('window.pointerUsed')
  def press(*keys) = page.driver.browser.action.send_keys(*keys).perform
  def focused = Focused.new(**page.driver.browser.execute_script(READ).transform_keys(&:to_sym))

  # @yieldparam focused [Focused]
  # @yieldreturn [Boolean] whether that is it
  def tab_to
    MOST_TABS.times do
      return if yield(focused)

      press(:tab)
    end
    raise 'the keyboard never got there'
  end

  # Whatever is to come is there before it is tabbed to: a page that still grows moves what was passed already.
  def tab_to_button(text)
    expect(page).to have_button(text)
    tab_to { |on| on.tag == 'button' && (on.name.include?(text) || on.text.include?(text)) }
  end

  def tab_to_label(label) = tab_to { |on| on.label.start_with?(label) }

  def blur_and_press(key)
    page.execute_script('document.activeElement.blur()')
    press(key)
  end
end
