import { useColorMode } from '@vueuse/core'
import { computed } from 'vue'

/** The theme's colours as charts need them, anew when the scheme changes. */
export function useInks() {
  const mode = useColorMode()
  return computed(() => {
    const read = (token: string) => (
      void mode.value,
      getComputedStyle(document.documentElement).getPropertyValue(token).trim()
    )
    return {
      primary: read('--ui-primary'),
      rowan: read('--ui-error'),
      gorse: read('--color-gorse-400'),
      moss: read('--ui-success'),
      muted: read('--ui-text-muted'),
      ground: read('--ui-bg'),
    }
  })
}
