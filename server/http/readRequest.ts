import { getQuery, getRouterParams } from 'h3'
import type { H3Event } from 'h3'
import type { z } from 'zod'
import { refuse } from '#core/base'
import type { Result } from '#core/base'
import type { AnyContract, InputOf } from '#shared/contracts/contract'
import type { WireRefusal } from '#shared/contracts/refusal'
import { readBody } from './readBody'

/** Parses parameters, query and body by the contract; the first fault names its field. */
export async function readRequest<C extends AnyContract>(
  event: H3Event,
  contract: C,
): Promise<Result<InputOf<C>, WireRefusal>> {
  const body =
    contract.method === 'POST' ? await readBody(event, contract.mostBytes) : { ok: true as const, value: {} }
  if (!body.ok) return body
  const params = contract.params.safeParse(getRouterParams(event, { decode: true }))
  const query = contract.query.safeParse(getQuery(event))
  const parsed = contract.body.safeParse(body.value)
  const fault = [params, query, parsed].find((p) => !p.success)
  if (fault?.error) return refuse(invalid(fault.error))
  return { ok: true, value: { params: params.data, query: query.data, body: parsed.data } as InputOf<C> }
}

function invalid(error: z.ZodError): WireRefusal {
  const issue = error.issues[0] && closest(error.issues[0])
  const unknown = issue?.code === 'unrecognized_keys' ? issue.keys[0] : undefined
  return {
    code: 'input/invalid',
    field: [...(issue?.path ?? []), ...(unknown === undefined ? [] : [unknown])].map(String).join('.'),
    problem: unknown === undefined ? (issue?.message ?? 'is not valid') : 'is not known here',
  }
}

/** Where several shapes would do, the fault of the one that fits best. */
function closest(issue: z.core.$ZodIssue): z.core.$ZodIssue {
  if (issue.code !== 'invalid_union') return issue
  const [best] = [...issue.errors]
    .filter((e) => e.length > 0)
    .sort((a, b) => a.length - b.length || depthOf(b) - depthOf(a))
  const inner = best?.[0] && closest(best[0])
  return inner ? ({ ...inner, path: [...issue.path, ...inner.path] } as z.core.$ZodIssue) : issue
}

function depthOf(issues: readonly z.core.$ZodIssue[]): number {
  return Math.max(...issues.map((i) => i.path.length))
}
