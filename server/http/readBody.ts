import { getRequestHeader } from 'h3'
import type { H3Event } from 'h3'
import { ok, refuse } from '#core/base'
import type { Result } from '#core/base'
import type { WireRefusal } from '#shared/contracts/refusal'

/** A request's JSON body, at most so many bytes: what comes beyond is never taken in, let alone kept. */
export async function readBody(event: H3Event, most: number): Promise<Result<unknown, WireRefusal>> {
  const declared = Number(getRequestHeader(event, 'content-length') ?? 0)
  const read = declared > most ? tooLarge(most) : await upTo(event, most)
  if (!read.ok) {
    letGo(event)
    return read
  }
  if (read.value.length === 0) return ok({})
  if (!getRequestHeader(event, 'content-type')?.startsWith('application/json'))
    return refuse({ code: 'input/not-json' })
  try {
    return ok(JSON.parse(read.value.toString('utf8')))
  } catch {
    return refuse({ code: 'input/not-json' })
  }
}

type Read = Result<Buffer, WireRefusal>

function tooLarge(most: number): Read {
  return refuse({ code: 'input/too-large', most })
}

/** The bytes of a request's body; refused as soon as they are more, or when it breaks off. */
function upTo({ node: { req } }: H3Event, most: number): Promise<Read> {
  return new Promise((resolve) => {
    const chunks: Buffer[] = []
    let size = 0
    const done = (result: Read) => {
      req.off('data', take).off('end', end).off('error', cut).off('close', cut)
      resolve(result)
    }
    const take = (chunk: Buffer) => {
      size += chunk.length
      if (size > most) done(tooLarge(most))
      else chunks.push(chunk)
    }
    const end = () => done(ok(Buffer.concat(chunks)))
    // whoever goes away in the middle has asked for nothing, not for an act without a body
    const cut = () => done(refuse({ code: 'input/not-json' }))
    req.on('data', take).on('end', end).on('error', cut).on('close', cut)
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
