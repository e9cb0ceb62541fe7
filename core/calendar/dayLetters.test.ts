import { describe, expect, it } from 'vitest'
import { isoDay } from '../base'
import { aYear, closure, ids } from '../../tests/support/made'
import { schoolDays } from './dayLetters'
import { meetings } from './meetings'
import type { Rotation } from './types'

const letters = (rotation: Partial<Rotation>, closed: string[] = []) =>
  schoolDays(
    aYear({
      lastOn: isoDay('2026-09-08'),
      rotation: { labels: ['A', 'B'], advance: 'instructional', overrides: [], ...rotation },
      notes: closed.map((d) => closure(d)),
    }),
  )
    .map((d) => d.label ?? '-')
    .join('')

describe('schoolDays', () => {
  it('goes round the letters on school days only', () => {
    // Mon 31 Aug to Tue 8 Sep: seven school days
    expect(letters({})).toBe('ABABABA')
  })

  it('lets a closure keep its letter for the next day, or use it up, as the rotation says', () => {
    expect(letters({}, ['2026-09-02'])).toBe('AB-ABAB')
    expect(letters({ advance: 'date' }, ['2026-09-02'])).toBe('AB-BABA')
  })

  it('names the letter that a closed day uses up, so that the class of that letter has lost it', () => {
    const rotation: Rotation = { labels: ['A', 'B'], advance: 'date', overrides: [] }
    const year = aYear({ lastOn: isoDay('2026-09-08'), rotation, notes: [closure('2026-09-02')] })
    expect(schoolDays(year)[2]).toEqual({
      on: '2026-09-02',
      label: null,
      closedBy: 'Closed 2026-09-02',
      lostLabel: 'A',
    })
    const lost = (label: string, of = year) =>
      meetings(of, ids.class('c'), [{ day: { label }, startMinute: 540, minutes: 50 }], []).lost.map(
        (l) => l.on,
      )
    expect(lost('A')).toEqual(['2026-09-02'])
    expect(lost('B')).toEqual([])
    // a letter that waits for the next school day is lost by nobody
    expect(lost('A', { ...year, rotation: { ...rotation, advance: 'instructional' } })).toEqual([])
  })

  it('goes on counting from a letter that was set by hand', () => {
    expect(letters({ overrides: [{ on: isoDay('2026-09-02'), label: 'B' }] })).toBe('ABBABAB')
  })

  it('turns through ten letters', () => {
    expect(letters({ labels: ['1', '2', '3', '4', '5', '6', '7', '8', '9', '10'] })).toBe('1234567')
  })

  it('has no letters without a rotation and keeps closed days in the list', () => {
    const days = schoolDays(aYear({ lastOn: isoDay('2026-09-02'), notes: [closure('2026-09-01')] }))
    expect(days).toEqual([
      { on: '2026-08-31', label: null, closedBy: null },
      { on: '2026-09-01', label: null, closedBy: 'Closed 2026-09-01' },
      { on: '2026-09-02', label: null, closedBy: null },
    ])
  })

  it('ignores closures of single classes', () => {
    const one = closure('2026-09-01', '2026-09-01', { classIds: ['c' as never] })
    expect(
      schoolDays(aYear({ lastOn: isoDay('2026-09-02'), notes: [one] })).every((d) => d.closedBy === null),
    ).toBe(true)
  })
})
