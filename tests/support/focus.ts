import { expect } from 'vitest'
import type { Person } from './browser'

/** What was found at one stop of the focus; `faults` is empty where all is well. */
interface Stop {
  readonly id: number
  readonly what: string
  readonly faults: readonly string[]
}

/** More stops than any page has: a walk that gets here goes in circles. */
const MOST_STOPS = 600

/**
 * Walks the whole page by Tab, then back by Shift+Tab: every stop stands in sight, wears the ring at 3 : 1, is
 * covered by nothing, and is large enough to be hit.
 */
export async function walksByTab(p: Person): Promise<void> {
  await p.isStill()
  await p.page.evaluate(readies)
  const there = await walk(p, 'Tab')
  const back = await walk(p, 'Shift+Tab')
  const faults = [...there, ...back].flatMap((stop) => stop.faults.map((fault) => `${stop.what}: ${fault}`))
  expect([...new Set(faults)], `by Tab at ${p.page.url()}`).toEqual([])
  expect(there.length, `stops at ${p.page.url()}`).toBeGreaterThan(1)
}

async function walk(p: Person, key: 'Tab' | 'Shift+Tab'): Promise<readonly Stop[]> {
  const stops: Stop[] = []
  const seen = new Set<number>()
  for (let n = 0; n < MOST_STOPS; n++) {
    await p.keys(key)
    const stop = await p.page.evaluate(() => (window as unknown as Looking).lookAtFocus())
    // out of the page, or round again
    if (!stop || seen.has(stop.id)) break
    seen.add(stop.id)
    stops.push(stop)
  }
  return stops
}

interface Looking {
  lookAtFocus: () => Stop | null
}

/** Runs in the page: puts there what looks at the element that has the focus. */
function readies(): void {
  const CONTROLS = 'a, button, input, select, textarea, summary, [role="option"], [tabindex="0"]'
  const ids = new WeakMap<Element, number>()
  let next = 1
  const canvas = document.createElement('canvas')
  canvas.width = canvas.height = 1
  const paint = canvas.getContext('2d', { willReadFrequently: true })

  /** A CSS colour over white, as shares of red, green and blue; null where it is transparent. */
  const colour = (css: string): readonly number[] | null => {
    if (!paint) return null
    paint.clearRect(0, 0, 1, 1)
    paint.fillStyle = css
    paint.fillRect(0, 0, 1, 1)
    const [r = 0, g = 0, b = 0, a = 0] = paint.getImageData(0, 0, 1, 1).data
    return a < 128 ? null : [r, g, b].map((v) => v / 255)
  }
  const luminance = (rgb: readonly number[]): number => {
    const [r = 0, g = 0, b = 0] = rgb.map((v) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4))
    return 0.2126 * r + 0.7152 * g + 0.0722 * b
  }
  const contrast = (a: readonly number[], b: readonly number[]): number => {
    const [high = 0, low = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x)
    return (high + 0.05) / (low + 0.05)
  }
  /** The ground an element stands on. */
  const groundOf = (element: Element | null): readonly number[] => {
    for (let e = element; e; e = e.parentElement) {
      const found = colour(getComputedStyle(e).backgroundColor)
      if (found) return found
    }
    return [1, 1, 1]
  }
  const isMarked = (e: HTMLElement): string | null => {
    const style = getComputedStyle(e)
    if (style.outlineStyle === 'none' || parseFloat(style.outlineWidth) < 2) return 'has no ring'
    const ring = colour(style.outlineColor)
    const isInside = parseFloat(style.outlineOffset) < 0
    const ratio = ring ? contrast(ring, groundOf(isInside ? e : e.parentElement)) : 0
    return ratio < 3 ? `has a ring of ${ratio.toFixed(1)} : 1` : null
  }
  /** Its box; of a link that goes over several lines, the first line's. */
  const boxOf = (e: HTMLElement): DOMRect =>
    getComputedStyle(e).display === 'inline'
      ? (e.getClientRects()[0] ?? e.getBoundingClientRect())
      : e.getBoundingClientRect()
  const isUncovered = (e: HTMLElement): string | null => {
    const box = boxOf(e)
    if (box.width < 1 || box.height < 1) return 'has no size'
    const left = Math.max(box.left, 0)
    const right = Math.min(box.right, innerWidth)
    const top = Math.max(box.top, 0)
    const bottom = Math.min(box.bottom, innerHeight)
    if (right - left < Math.min(box.width, 24) || bottom - top < Math.min(box.height, 16))
      return 'is not in sight'
    const at = (share: number, from: number, to: number) => from + (to - from) * share
    for (const [x, y] of [
      [0.5, 0.5],
      [0.15, 0.5],
      [0.85, 0.5],
    ] as const) {
      const hit = document.elementFromPoint(at(x, left, right), at(y, top, bottom))
      if (!isPartOf(hit, e)) return `is covered by ${hit ? named(hit) : 'nothing'}`
    }
    return null
  }
  /** The element itself, its label, or for a field the button that stands within it. */
  const isPartOf = (hit: Element | null, e: HTMLElement): boolean =>
    hit !== null &&
    (e.contains(hit) ||
      Array.from((e as HTMLInputElement).labels ?? []).some((label) => label.contains(hit)) ||
      (e.tagName === 'INPUT' && e.parentElement?.contains(hit) === true))
  /**
   * 24 px each way, or so far from its neighbours that 24 px round its middle hit none of them. Links within a
   * sentence may be as low as its line.
   */
  const isLargeEnough = (e: HTMLElement): string | null => {
    if (getComputedStyle(e).display === 'inline') return null
    const box = e.getBoundingClientRect()
    const [x, y] = [box.left + box.width / 2, box.top + box.height / 2]
    const around = [
      ...(box.width < 23.5 ? [[x - 11.5, y] as const, [x + 11.5, y] as const] : []),
      ...(box.height < 23.5 ? [[x, y - 11.5] as const, [x, y + 11.5] as const] : []),
    ]
    const neighbour = around
      .map(([at, to]) => document.elementFromPoint(at, to))
      .find((hit) => !isPartOf(hit, e) && hit?.closest(CONTROLS))
    return neighbour
      ? `is ${box.width.toFixed(0)} × ${box.height.toFixed(0)} px beside ${named(neighbour)}`
      : null
  }
  const named = (e: Element): string => {
    const words = e.getAttribute('aria-label') ?? (e.textContent || e.getAttribute('id') || '')
    const hook = (e as HTMLElement).dataset.hook
    const mark = hook ? `[${hook}]` : `.${(e.getAttribute('class') ?? '').split(' ')[0] ?? ''}`
    return `${e.tagName.toLowerCase()}${mark} “${words.replace(/\s+/g, ' ').trim().slice(0, 40)}”`
  }
  ;(window as unknown as Looking).lookAtFocus = () => {
    const e = document.activeElement as HTMLElement | null
    if (!e || e === document.body) return null
    const id = ids.get(e) ?? next++
    ids.set(e, id)
    const faults = [isMarked(e), isUncovered(e), isLargeEnough(e)].filter((f) => f !== null)
    return { id, what: named(e), faults }
  }
}
