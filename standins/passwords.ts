import { availableParallelism } from 'node:os'
import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import { ok } from '#core/base'
import type { Passwords } from '#ports'
import { inTurn } from './inTurn'

const SHAPE = /^scrypt\$(\d+)\$([\w-]+)\$([\w-]+)$/

function derive(password: string, salt: Buffer, cost: number): Promise<Buffer> {
  return new Promise((resolve, reject) =>
    scrypt(
      password.normalize('NFKC'),
      salt,
      32,
      { N: cost, r: 8, p: 1, maxmem: 256 * cost * 8 },
      (error, key) => (error ? reject(error) : resolve(key)),
    ),
  )
}

/**
 * Two at once at most, and one processor is always left to everybody else; who would wait longer than a few seconds
 * is told so.
 */
const TURNS = { atOnce: Math.max(1, Math.min(2, availableParallelism() - 1)), waiting: 40 }

/** scrypt (RFC 7914) with a random salt per password, a few at a time; `cost` is N. */
export function scryptPasswords(cost = 16_384, turns = TURNS): Passwords {
  const { take, waiting, isFull } = inTurn(turns)
  return {
    waiting,
    isFull,
    hash: (password) =>
      take(async () => {
        const salt = randomBytes(16)
        const key = await derive(password, salt, cost)
        return `scrypt$${cost}$${salt.toString('base64url')}$${key.toString('base64url')}`
      }),
    matches: async (password, hash) => {
      const parts = SHAPE.exec(hash)
      if (!parts) return ok(false)
      const wanted = Buffer.from(parts[3] as string, 'base64url')
      const salt = Buffer.from(parts[2] as string, 'base64url')
      const got = await take(() => derive(password, salt, Number(parts[1])))
      return got.ok ? ok(wanted.length === got.value.length && timingSafeEqual(wanted, got.value)) : got
    },
  }
}
