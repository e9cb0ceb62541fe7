import { useLocalStorage, useMediaQuery } from '@vueuse/core'
import { computed, ref, watch } from 'vue'

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
  return { isOpen, isPhone }
}
