import { describe, expect, it } from 'vitest'
import { P1, ids, piecesOf } from '../../tests/support/made'
import type { Reached } from '../audience'
import { asId } from '../base'
import type { ResourceId, TrailId } from '../base'
import { DEFAULT_TRAILS } from '../versions'
import type { VersionChoice } from '../versions'
import type { AssignmentTarget } from './types'
import { versionsBy } from './versionsFor'
import type { VersionsAround } from './versionsFor'

const [essay, short] = [asId<ResourceId>('essay'), asId<ResourceId>('short')]
const trail = (name: string) => asId<TrailId>(name)
const [a, north, south, ann] = [ids.class('a'), ids.group('north'), ids.group('south'), ids.user('ann')]
const [piece] = piecesOf(essay)
const one: Reached = { learnerId: ann, classIds: [a], groupIds: [north, south], byClass: true, byName: false }
const around = (own: string, ...made: string[]): VersionsAround => ({
  trails: DEFAULT_TRAILS,
  trailOf: () => trail(own),
  made: new Map(made.length === 0 ? [] : [[essay, new Set(made.map(trail))]]),
})
const layer = (name: string): VersionChoice => ({ kind: 'trail', trailId: trail(name) })
const task: VersionChoice = { kind: 'parallel', resourceId: short, revision: 3 }
const at = (target: AssignmentTarget['target'], choice: VersionChoice): AssignmentTarget => ({
  target,
  overrides: {},
  versions: { [P1]: choice },
})
const forClass = (choice: VersionChoice) => at({ kind: 'class', classId: a }, choice)
const forGroup = (groupId: typeof north, choice: VersionChoice) => at({ kind: 'group', groupId }, choice)
const forAnn = (choice: VersionChoice) => at({ kind: 'learner', learnerId: ann }, choice)
const given = (of: VersionsAround | undefined, ...targets: AssignmentTarget[]) =>
  versionsBy(targets, of)(one, piece!, a)

describe('what a learner is given of a piece', () => {
  it('is the version of their trail, else the nearest with less support, else the core', () => {
    expect(given(around('guided', 'marked', 'guided')).version?.trailId).toBe('guided')
    expect(given(around('guided', 'marked')).version?.trailId).toBe('marked')
    expect(given(around('bare', 'marked')).version?.trailId).toBe('bare')
    expect(given(around('guided', 'marked'))).toMatchObject({ version: { instead: null }, because: [] })
  })

  it('is nothing of the kind where the piece has no versions, or the school no trails', () => {
    expect(given(around('guided'))).toEqual({ version: null, because: [] })
    expect(given(undefined, forAnn(layer('guided')))).toEqual({ version: null, because: [] })
  })

  it('is what was chosen for them before their groups, and for these before their class', () => {
    const of = around('bare', 'marked', 'guided')
    const all = [forClass(layer('marked')), forGroup(north, layer('guided')), forAnn(layer('bare'))]
    expect(given(of, ...all)).toMatchObject({
      version: { trailId: 'bare' },
      because: [{ field: 'version', level: 'learner', sourceId: ann }],
    })
    expect(given(of, ...all.slice(0, 2)).version?.trailId).toBe('guided')
    expect(given(of, ...all.slice(0, 1)).because).toEqual([{ field: 'version', level: 'class', sourceId: a }])
  })

  it('is of several groups the one with more support, and another task before any', () => {
    const of = around('bare', 'marked', 'guided')
    const groups = [forGroup(north, layer('marked')), forGroup(south, layer('guided'))]
    expect(given(of, ...groups).version?.trailId).toBe('guided')
    expect(given(of, ...groups, forGroup(north, layer('bare'))).version?.instead).toBeNull()
    expect(given(of, forGroup(north, task), forGroup(south, layer('guided'))).version).toEqual({
      trailId: 'bare',
      instead: { resourceId: short, revision: 3 },
    })
  })

  it('can be another task of a piece without versions, too', () => {
    expect(given(around('guided'), forAnn(task)).version?.instead?.resourceId).toBe(short)
  })
})
