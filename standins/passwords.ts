import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'
import type { Passwords } from '#ports'

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

/** scrypt (RFC 7914) with a random salt per password; `cost` is N. */
export function scryptPasswords(cost = 16_384): Passwords {
  return {
    hash: async (password) => {
      const salt = randomBytes(16)
      const key = await derive(password, salt, cost)
      return `scrypt$${cost}$${salt.toString('base64url')}$${key.toString('base64url')}`
    },
    matches: async (password, hash) => {
      const parts = SHAPE.exec(hash)
      if (!parts) return false
      const wanted = Buffer.from(parts[3] as string, 'base64url')
      const got = await derive(password, Buffer.from(parts[2] as string, 'base64url'), Number(parts[1]))
      return wanted.length === got.length && timingSafeEqual(wanted, got)
    },
  }
}
