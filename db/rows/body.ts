import type { z } from 'zod'
import { keptAtMost } from '../keptAtMost'

/** A step from one version of a stored body to the next: plain JSON in, plain JSON out. */
export type Upgrade = (old: Readonly<Record<string, unknown>>) => Readonly<Record<string, unknown>>

/** A JSON column: `{ v, ... }`, written at the newest version, read at any. */
export interface Body<T> {
  readonly print: (value: T) => string
  readonly read: (text: string) => T
  /** The same of a text that was taken apart with others. */
  readonly take: (stored: Readonly<Record<string, unknown>>) => T
}

/**
 * A JSON column of one shape. `upgrades[0]` makes version 2 of version 1, and so on; the newest version is one
 * more than there are steps. A text that does not fit is a defect in the database, not in somebody's input.
 */
export function bodyOf<S extends z.ZodType<object>>(
  where: string,
  shape: S,
  upgrades: readonly Upgrade[] = [],
): Body<z.output<S>> {
  const newest = upgrades.length + 1
  const take = ({ v, ...old }: Readonly<Record<string, unknown>>) => {
    if (!Number.isInteger(v) || Number(v) < 1 || Number(v) > newest)
      throw new Error(`${where}: version ${String(v)} is not known here`)
    const now = upgrades.slice(Number(v) - 1).reduce((body, step) => step(body), old)
    return readShape(shape, now, where)
  }
  return {
    print: (value) => JSON.stringify({ v: newest, ...value }),
    read: (text) => take(parse(text, where)),
    take,
  }
}

/**
 * The same column, where one text is read over and over: by every learner of a class, again and again. What was read
 * of the latest `most` texts is kept; the same text means the same value, so that nothing can be out of date.
 */
export function readOnce<T extends object>(body: Body<T>, most: number): Body<T> {
  const known = keptAtMost<string, T>(most)
  return {
    print: body.print,
    take: body.take,
    read: (text) => {
      const kept = known.get(text)
      if (kept !== undefined) return kept
      const value = body.read(text)
      known.keep(text, value)
      return value
    },
  }
}

/** Reads a stored value through its shape; anything else is a defect. */
export function readShape<S extends z.ZodType>(shape: S, value: unknown, where: string): z.output<S> {
  const parsed = shape.safeParse(value)
  if (parsed.success) return parsed.data
  const at = parsed.error.issues[0]?.path.join('.')
  throw new Error(`${where}: stored value has an unexpected shape at ${at}`, { cause: parsed.error })
}

/** Stored text as JSON; anything else is a defect. */
export function parse(text: string, where: string): Readonly<Record<string, unknown>> {
  try {
    return JSON.parse(text) as Readonly<Record<string, unknown>>
  } catch (cause) {
    throw new Error(`${where}: stored text is not JSON`, { cause })
  }
}
