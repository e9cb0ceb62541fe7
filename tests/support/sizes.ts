import { expect } from 'vitest'
import type { Person } from './browser'

/** What is too small on the page that is open: words under 13 px, targets under 24 px, fields below their labels. */
export async function isLargeEnough(p: Person): Promise<void> {
  await p.isStill()
  expect(await p.page.evaluate(tooSmall), `too small at ${p.page.url()}`).toEqual([])
}

/** Runs in the page: names each kind of thing that is too small once, with how small it is. */
function tooSmall(): string[] {
  const LEAST_TYPE = 13
  const LEAST_TARGET = 24
  const TARGETS =
    'a[href], button, input, select, textarea, summary, [role="option"], [role="tab"], [role="switch"], ' +
    '[role="checkbox"], [role="radio"], [role="gridcell"][tabindex], [role="menuitem"]'

  const named = (e: Element): string => {
    const hook = (e as HTMLElement).dataset.hook
    const mark = hook ? `[${hook}]` : `.${(e.getAttribute('class') ?? '').split(' ').slice(0, 2).join('.')}`
    const words = e.getAttribute('aria-label') ?? e.textContent
    return `${e.tagName.toLowerCase()}${mark} “${words.replace(/\s+/g, ' ').trim().slice(0, 30)}”`
  }
  const isShown = (e: Element): boolean => {
    const box = e.getBoundingClientRect()
    return (
      box.width > 1 &&
      box.height > 1 &&
      e.checkVisibility({ opacityProperty: true, visibilityProperty: true })
    )
  }
  const sizeOf = (e: Element): number => parseFloat(getComputedStyle(e).fontSize)
  const found = new Map<string, string>()
  /** Of many of a kind the first is told. */
  const tell = (fault: string, e: Element, size: string): void => {
    const kind = `${fault} ${named(e).replace(/“.*/, '')}${e.parentElement?.className ?? ''}`
    if (!found.has(kind)) found.set(kind, `${fault} ${named(e)}: ${size}`)
  }

  /** Words that are there for the ear alone have no size. */
  const isForTheEar = (e: Element): boolean => e.closest('.sr-only, [aria-hidden="true"]') !== null
  const hasWords = (e: Element): boolean =>
    Array.from(e.childNodes).some((n) => n.nodeType === Node.TEXT_NODE && n.textContent?.trim())
  for (const e of Array.from(document.body.querySelectorAll('*'))) {
    if (!hasWords(e) || isForTheEar(e) || !isShown(e) || e.matches('script, style, option')) continue
    if (sizeOf(e) < LEAST_TYPE) tell('type', e, `${sizeOf(e).toFixed(1)} px`)
  }

  /** A target reaches as far as what is drawn over its edge for a finger. */
  const reachOf = (e: Element): readonly [number, number] => {
    const box = e.getBoundingClientRect()
    const over = getComputedStyle(e, '::after')
    if (over.content === 'none' || over.position !== 'absolute') return [box.width, box.height]
    return [
      Math.max(box.width, parseFloat(over.width) || 0),
      Math.max(box.height, parseFloat(over.height) || 0),
    ]
  }
  /** A field within its label is pressed by all of it; a link within a sentence is as low as its line. */
  const isOfAnother = (e: Element): boolean =>
    (e.tagName === 'A' && getComputedStyle(e).display === 'inline') ||
    e.matches('[aria-hidden="true"], .skip')
  for (const e of Array.from(document.querySelectorAll(TARGETS))) {
    if (!isShown(e) || isOfAnother(e) || e.closest('.sr-only')) continue
    const around = e.matches('input, [role="radio"]') ? (e.closest('label') ?? e) : e
    const [width, height] = reachOf(around)
    if (Math.min(width, height) < LEAST_TARGET - 0.5)
      tell('target', e, `${width.toFixed(0)} × ${height.toFixed(0)} px`)
  }

  for (const field of Array.from(document.querySelectorAll('input, textarea, select'))) {
    const label = (field as HTMLInputElement).labels?.[0]
    if (!label || !isShown(field) || !isShown(label) || isForTheEar(label)) continue
    if (field.matches('[type="checkbox"], [type="radio"], [type="file"]')) continue
    if (sizeOf(field) < sizeOf(label) - 0.1)
      tell('field', field, `${sizeOf(field)} < ${sizeOf(label)} px of “${label.textContent.trim()}”`)
  }
  return [...found.values()]
}
