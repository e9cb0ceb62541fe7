import { useOverlay } from '#imports'
import type { Component } from 'vue'

type PropsOf<C> = C extends new () => { readonly $props: infer P } ? P : never
/** What a dialog is given: all its properties but the hooks of its events. */
type GivenTo<C> = Omit<PropsOf<C>, `on${string}` | 'key' | 'ref' | 'ref_for' | 'ref_key' | 'class' | 'style'>

const MOST_FRAMES = 90

/**
 * Opens dialogs. Each opening makes the dialog anew, so that the second is like the first, and gives the
 * focus back to `back` where one is named, such as the button of a menu, and else to what had it before.
 */
export function useDialogs() {
  const overlays = useOverlay()

  return async function open<T = void, C extends Component = Component>(
    dialog: C,
    given: GivenTo<C>,
    back?: () => HTMLElement | null,
  ): Promise<T | null> {
    const before = document.activeElement
    const overlay = overlays.create(dialog, { destroyOnClose: true })
    const answer = (await overlay.open(given as Parameters<typeof overlay.open>[0]).result) as
      T | null | undefined
    void leaves().then(() => {
      const now = document.activeElement
      // the page's main part takes a focus that was lost
      if (now && now !== document.body && now.id !== 'main') return
      const opener = before instanceof HTMLElement && before.isConnected && before !== document.body
      const to = back?.() ?? (opener ? before : null)
      to?.focus({ preventScroll: true })
    })
    return answer ?? null
  }
}

/** Waits until the dialog has left the page, or for as long as that may take. */
async function leaves(): Promise<void> {
  for (let i = 0; i < MOST_FRAMES && document.querySelector('[role="dialog"]'); i++)
    await new Promise(requestAnimationFrame)
}
