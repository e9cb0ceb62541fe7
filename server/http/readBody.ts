import { getRequestHeader } from 'h3'
import type { H3Event } from 'h3'
import { ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import type { WireRefusal } from '#shared/contracts/refusal'

/** A request's JSON body, at most so many bytes: what comes beyond is never taken in, let alone kept. */
export async function readBody(event: H3Event, most: number): Promise<Result<unknown, WireRefusal>> {
  const declared = Number(getRequestHeader(event, 'content-length') ?? 0)
  const raw = declared > most ? null : await upTo(event, most)
  if (raw === null) {
    letGo(event)
    return refuse({ code: 'input/too-large', most })
  }
  if (raw.length === 0) return ok({})
  if (!getRequestHeader(event, 'content-type')?.startsWith('application/json'))
    return refuse({ code: 'input/not-json' })
  try {
    return ok(JSON.parse(raw.toString('utf8')))
  } catch {
    return refuse({ code: 'input/not-json' })
  }
}

/** The bytes of a request's body; null as soon as they are more. */
function upTo({ node: { req } }: H3Event, most: number): Promise<Buffer | null> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    let size = 0
    const done = (result: Buffer | null) => {
      req.off('data', take).off('end', end).off('error', reject).off('close', cut)
      resolve(result)
    }
    const take = (chunk: Buffer) => {
      size += chunk.length
      if (size > most) done(null)
      else chunks.push(chunk)
    }
    const end = () => done(Buffer.concat(chunks))
    // whoever goes away in the middle has said nothing
    const cut = () => done(Buffer.alloc(0))
    req.on('data', take).on('end', end).on('error', reject).on('close', cut)
  })
}

/** So much of what is too large is thrown away unread, so that the answer arrives before the line is cut. */
const MOST_THROWN_AWAY = 16_000_000

function letGo({ node: { req } }: H3Event): void {
  let size = 0
  req.on('data', (chunk: Buffer) => {
    size += chunk.length
    if (size > MOST_THROWN_AWAY) req.destroy()
  })
}
