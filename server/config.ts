import { z } from 'zod'
import { parseInstant } from '#core/base'
import type { Instant } from '#core/base'

const schema = z.object({
  /** Path of the database file, or the address of a remote libSQL server. */
  STEP_CAIRN_DATABASE: z.string().min(1).default('.data/step-cairn.db'),
  STEP_CAIRN_DATABASE_TOKEN: z.string().min(1).optional(),
  /** Where the migrations lie. */
  STEP_CAIRN_MIGRATIONS: z.string().min(1).default('db/migrations'),
  /** Seals the session cookies; at least 32 characters. `npm run start` makes and keeps one. */
  STEP_CAIRN_SECRET: z.string().min(32, 'needs at least 32 characters'),
  /** Set for the demo: the instant at which its clock starts. */
  STEP_CAIRN_DEMO_NOW: z
    .string()
    .transform((text, ctx) => {
      const at = parseInstant(text)
      if (at === null)
        ctx.addIssue({ code: 'custom', message: 'is not an instant such as 2026-10-21T20:30:00Z' })
      return at as Instant
    })
    .optional(),
})

export interface Config {
  readonly database: string
  readonly databaseToken: string | undefined
  readonly migrations: string
  readonly secret: string
  readonly demoNow: Instant | null
}

/** Reads the settings from the environment; wrong values stop the start, naming each variable. */
export function readConfig(env: Readonly<Record<string, string | undefined>>): Config {
  const parsed = schema.safeParse(env)
  if (!parsed.success)
    throw new Error(
      `Wrong settings:\n${parsed.error.issues.map((i) => `  ${i.path.join('.')} ${i.message}`).join('\n')}`,
    )
  const v = parsed.data
  return {
    database: v.STEP_CAIRN_DATABASE,
    databaseToken: v.STEP_CAIRN_DATABASE_TOKEN,
    migrations: v.STEP_CAIRN_MIGRATIONS,
    secret: v.STEP_CAIRN_SECRET,
    demoNow: v.STEP_CAIRN_DEMO_NOW ?? null,
  }
}
