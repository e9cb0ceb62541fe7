import { nextTick, shallowRef } from 'vue'
import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { PieceId, ResourceId } from '#core/base'
import type { FollowUpPiece } from '#core/followUp'
import type { FollowUpPage, NamedLearner } from '#shared/contracts/followUp'
import { at, ids } from '../../../../tests/support/made'
import { useProposing } from './proposing'

const id = (name: string) => asId<ResourceId>(name)
const piece = (name: string, part: Partial<FollowUpPiece> = {}): FollowUpPiece => ({
  id: id(name),
  title: name,
  kind: 'practice-set',
  role: 'reteach',
  minutes: 10,
  grade: 8,
  standards: ['W.1'],
  revision: 1,
  itemCount: 5,
  ...part,
})
const learner = (name: string, ...on: NamedLearner['on']): NamedLearner => ({
  id: ids.user(name),
  name,
  on,
  given: [],
  since: [],
  hasIds: [id('check')],
  standings: {},
  minutesDue: 0,
})
const on = (code: string, missed: number) => ({ code, missed, items: 4, share: 1 - missed / 4 })
const page = (part: Partial<FollowUpPage> = {}): FollowUpPage => ({
  classId: ids.class('a'),
  name: 'Science 8 A',
  zone: 'UTC',
  now: at('10-21T12:00'),
  assignmentId: ids.work('w'),
  pieceId: asId<PieceId>('p1'),
  resourceId: id('check'),
  title: 'Check',
  reached: 4,
  learners: [
    learner('Ann', on('W.1', 3)),
    learner('Ben', on('W.1', 4), on('W.2', 2)),
    learner('Cyd', on('W.1', 0)),
    learner('Dov'),
  ],
  ground: {
    grade: 8,
    checkId: id('check'),
    pieces: [
      piece('again'),
      piece('example', { role: 'example' }),
      piece('other', { standards: ['W.2'] }),
      piece('further', { role: 'extension' }),
    ],
    pointers: [],
    requires: {},
  },
  standards: [],
  filing: { categories: [], proposed: '' },
  meetings: [],
  earlier: [],
  ...part,
})
const rowsOf = ({ groups }: ReturnType<typeof useProposing>) =>
  groups.value.map((g) => [g.code, g.isFurther, g.rows.map((r) => `${r.learner.name} ${r.pieceId}`)])

describe('proposals that are looked through', () => {
  it('stand under what was missed, what most missed first; who missed nothing or has no score is named', () => {
    const proposing = useProposing(() => page())
    expect(rowsOf(proposing)).toEqual([
      ['W.1', false, ['Ann again', 'Ben again']],
      ['W.2', false, ['Ben other']],
    ])
    expect(proposing.nothingMissed.value).toEqual([ids.user('Cyd')])
    expect(proposing.unscored.value).toEqual([ids.user('Dov')])
    proposing.terms.value = { ...proposing.terms.value, extend: true }
    expect(rowsOf(proposing).at(-1)).toEqual(['W.1', true, ['Cyd further']])
  })

  it('are declined, taken back and exchanged, row by row and all at once', () => {
    const proposing = useProposing(() => page())
    const [first, second] = proposing.groups.value[0]!.rows
    proposing.accept([first!.key, second!.key], false)
    expect(proposing.accepted.value.map((a) => a.pieceId)).toEqual(['other'])
    // they stay in sight
    expect(rowsOf(proposing)[0]?.[2]).toHaveLength(2)
    proposing.accept([first!.key], true)
    proposing.choose([first!.key, second!.key], id('example'))
    expect(proposing.accepted.value.map((a) => a.pieceId)).toEqual(['example', 'other'])
    // what would not do for somebody is not given to them
    proposing.choose([first!.key], id('other'))
    expect(proposing.accepted.value.map((a) => a.pieceId)).toEqual(['again', 'other'])
  })

  it('of another check begin afresh', async () => {
    const shown = shallowRef(page())
    const proposing = useProposing(() => shown.value)
    proposing.accept(
      proposing.rows.value.map((r) => r.key),
      false,
    )
    expect(proposing.accepted.value).toEqual([])
    shown.value = page({ resourceId: id('another') })
    await nextTick()
    expect(proposing.accepted.value).toHaveLength(3)
  })

  it('are none without a page', () => {
    const proposing = useProposing(() => null)
    expect([proposing.groups.value, proposing.accepted.value, proposing.unscored.value]).toEqual([[], [], []])
  })
})
