import { describe, expect, it } from 'vitest'
import { Turns } from '../../server/heavy/turns'
import type { Leave, Wish } from '../../server/heavy/turns'

const LIMITS = { atOnce: 2, longAtOnce: 1, waiting: 4, waitingOfOne: 2 }
const short = (who: string | null): Wish => ({ who, isLong: false })
const long = (who: string | null): Wish => ({ who, isLong: true })

/** Takes a turn and notes when it begins. */
function asked(turns: Turns, began: string[], name: string, wish: Wish, gone: AbortSignal | null = null) {
  return turns.take(wish, gone).then((leave): Leave | null => {
    began.push(leave ? name : `${name} not`)
    return leave
  })
}
const soon = () => new Promise<void>((resolve) => setImmediate(resolve))

describe('turns', () => {
  it('begin two at a time, and the next one when one leaves', async () => {
    const [turns, began] = [new Turns(LIMITS), [] as string[]]
    const first = await asked(turns, began, 'a', short('a'))
    await asked(turns, began, 'b', short('b'))
    void asked(turns, began, 'c', short('c'))
    await soon()
    expect(began).toEqual(['a', 'b'])
    first?.()
    first?.()
    await soon()
    expect(began).toEqual(['a', 'b', 'c'])
    expect(turns.waiting).toBe(0)
  })

  it('give one person one at a time: the others go on past who waits', async () => {
    const [turns, began] = [new Turns(LIMITS), [] as string[]]
    const first = await asked(turns, began, 'a1', short('a'))
    void asked(turns, began, 'a2', short('a'))
    await asked(turns, began, 'b', short('b'))
    expect(began).toEqual(['a1', 'b'])
    first?.()
    await soon()
    expect(began).toEqual(['a1', 'b', 'a2'])
  })

  it('leave room for short jobs while a long one runs', async () => {
    const [turns, began] = [new Turns(LIMITS), [] as string[]]
    await asked(turns, began, 'book', long('a'))
    void asked(turns, began, 'second book', long('b'))
    await asked(turns, began, 'outline', short('c'))
    expect(began).toEqual(['book', 'outline'])
  })

  it('end with a queue that is full, of one and of all', async () => {
    const [turns, began] = [new Turns(LIMITS), [] as string[]]
    for (const name of ['a', 'a', 'a', 'a']) void asked(turns, began, name, short('a'))
    await soon()
    expect(began).toEqual(['a', 'a not'])
    for (const name of ['b', 'c', 'd', 'e']) void asked(turns, began, name, short(name))
    await soon()
    expect(began).toEqual(['a', 'a not', 'b', 'e not'])
  })

  it('are given up by who goes away, waiting or before', async () => {
    const [turns, began] = [new Turns(LIMITS), [] as string[]]
    await asked(turns, began, 'a', short('a'))
    const gone = new AbortController()
    void asked(turns, began, 'a2', short('a'), gone.signal)
    gone.abort()
    await asked(turns, began, 'late', short('b'), gone.signal)
    await soon()
    expect(began).toEqual(['a', 'late not', 'a2 not'].sort((x, y) => began.indexOf(x) - began.indexOf(y)))
    expect(turns.waiting).toBe(0)
  })
})
