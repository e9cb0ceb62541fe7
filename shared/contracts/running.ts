import type { Instant } from '#core/base'
import type { NoticeKind } from '#core/work'
import { contract } from './define'

/** Whether the server works; nothing about anybody. Answered with 503 while the database takes no writes. */
export interface Health {
  readonly ready: boolean
  readonly canWrite: boolean
  readonly version: string
}
export const ShowHealth = contract<Health>()({ for: 'anybody', method: 'GET', path: '/api/health' })
/** A letter that the demo would have mailed. */
export interface SentLetter {
  readonly number: number
  readonly to: { readonly name: string; readonly signIn: string }
  readonly zone: string
  readonly at: Instant
  readonly lines: readonly {
    readonly kind: NoticeKind
    readonly title: string
    readonly dueAt: Instant | null
  }[]
}
/** The outbox of the demo's mail stand-in, for teachers; not there anywhere else. */
export const ShowOutbox = contract<{ readonly letters: readonly SentLetter[] }>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/outbox',
})
/** Figures about the server's work, for who has the token. */
export const ShowFigures = contract<unknown>()({ for: 'anybody', method: 'GET', path: '/api/metrics' })
