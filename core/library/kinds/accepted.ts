import { folded } from './folded'
import { decimalOf, isWithin, readingsOf, readNumber } from './readNumber'

/**
 * An accepted answer as it is written: words; `15.71 ± 0.02`, any number within a tolerance; `collor (½)`, what earns
 * half of the points.
 */
const HALF = /\(½\)$/
const NEAR = /^([^±]+)±([^±]+)$/

export interface Accepted {
  /** Without the signs. */
  readonly text: string
  /** 1, or 0.5 of the points. */
  readonly share: number
  readonly near: { readonly value: number; readonly tolerance: number } | null
}

/** Reads an accepted answer. What looks like a tolerance without being one are words. */
export function readAccepted(written: string): Accepted {
  const isHalf = HALF.test(written.trim())
  const text = written.trim().replace(HALF, '').trim()
  const share = isHalf ? 0.5 : 1
  const [, number = '', apart = ''] = NEAR.exec(text) ?? []
  const [value, tolerance] = [readNumber(number.trim(), ''), readNumber(apart.trim(), '')]
  const isNear = value !== null && tolerance !== null && tolerance >= 0
  return { text, share, near: isNear ? { value, tolerance } : null }
}

/** An accepted answer as `readAccepted` reads it. */
export function writeAccepted(text: string, share: number): string {
  return share === 1 ? text : `${text} (½)`
}

/** The best share of the points, 0 to 1, that what was given earns by one of the accepted answers. */
export function shareOf(accepted: readonly string[], given: string): number {
  const plain = folded(given)
  if (plain === '') return 0
  return accepted
    .map(readAccepted)
    .reduce((best, one) => (isGiven(one, plain) ? Math.max(best, one.share) : best), 0)
}

function isGiven({ text, near }: Accepted, given: string): boolean {
  if (near === null) return folded(text) === given
  const [value, tolerance] = [decimalOf(near.value), decimalOf(near.tolerance)]
  return readingsOf(given, '').some((number) => isWithin(number, value, tolerance))
}

/** Those that earn all of the points, as they are told; that a number is exact is not. */
export function wholeOnes(accepted: readonly string[]): readonly string[] {
  return accepted.map(readAccepted).flatMap(({ text, share, near }) => {
    if (share < 1) return []
    return [near?.tolerance === 0 ? String(near.value) : text]
  })
}

/** Those that earn half of the points, as they are told to who scores. */
export function halfOnes(accepted: readonly string[]): readonly string[] {
  return accepted.map(readAccepted).flatMap(({ text, share }) => (share < 1 ? [text] : []))
}
