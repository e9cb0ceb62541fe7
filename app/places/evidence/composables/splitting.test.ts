import { nextTick, shallowRef } from 'vue'
import { describe, expect, it } from 'vitest'
import type { Scored } from '#core/grouping'
import { ids } from '../../../../tests/support/made'
import { nameOfGroup, readBounds, sayNoGroups } from '../splitWords'
import { useSplitting } from './splitting'

const user = (i: number) => ids.user(`l${i}`)
const SIX: readonly Scored[] = [0.1, 0.2, 0.6, 0.7, 0.9, null].map((share, i) => ({
  learnerId: user(i),
  share,
}))
const membersOf = ({ groups }: ReturnType<typeof useSplitting>) => groups.value.map((g) => g.learnerIds)

describe('splitting a class', () => {
  it('begins with the usual bounds, and follows another way, figure or wish', async () => {
    const splitting = useSplitting(() => SIX)
    expect(splitting.groups.value.map((g) => [g.name, g.learnerIds.length])).toEqual([
      ['Below 60 %', 2],
      ['60 to 84 %', 2],
      ['From 85 %', 1],
    ])
    expect(splitting.unscored.value).toEqual([user(5)])
    splitting.way.value = 'mixed'
    splitting.howMany.value = 2
    await nextTick()
    expect(membersOf(splitting).map((g) => g.length)).toEqual([3, 3])
    expect(splitting.unscored.value).toEqual([])
    const [first] = membersOf(splitting)
    const pair = [first![0]!, first![1]!] as const
    splitting.wish('apart', pair)
    await nextTick()
    expect(membersOf(splitting).some((g) => pair.every((id) => g.includes(id)))).toBe(false)
    splitting.wish('together', pair)
    await nextTick()
    expect(splitting.groups.value).toEqual([])
    expect(splitting.refusal.value).toMatchObject({ code: 'grouping/together-and-apart' })
    splitting.unwish('apart', 0)
    await nextTick()
    expect(membersOf(splitting).some((g) => pair.every((id) => g.includes(id)))).toBe(true)
  })

  it('moves learners by hand, and keeps that until it is split anew', async () => {
    const shares = shallowRef(SIX)
    const splitting = useSplitting(() => shares.value)
    splitting.move([user(0), user(5)], 2)
    expect(membersOf(splitting)).toEqual([[user(1)], [user(2), user(3)], [user(4), user(0), user(5)]])
    expect(splitting.unscored.value).toEqual([])
    splitting.rename(2, 'Further')
    expect(splitting.groups.value[2]?.name).toBe('Further')
    splitting.boundsText.value = '50'
    await nextTick()
    expect(splitting.groups.value.map((g) => g.name)).toEqual(['Below 50 %', 'From 50 %'])
  })

  it('has no groups where bounds or a number are none', async () => {
    const splitting = useSplitting(() => SIX)
    splitting.boundsText.value = 'high'
    await nextTick()
    expect([splitting.bounds.value, membersOf(splitting)]).toEqual([null, []])
    splitting.way.value = 'breaks'
    splitting.howMany.value = 0
    await nextTick()
    expect([splitting.isCountable.value, membersOf(splitting)]).toEqual([false, []])
  })
})

describe('bounds', () => {
  it('are whole per cents, in any order, with or without signs', () => {
    expect(readBounds('85 %, 60')).toEqual([60, 85])
    expect(readBounds('85%, 60 60')).toEqual([60, 85])
    expect([readBounds(''), readBounds('0'), readBounds('101'), readBounds('6.5')]).toEqual([
      null,
      null,
      null,
      null,
    ])
  })

  it('name the groups between them', () => {
    expect([0, 1].map((i) => nameOfGroup('bounds', i, [70]))).toEqual(['Below 70 %', 'From 70 %'])
    expect(nameOfGroup('mixed', 1, [])).toBe('Group 2')
  })
})

describe('wishes that cannot be', () => {
  it('are said with who they are about', () => {
    const names = new Map([
      [user(0), 'Ann'],
      [user(1), 'Ben'],
    ])
    const say = (refusal: Parameters<typeof sayNoGroups>[0]) =>
      sayNoGroups(refusal, (id) => names.get(id) ?? '')
    const learnerIds = [user(0), user(1)]
    expect(say({ code: 'grouping/together-and-apart', learnerIds })).toContain('Ann and Ben')
    expect(say({ code: 'grouping/too-many-together', learnerIds, most: 1 })).toContain('a group holds 1')
    expect(say({ code: 'grouping/too-many-apart', learnerIds })).toContain('that needs 2 groups')
    expect(say({ code: 'grouping/no-such-groups' })).toContain('change the number of groups')
  })
})
