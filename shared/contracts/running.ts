import { contract } from './define'

/** Whether the server works; nothing about anybody. Answered with 503 while the database takes no writes. */
export interface Health {
  readonly ready: boolean
  readonly canWrite: boolean
  readonly version: string
}
export const ShowHealth = contract<Health>()({ method: 'GET', path: '/api/health' })
/** Figures about the server's work, for who has the token. */
export const ShowFigures = contract<unknown>()({ method: 'GET', path: '/api/metrics' })
