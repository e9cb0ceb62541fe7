import { nextTick, watch } from 'vue'
import type { Ref } from 'vue'
import { useRipple } from '../stores/ripple'

/** Moves what is chosen out from under the ripple's panel as soon as that opens. */
export function useUncovered(pane: Readonly<Ref<HTMLElement | null>>): void {
  const ripple = useRipple()
  watch(
    () => ripple.isOpen && !ripple.waiting,
    async (isOpen) => {
      await nextTick()
      const stone = pane.value?.querySelector<HTMLElement>('button.selected')
      const panel = document.querySelector<HTMLElement>('[data-hook="ripple"]')
      if (!isOpen || !stone || !panel) return
      if (stone.getBoundingClientRect().bottom > panel.getBoundingClientRect().top)
        stone.scrollIntoView({ block: 'start' })
    },
  )
}
