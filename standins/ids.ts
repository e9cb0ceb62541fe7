import { randomBytes, randomInt } from 'node:crypto'
import { seededRandom } from '#core/base'
import type { Ids } from '#ports'

const CODE_LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789'

/** Random ids of 128 bits. */
export function randomIds(): Ids {
  return {
    newId: () => randomBytes(16).toString('base64url'),
    newJoinCode: () => Array.from({ length: 7 }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join(''),
  }
}

/** Repeatable ids, so that the same demo is built every time. */
export function seededIds(seed: number): Ids {
  const random = seededRandom(seed)
  const letters = (count: number) =>
    Array.from({ length: count }, () => CODE_LETTERS[Math.floor(random() * CODE_LETTERS.length)]).join('')
  return { newId: () => letters(16), newJoinCode: () => letters(7) }
}
