import type { z } from 'zod'
import type { WhoFor } from '#core/access'

export type Method = 'GET' | 'POST'

/** The agreement about one address between browser and server. */
export interface Contract<
  Reply,
  Params extends z.ZodType,
  Query extends z.ZodType,
  Body extends z.ZodType,
  For extends WhoFor = WhoFor,
> {
  /** Who is let in at all; what they may do there is asked of the thing itself. */
  readonly for: For
  readonly method: Method
  /** With `:name` for parameters, such as '/api/classes/:classId'. */
  readonly path: string
  readonly params: Params
  readonly query: Query
  readonly body: Body
  /** Largest body in bytes. */
  readonly mostBytes: number
  readonly reply?: Reply
}

export type AnyContract = Contract<unknown, z.ZodType, z.ZodType, z.ZodType>
export type ReplyOf<C> = C extends Contract<infer R, z.ZodType, z.ZodType, z.ZodType> ? R : never
/** What a route gets after parsing. */
export interface InputOf<C extends AnyContract> {
  readonly params: z.output<C['params']>
  readonly query: z.output<C['query']>
  readonly body: z.output<C['body']>
}
/** What a caller passes. */
export interface CallOf<C extends AnyContract> {
  readonly params?: z.input<C['params']>
  readonly query?: z.input<C['query']>
  readonly body?: z.input<C['body']>
}
