import { describe, expect, it } from 'vitest'
import { asId, isoDay } from '#core/base'
import type { ClassId, Instant, LessonId } from '#core/base'
import { NO_WINDOW } from '#core/availability'
import { zoneOf } from '#core/calendar'
import type { WorkRow } from '#shared/contracts/work'
import { at, ids } from '../../../tests/support/made'
import { byClass, byLesson, byNeed, chosenWith, filtered, scaleOfList } from './listing'
import type { Filter } from './listing'

const ZONE = zoneOf('America/Denver')
const ALL: Filter = { text: '', classId: null, fromOn: null, throughOn: null }
const inClass = (id: string, due: Instant | null, opens: Instant | null = null) => ({
  classId: asId<ClassId>(id),
  name: id,
  window: { ...NO_WINDOW, opens, due },
  state: 'open' as const,
  isGiven: true,
  isStuck: false,
  learners: 10,
  handedIn: 0,
  inProgress: 0,
  meanRatio: null,
})
const row = (id: string, part: Partial<WorkRow>): WorkRow => ({
  id: ids.work(id),
  title: id,
  kind: 'check',
  pieces: 1,
  state: 'published',
  publishedAt: at('09-01T09:00'),
  isRecommended: false,
  version: 1,
  need: 'open',
  lessonId: null,
  learners: 10,
  handedIn: 0,
  inProgress: 0,
  meanRatio: null,
  classes: [],
  ...part,
})
const wave = row('Waves', {
  lessonId: asId<LessonId>('W1'),
  // the end of Wed 14 Oct, local
  classes: [inClass('A', at('10-15T06:00')), inClass('B', at('10-16T20:00'))],
})
const heat = row('Heat', { need: 'to-publish', classes: [inClass('B', null, at('10-12T06:00'))] })
const titles = (rows: readonly WorkRow[]) => rows.map((r) => [r.title, ...r.classes.map((c) => c.name)])

describe('the list of work', () => {
  it('is filtered by words, by class and by days, class by class', () => {
    const of = (part: Partial<Filter>) => titles(filtered([wave, heat], { ...ALL, ...part }, ZONE))
    expect(of({})).toEqual([
      ['Waves', 'A', 'B'],
      ['Heat', 'B'],
    ])
    expect(of({ text: ' wAv' })).toEqual([['Waves', 'A', 'B']])
    expect(of({ classId: asId<ClassId>('A') })).toEqual([['Waves', 'A']])
    // due at the end of the 14th counts as the 14th; opening at the start of the 12th as the 12th
    expect(of({ fromOn: isoDay('2026-10-14'), throughOn: isoDay('2026-10-14') })).toEqual([['Waves', 'A']])
    expect(of({ fromOn: isoDay('2026-10-15') })).toEqual([['Waves', 'B']])
    expect(of({ throughOn: isoDay('2026-10-12') })).toEqual([['Heat', 'B']])
  })

  it('is divided by need, by class and by lesson', () => {
    expect(byNeed([wave, heat]).map((s) => [s.key, s.rows.length])).toEqual([
      ['to-publish', 1],
      ['open', 1],
    ])
    const classes = ['B', 'A', 'C'].map((id) => ({ id, name: `Class ${id}` }))
    expect(byClass([wave, heat], classes).map((s) => [s.title, ...s.rows.map((r) => r.title)])).toEqual([
      ['Class B', 'Waves', 'Heat'],
      ['Class A', 'Waves'],
    ])
    const lessons = [{ id: asId<LessonId>('W1'), number: 'W1', title: 'Waves' }]
    expect(byLesson([heat, wave], lessons).map((s) => [s.key, s.rows.length])).toEqual([
      ['W1', 1],
      ['none', 1],
    ])
  })

  it('has one scale, from a week back to four ahead', () => {
    const { from, until } = scaleOfList(at('10-21T20:30'), ZONE)
    expect([from, until]).toEqual([at('10-14T06:00'), at('11-18T07:00')])
  })

  it('chooses one, or all between two', () => {
    const order = ['a', 'b', 'c', 'd']
    const none = new Set<string>()
    const one = chosenWith(none, order, { id: 'b', isOn: true, through: null })
    expect([...one]).toEqual(['b'])
    const three = chosenWith(one, order, { id: 'd', isOn: true, through: 'b' })
    expect([...three].sort()).toEqual(['b', 'c', 'd'])
    expect([...chosenWith(three, order, { id: 'c', isOn: false, through: 'd' })]).toEqual(['b'])
    expect([...chosenWith(three, order, { id: 'c', isOn: false, through: 'gone' })].sort()).toEqual([
      'b',
      'd',
    ])
  })
})
