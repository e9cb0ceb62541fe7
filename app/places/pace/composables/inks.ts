import { useColorMode } from '@vueuse/core'
import { computed } from 'vue'

/** The theme's colours as charts need them, anew when the scheme changes. */
export function useInks() {
  const mode = useColorMode()
  return computed(() => {
    // read, so that the colours follow the scheme
    void mode.value
    const style = getComputedStyle(document.documentElement)
    const read = (token: string) => style.getPropertyValue(token).trim()
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
