import proxyaddr from 'proxy-addr'
import { z } from 'zod'
import { parseInstant } from '#core/base'
import type { Instant } from '#core/base'
import type { SignUpRule } from '#usecases/ground/deps'

const listed = (text: string) =>
  text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean)
const proxies = z.array(z.string()).transform((list, ctx) => {
  try {
    return proxyaddr.compile(list)
  } catch {
    ctx.addIssue({ code: 'custom', message: 'is not a list of addresses such as 10.0.0.1 or 10.0.0.0/8' })
    return z.NEVER
  }
})

const schema = z.object({
  /** Path of the database file, or the address of a remote libSQL server. */
  STEP_CAIRN_DATABASE: z.string().min(1).default('.data/step-cairn.db'),
  STEP_CAIRN_DATABASE_TOKEN: z.string().min(1).optional(),
  /** Where the migrations lie. */
  STEP_CAIRN_MIGRATIONS: z.string().min(1).default('db/migrations'),
  /** Seals the session cookies; at least 32 characters. `npm run start` makes and keeps one. */
  STEP_CAIRN_SECRET: z.string().min(32, 'needs at least 32 characters'),
  /** Addresses or networks of proxies before this server, whose forwarding headers count; with commas. */
  STEP_CAIRN_TRUSTED_PROXIES: z.string().default('').transform(listed).pipe(proxies),
  /** Who may make a new school here. */
  STEP_CAIRN_SIGN_UP: z.enum(['open', 'closed', 'invitation']).default('open'),
  /** The word that `invitation` asks for. */
  STEP_CAIRN_INVITATION: z.string().trim().min(8, 'needs at least 8 characters').max(80).optional(),
  /** Whoever sends it may read figures about the server; without it nobody may. */
  STEP_CAIRN_METRICS_TOKEN: z.string().min(16, 'needs at least 16 characters').optional(),
  /** File of the worker for heavy jobs; the build lays it beside the server. */
  STEP_CAIRN_WORKER: z.string().min(1).optional(),
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
  readonly trusts: (address: string, hop: number) => boolean
  readonly signUp: SignUpRule
  readonly metricsToken: string | null
  readonly worker: string | null
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
    trusts: v.STEP_CAIRN_TRUSTED_PROXIES,
    signUp: signUpRule(v.STEP_CAIRN_SIGN_UP, v.STEP_CAIRN_INVITATION),
    worker: v.STEP_CAIRN_WORKER ?? null,
    metricsToken: v.STEP_CAIRN_METRICS_TOKEN ?? null,
    demoNow: v.STEP_CAIRN_DEMO_NOW ?? null,
  }
}

function signUpRule(kind: SignUpRule['kind'], code: string | undefined): SignUpRule {
  if (kind !== 'invitation') return { kind }
  if (code === undefined)
    throw new Error(
      'Wrong settings:\n  STEP_CAIRN_INVITATION is needed where STEP_CAIRN_SIGN_UP is invitation',
    )
  return { kind, code }
}
