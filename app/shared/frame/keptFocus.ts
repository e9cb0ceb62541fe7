import { useEventListener, useMutationObserver, useTimeoutFn } from '@vueuse/core'

/** Where the focus was: the element, and the way down to it from the page as positions among children. */
interface Spot {
  readonly element: HTMLElement
  readonly way: readonly { readonly parent: Element; readonly index: number }[]
}

const CAN_TAKE = ':is(a[href], button, summary, [role="checkbox"], [tabindex="0"]):not(:disabled)'
/** A button that is disabled for longer than this has had its turn. */
const BUSY_MS = 900

/**
 * Keeps the focus near when what had it goes away: a row that is removed, a button that has done its work, a panel
 * that closes. And scrolls into sight what takes it in a dialog, where it is led round without scrolling.
 */
export function useKeptFocus(): void {
  let last: Spot | null = null
  const given = useTimeoutFn(() => keepNear(last), BUSY_MS, { immediate: false })

  useEventListener('focusin', ({ target }: FocusEvent) => {
    if (!(target instanceof HTMLElement)) return
    last = spotOf(target)
    if (target.closest('[role="dialog"]') && target.matches(':focus-visible'))
      target.scrollIntoView({ block: 'nearest' })
  })
  useMutationObserver(
    () => document.body,
    () => {
      if (!last || !isLost()) return
      if (!last.element.isConnected) keepNear(last)
      else if (last.element.matches(':disabled')) given.start()
      else if (given.isPending.value) {
        // it was only busy
        given.stop()
        last.element.focus({ preventScroll: true })
      }
    },
    { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] },
  )
}

const isLost = (): boolean =>
  document.activeElement === null ||
  document.activeElement === document.body ||
  document.activeElement.matches(':disabled')

function spotOf(element: HTMLElement): Spot {
  const way: { parent: Element; index: number }[] = []
  for (let child: Element = element; child.parentElement; child = child.parentElement)
    way.push({ parent: child.parentElement, index: [...child.parentElement.children].indexOf(child) })
  return { element, way }
}

/** Gives the focus to what now stands where it was, or nearest to there. */
function keepNear(spot: Spot | null): void {
  if (!spot || !isLost()) return
  for (const [depth, { parent, index }] of spot.way.entries()) {
    if (!parent.isConnected) continue
    // another page: its reader begins at its beginning
    if (parent.contains(document.querySelector('main'))) break
    const after = [...parent.children].slice(index)
    const before = [...parent.children].slice(0, index).reverse()
    const below = spot.way.slice(0, depth).map((step) => step.index)
    const next = twinIn(after[0] ?? before[0], below) ?? firstIn([...after, ...before])
    if (next) return take(next)
  }
  take(document.querySelector('main'))
}

const canTake = (e: Element | undefined): e is HTMLElement =>
  e instanceof HTMLElement && e.matches(CAN_TAKE) && e.checkVisibility()

/** What stands in a neighbour where the lost one stood in its own row: the next row's button of the same kind. */
function twinIn(neighbour: Element | undefined, below: readonly number[]): HTMLElement | null {
  const twin = below.reduceRight<Element | undefined>((e, index) => e?.children[index], neighbour)
  return canTake(twin) ? twin : null
}

/** The first thing that can take the focus. */
function firstIn(elements: readonly Element[]): HTMLElement | null {
  for (const element of elements) {
    const found = [element, ...element.querySelectorAll(CAN_TAKE)].find(canTake)
    if (found) return found
  }
  return null
}

function take(element: HTMLElement | null): void {
  element?.focus({ preventScroll: true })
  if (element?.matches(':focus-visible')) element.scrollIntoView({ block: 'nearest' })
}
