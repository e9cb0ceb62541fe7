import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { ResourceId } from '../base'
import { EMPTY_TRAY, MOST_ASIDE, MOST_IN_TRAY, afterTrayAct, codesIn, putIn, takeOut, traySums } from './tray'

const id = (text: string) => asId<ResourceId>(text)
const ids = (...list: string[]) => list.map(id)

describe('the tray', () => {
  it('is ordered without losing what came in meanwhile, or finding what went', () => {
    const tray = putIn(EMPTY_TRAY, ids('a', 'b', 'new'))
    const ordered = afterTrayAct(tray, { kind: 'order', pieces: ids('b', 'gone', 'a') })
    expect(ordered.pieces).toEqual(['b', 'a', 'new'])
    expect(afterTrayAct(ordered, { kind: 'limit', minutes: 45 })).toEqual({ ...ordered, limit: 45 })
    expect(afterTrayAct(ordered, { kind: 'take-out', pieces: ids('b') }).pieces).toEqual(['a', 'new'])
    expect(afterTrayAct(ordered, { kind: 'put-in', pieces: ids('c') }).pieces).toEqual(['b', 'a', 'new', 'c'])
  })

  it('sets aside what was gathered under a name, and goes on with it later', () => {
    const tray = putIn(EMPTY_TRAY, ids('a', 'b'))
    const aside = afterTrayAct(tray, { kind: 'set-aside', name: ' Unit 2 ' })
    expect([aside.pieces, aside.aside]).toEqual([[], [{ name: 'Unit 2', pieces: ['a', 'b'] }]])
    const more = afterTrayAct(putIn(aside, ids('c', 'a')), { kind: 'set-aside', name: 'Unit 2' })
    expect(more.aside).toEqual([{ name: 'Unit 2', pieces: ['a', 'b', 'c'] }])
    const back = afterTrayAct(putIn(more, ids('x')), { kind: 'take-up', name: 'Unit 2' })
    expect(back).toEqual({ ...EMPTY_TRAY, pieces: ['x', 'a', 'b', 'c'] })
    expect(afterTrayAct(more, { kind: 'forget', name: 'Unit 2' })).toEqual(EMPTY_TRAY)
  })

  it('loses nothing where nothing can be set aside', () => {
    const tray = putIn(EMPTY_TRAY, ids('a'))
    expect(afterTrayAct(tray, { kind: 'set-aside', name: '  ' })).toEqual(tray)
    expect(afterTrayAct(tray, { kind: 'take-up', name: 'nowhere' })).toEqual(tray)
    expect(afterTrayAct(EMPTY_TRAY, { kind: 'set-aside', name: 'Empty' })).toEqual(EMPTY_TRAY)
    const aside = Array.from({ length: MOST_ASIDE }, (_, i) => ({ name: `G${i}`, pieces: ids('z') }))
    const full = { ...tray, aside }
    expect(afterTrayAct(full, { kind: 'set-aside', name: 'One more' })).toEqual(full)
  })

  it('takes each piece once, at its end', () => {
    const tray = putIn(putIn(EMPTY_TRAY, ids('a', 'b')), ids('c', 'a', 'c'))
    expect(tray.pieces).toEqual(['a', 'b', 'c'])
    expect(takeOut(tray, ids('b', 'z')).pieces).toEqual(['a', 'c'])
  })

  it('holds no more than it holds', () => {
    const many = Array.from({ length: 250 }, (_, i) => id(`p${i}`))
    expect(putIn(EMPTY_TRAY, many).pieces).toEqual(many.slice(0, MOST_IN_TRAY))
  })

  it('is the same however often something is put in, and as before when it is taken out', () => {
    const some = fc.uniqueArray(
      fc.integer({ min: 0, max: 60 }).map((n) => id(`p${n}`)),
      { maxLength: 20 },
    )
    fc.assert(
      fc.property(some, some, (first, second) => {
        const tray = putIn(EMPTY_TRAY, first)
        const more = putIn(tray, second)
        expect(putIn(more, second)).toEqual(more)
        expect(
          takeOut(
            more,
            second.filter((p) => !first.includes(p)),
          ),
        ).toEqual(tray)
      }),
    )
  })

  it('sums minutes by topic, in the order in which topics come', () => {
    const piece = (name: string, minutes: number, topic: string) => ({ id: id(name), minutes, topic })
    const pieces = [piece('a', 10, 'W2'), piece('b', 15, 'W1'), piece('c', 5, 'W2')]
    expect(traySums(pieces, 25)).toEqual({
      topics: [
        { topic: 'W2', count: 2, minutes: 15 },
        { topic: 'W1', count: 1, minutes: 15 },
      ],
      all: { topic: '', count: 3, minutes: 30 },
      over: 5,
    })
    expect(traySums(pieces, null).over).toBe(0)
    expect(traySums([], 10)).toEqual({ topics: [], all: { topic: '', count: 0, minutes: 0 }, over: 0 })
  })
})

describe('short codes', () => {
  it('are read however they are parted', () => {
    expect(codesIn('vib101, WAV203;\n wav203\tpro302')).toEqual(['vib101', 'wav203', 'pro302'])
    expect(codesIn(' , ')).toEqual([])
  })
})
