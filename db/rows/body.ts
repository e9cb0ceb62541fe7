import type { z } from 'zod'

/** Writes a versioned JSON column. */
export function printBody(value: object): string {
  return JSON.stringify({ v: 1, ...value })
}

/** Reads a versioned JSON column through its schema; anything else is a defect in the database, not in somebody's input. */
export function readBody<S extends z.ZodType>(schema: S, text: string, where: string): z.infer<S> {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch (cause) {
    throw new Error(`${where}: stored text is not JSON`, { cause })
  }
  const parsed = schema.safeParse(json)
  if (!parsed.success)
    throw new Error(
      `${where}: stored value has an unexpected shape at ${parsed.error.issues[0]?.path.join('.')}`,
      { cause: parsed.error },
    )
  return parsed.data
}
