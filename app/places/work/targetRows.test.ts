import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { PlanId } from '#core/base'
import type { AssignmentTarget } from '#core/work'
import type { Recipients } from '#shared/contracts/work'
import { ids } from '../../../tests/support/made'
import { offeredClasses, targetRows, withTargets, withoutRow } from './targetRows'

const learner = (id: string, part: Partial<AssignmentTarget> = {}): AssignmentTarget => ({
  target: { kind: 'learner', learnerId: ids.user(id) },
  overrides: {},
  ...part,
})
const toClass = (id: string): AssignmentTarget => ({
  target: { kind: 'class', classId: ids.class(id) },
  overrides: {},
})
const eight = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'].map((id) => learner(id))
const placesOf = (targets: readonly AssignmentTarget[], isApart = false) =>
  targetRows(targets, isApart).map((r) => r.at)

describe('rows of who and when', () => {
  it('hold learners who are alike together, each class and group by itself', () => {
    expect(placesOf([toClass('x'), ...eight])).toEqual([[0], [1, 2, 3, 4, 5, 6, 7, 8]])
    expect(placesOf([...eight.slice(0, 4), toClass('x'), learner('z')])).toEqual([[0, 1, 2, 3, 5], [4]])
  })

  it('keep apart who differs, few learners, and all of them when asked', () => {
    const late = learner('z', { overrides: { timeLimitMinutes: 60 } })
    expect(placesOf([...eight.slice(0, 4), late])).toEqual([[0, 1, 2, 3], [4]])
    expect(placesOf(eight.slice(0, 3))).toEqual([[0], [1], [2]])
    expect(placesOf(eight, true)).toHaveLength(8)
    expect(placesOf([])).toEqual([])
  })
})

const people = (...names: readonly string[]) =>
  names.map((name) => ({ id: ids.user(name), name, grade: null }))
const recipients: Recipients = {
  classes: ['A', 'B', 'C', 'D'].map((name) => ({
    id: ids.class(name),
    name,
    course: 'Science',
    learners: people(`${name}1`, `${name}2`),
  })),
  groups: [
    {
      id: asId('g'),
      classIds: [ids.class('A')],
      name: 'Owls',
      learnerIds: [ids.user('A1')],
      isByRule: false,
    },
  ],
}
const waves = asId<PlanId>('waves')
const desk = [
  { id: ids.class('A'), planId: waves },
  { id: ids.class('B'), planId: waves },
  { id: ids.class('C'), planId: waves },
  { id: ids.class('D'), planId: null },
]

describe('classes that are offered', () => {
  const offered = (targets: readonly AssignmentTarget[], planId: PlanId | null = null) =>
    offeredClasses({ targets }, recipients, { desk, planId }).map((c) => c.name)

  it('are the others on the plan, and none beside learners', () => {
    expect(offered([toClass('A')])).toEqual(['B', 'C'])
    expect(offered([toClass('D')])).toEqual([])
    expect(offered([learner('A1')], waves)).toEqual([])
  })

  it('are those on the lesson’s plan, or all, while nobody is chosen', () => {
    expect(offered([], waves)).toEqual(['A', 'B', 'C'])
    expect(offered([])).toEqual(['A', 'B', 'C', 'D'])
  })
})

describe('a row of one’s own', () => {
  const draft = { targets: [toClass('A')], exceptIds: [ids.user('A2')] }

  it('is there for groups and learners of a class that is chosen, whenever they are', () => {
    expect(withoutRow(draft, recipients)).toEqual([
      { label: 'Owls, A', value: 'group g' },
      { label: 'A1, A', value: 'learner A1' },
    ])
    const more = { ...draft, targets: [...draft.targets, learner('A1')] }
    expect(withoutRow(more, recipients).map((w) => w.value)).toEqual(['group g'])
  })

  it('is added once', () => {
    const targets = withTargets(draft as never, [
      { kind: 'class', classId: ids.class('A') },
      { kind: 'class', classId: ids.class('B') },
    ])
    expect(targets.targets.map((t) => t.target)).toEqual([toClass('A').target, toClass('B').target])
  })
})
