import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Parts } from '#core/combining'
import type { Refusal } from '#shared/contracts/refusal'
import { useCombining } from './combining'
import { useStillMeant } from './stillMeant'
import type { PartWords } from './words'
import { sayPlain } from './words'

const open = vi.hoisted(() => vi.fn())
const done = vi.hoisted(() => vi.fn())
vi.mock('~/shared/frame/dialogs', () => ({ useDialogs: () => open }))
vi.mock('~/shared/frame/tell', () => ({ useTell: () => ({ done }) }))
vi.mock('./StillMeant.vue', () => ({ default: {} }))
vi.mock('./BothValues.vue', () => ({ default: {} }))

interface Note {
  readonly title: string
  readonly due: string | null
}
const PARTS: Parts<Note> = { title: 'whole', due: 'whole' }
const words: PartWords<Note> = { label: ({ part }) => part, value: (_, value) => sayPlain(value) }
const SEEN: Note = { title: 'Waves', due: 'Fri' }
const CHANGED: Refusal = {
  code: 'access/changed-meanwhile',
  field: 'version',
  seen: 1,
  now: 2,
  by: { name: 'Tomasz', isSelf: false },
}

/** A server on which somebody else was first: what it has, and what it is sent. */
function aServer(theirs: Note) {
  let version = 2
  const send = vi.fn((mine: Note, seen: { readonly version: number }) => {
    if (seen.version !== version) return Promise.resolve({ ok: false as const, error: CHANGED })
    version++
    return Promise.resolve({ ok: true as const, value: mine })
  })
  const current = () => Promise.resolve({ value: theirs, version })
  return { send, current, changesAgain: () => version++ }
}
const about = { what: 'this note', parts: PARTS, words, seen: { value: SEEN, version: 1 } }

beforeEach(() => {
  open.mockReset()
  done.mockReset()
})

describe('saving what somebody else has changed meanwhile', () => {
  it('puts together what is about different parts, and says what came along', async () => {
    const server = aServer({ ...SEEN, due: 'Mon' })
    const saved = await useCombining()({ ...about, ...server, mine: { ...SEEN, title: 'Sound' } })
    expect(saved).toEqual({ ok: true, value: { title: 'Sound', due: 'Mon' } })
    expect(open).not.toHaveBeenCalled()
    expect(done).toHaveBeenCalledWith('Saved, with what changed meanwhile: Due')
  })

  it.each([
    ['mine', 'Wed'],
    ['theirs', 'Mon'],
  ] as const)('asks with both values in words, and keeps %s', async (side, due) => {
    const server = aServer({ title: 'Sound', due: 'Mon' })
    open.mockResolvedValueOnce(new Map([['due', side]]))
    const saved = await useCombining()({ ...about, ...server, mine: { ...SEEN, due: 'Wed' } })
    expect(open.mock.calls[0]?.[1]).toEqual({
      who: 'Tomasz',
      what: 'this note',
      rows: [{ id: 'due', label: 'Due', mine: 'Wed', theirs: 'Mon' }],
      also: 'title',
    })
    expect(saved).toEqual({ ok: true, value: { title: 'Sound', due } })
  })

  it('saves nothing where it is left', async () => {
    const server = aServer({ ...SEEN, due: 'Mon' })
    open.mockResolvedValueOnce(null)
    expect(await useCombining()({ ...about, ...server, mine: { ...SEEN, due: null } })).toBeNull()
    expect(server.send).toHaveBeenCalledTimes(1)
  })

  it('asks again where yet another change came while it was asked', async () => {
    const server = aServer({ ...SEEN, due: 'Mon' })
    open.mockImplementationOnce(() => {
      server.changesAgain()
      return Promise.resolve(new Map([['due', 'mine']]))
    })
    const saved = await useCombining()({ ...about, ...server, mine: { ...SEEN, due: 'Wed' } })
    // what stands is what was decided on already: nothing is left to ask
    expect(open).toHaveBeenCalledTimes(1)
    expect(saved).toEqual({ ok: true, value: { ...SEEN, due: 'Wed' } })
  })

  it('does an act all the same only where that is said, with what was seen and what stands', async () => {
    const server = aServer({ ...SEEN, due: 'Mon' })
    const of = { ...about, ...server, act: 'Withdraw it', send: server.send.bind(null, SEEN) }
    open.mockResolvedValueOnce(false)
    expect(await useStillMeant()(of)).toBeNull()
    expect(open.mock.calls[0]?.[1]).toMatchObject({
      title: 'Tomasz changed this note meanwhile',
      rows: [{ label: 'Due', was: 'Fri', is: 'Mon' }],
      act: 'Withdraw it',
    })
    open.mockResolvedValueOnce(true)
    expect((await useStillMeant()(of))?.ok).toBe(true)
  })
})
