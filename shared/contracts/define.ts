import { z } from 'zod'
import type { WhoFor } from '#core/access'
import type { Contract, Method } from './contract'
import { WIRE } from '../shapes/makers'

export { day, id } from '../shapes/makers'

const NOTHING = z.strictObject({})
type Nothing = typeof NOTHING

/** Makes a contract; parts that are left out accept nothing. Who it is for is never left out. */
export function contract<Reply>() {
  return <
    const F extends WhoFor,
    P extends z.ZodType = Nothing,
    Q extends z.ZodType = Nothing,
    B extends z.ZodType = Nothing,
  >(def: {
    for: F
    method: Method
    path: string
    params?: P
    query?: Q
    body?: B
    mostBytes?: number
  }): Contract<Reply, P, Q, B, F> => ({
    for: def.for,
    method: def.method,
    path: def.path,
    mostBytes: def.mostBytes ?? 200_000,
    params: (def.params ?? NOTHING) as P,
    query: (def.query ?? NOTHING) as Q,
    body: (def.body ?? NOTHING) as B,
  })
}

/** A line of text, trimmed and not empty. */
export const { line } = WIRE
/** Free text, possibly empty. */
export const { prose } = WIRE
/** The version of a record the sender saw. */
export const version = z.number().int().min(1)

/** Which column of a table is what, where somebody has said so: places counted from 0, by the column's name. */
export const columnsChosen = z
  .record(z.string().max(20), z.number().int().min(0).max(200))
  .nullable()
  .optional()
