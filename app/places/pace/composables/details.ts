import { useLocalStorage, useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'

/** The button that opens the details, which has the focus again when they close. */
export const TOGGLE = '[data-hook="toggle-details"]'

/** Puts the focus on the first thing that can be done in the details. */
export async function enterDetails(): Promise<void> {
  await nextTick()
  document.querySelector<HTMLElement>('#inspector :is(button:not(.close, :disabled), a)')?.focus()
}

/**
 * Whether the details beside the desk are open: as the teacher left them on a wide screen, closed by itself where
 * they would take the classes' room, and as a sheet that can be dragged down on a phone.
 */
export function useDetails() {
  const isWide = useMediaQuery('(min-width: 1100px)')
  const isPhone = useMediaQuery('(max-width: 720px)')
  const wanted = useLocalStorage('desk-details', true)
  const opened = ref(false)
  const isOpen = computed({
    get: () => (isWide.value ? wanted.value : opened.value),
    set: (open) => {
      if (isWide.value) wanted.value = open
      else opened.value = open
    },
  })
  watch(isWide, () => {
    opened.value = false
  })
  async function enter(): Promise<void> {
    isOpen.value = true
    await enterDetails()
  }
  /** Something was pressed: it is told of at once, unless the teacher has closed the details beside a wide desk. */
  function tell(): void {
    if (!isWide.value) opened.value = true
  }
  function toggle(): void {
    isOpen.value = !isOpen.value
  }
  return { isOpen, isPhone, enter, tell, toggle }
}
