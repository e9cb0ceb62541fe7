import type { Result } from '#core/base'
import type { AnyContract, CallOf, ReplyOf } from '#shared/contracts/contract'
import type { Refusal } from '#shared/contracts/refusal'

const WAIT_MS = 20_000

/**
 * Calls an address by its contract. A lost connection or a broken answer is a refusal too, never an
 * exception.
 */
export async function call<C extends AnyContract>(
  contract: C,
  input: CallOf<C> = {},
): Promise<Result<ReplyOf<C>, Refusal>> {
  let reply: Response
  try {
    reply = await fetch(addressOf(contract, input), {
      method: contract.method,
      signal: AbortSignal.timeout(WAIT_MS),
      ...(contract.method === 'POST'
        ? { body: JSON.stringify(input.body ?? {}), headers: { 'content-type': 'application/json' } }
        : {}),
    })
  } catch {
    return { ok: false, error: { code: 'wire/lost' } }
  }
  const body: unknown = await reply.json().catch(() => undefined)
  if (reply.ok) return { ok: true, value: (body ?? null) as ReplyOf<C> }
  const error = (body as { error?: Refusal } | undefined)?.error
  return { ok: false, error: error ?? { code: 'wire/broken', requestId: '' } }
}

function addressOf(contract: AnyContract, input: CallOf<AnyContract>): string {
  const params = (input.params ?? {}) as Record<string, string>
  const path = contract.path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''))
  const query = Object.entries((input.query ?? {}) as Record<string, string | undefined>).filter(
    (e): e is [string, string] => e[1] !== undefined,
  )
  return query.length === 0 ? path : `${path}?${new URLSearchParams(query)}`
}
