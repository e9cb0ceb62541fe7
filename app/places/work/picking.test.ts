import { describe, expect, it } from 'vitest'
import { asId } from '#core/base'
import type { GroupId } from '#core/base'
import { keyOf } from '#core/audience'
import { NO_WINDOW } from '#core/availability'
import { PLAIN_WORK, ids, piecesOf, rules } from '../../../tests/support/made'
import type { DraftInWork } from './draft'
import {
  asGroup,
  gradesIn,
  isPicked,
  nameOfGroup,
  namedLearners,
  classesMeant,
  pickedLearners,
  toggled,
  withLearner,
} from './picking'

const draft: DraftInWork = {
  pieces: piecesOf('check' as never),
  title: 'Check',
  note: '',
  ...PLAIN_WORK,
  window: NO_WINDOW,
  rules: rules(),
  targets: [],
  exceptIds: [],
}
const ann = { id: ids.user('ann'), name: 'Ann', classId: ids.class('a'), grade: 8 }
const bo = { id: ids.user('bo'), name: 'Bo', classId: ids.class('a'), grade: 7 }
const keys = (of: DraftInWork) => of.targets.map((t) => keyOf(t.target))
const withClass = toggled(draft, 'class a')

describe('choosing people', () => {
  it('counts everybody once, without who is excepted', () => {
    const recipients = {
      classes: [{ id: ids.class('a'), name: 'A', course: '', learners: [ann, bo] }],
      groups: [
        {
          id: asId<GroupId>('g'),
          classIds: [ids.class('a')],
          name: 'G',
          learnerIds: [ann.id],
          isByRule: false,
        },
      ],
    }
    const all = toggled(toggled(withClass, 'group g'), 'learner ann')
    expect([...pickedLearners(all, recipients)]).toEqual(['ann', 'bo'])
    expect([...pickedLearners({ ...all, exceptIds: [bo.id] }, recipients)]).toEqual(['ann'])
    expect(pickedLearners(draft, recipients).size).toBe(0)
    const empty = { id: ids.class('e'), name: 'E', course: '', learners: [] }
    const two = { ...recipients, classes: [...recipients.classes, empty] }
    expect(classesMeant(toggled(draft, 'class e'), two)).toEqual(['e'])
    expect(classesMeant(toggled(draft, 'learner ann'), two)).toEqual(['a'])
    expect(classesMeant(draft, two)).toEqual([])
  })

  it('takes a class in and out again', () => {
    expect(keys(withClass)).toEqual(['class a'])
    expect(keys(toggled(withClass, 'class a'))).toEqual([])
    expect([isPicked(withClass, ann), isPicked(draft, ann)]).toEqual([true, false])
  })

  it('excepts a learner of a class that has it: everyone but them', () => {
    const but = withLearner(withClass, ann, false)
    expect(but.exceptIds).toEqual(['ann'])
    expect([isPicked(but, ann), isPicked(but, bo)]).toEqual([false, true])
    expect(withLearner(but, ann, true)).toEqual(withClass)
  })

  it('names a learner of a class that does not have it', () => {
    const one = withLearner(draft, ann, true)
    expect(keys(one)).toEqual(['learner ann'])
    expect(withLearner(one, ann, true)).toBe(one)
    expect(keys(withLearner(one, ann, false))).toEqual([])
    // named and in the class, and then neither
    const both = toggled(withLearner(draft, ann, true), 'class a')
    expect(withLearner(both, ann, false)).toMatchObject({ exceptIds: ['ann'], targets: [{}] })
  })

  it('knows in which grades somebody is', () => {
    const of = (...learners: (typeof ann | { grade: null; id: typeof ann.id; name: string })[]) =>
      gradesIn({ classes: [{ id: ann.classId, name: '', course: '', learners }] })
    expect(of(ann, bo, { ...ann, id: ids.user('cy') })).toEqual([7, 8])
    expect(of({ ...ann, grade: null })).toEqual([])
  })

  it('makes a group of those who are named, but for what is somebody’s own', () => {
    const two = withLearner(withLearner(draft, ann, true), bo, true)
    const classes = [{ id: ann.classId, name: '8 A', course: '', learners: [ann, bo] }]
    expect(namedLearners(two, classes)).toEqual({ classIds: ['a'], learners: ['ann', 'bo'] })
    expect(namedLearners(withLearner(draft, ann, true), classes)).toBeNull()
    const cy = { ...ann, id: ids.user('cy'), classId: ids.class('b') }
    const over = [...classes, { id: cy.classId, name: '8 B', course: '', learners: [cy] }]
    const three = withLearner(two, cy, true)
    expect(namedLearners(three, over)).toEqual({ classIds: ['a', 'b'], learners: ['ann', 'bo', 'cy'] })
    expect(nameOfGroup({ name: 'Owls', classIds: [ann.classId, cy.classId] }, over)).toBe('Owls, 8 A and 8 B')
    const group = asId<GroupId>('g')
    expect(keys(asGroup(two, group, [ann.id, bo.id]))).toEqual(['group g'])
    const [first, ...rest] = two.targets
    const own = { ...two, targets: [{ ...first!, overrides: { maxAttempts: 3 } }, ...rest] }
    expect(keys(asGroup(own, group, [ann.id, bo.id]))).toEqual(['learner ann', 'group g'])
  })
})
