import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import { closure } from '../../../../tests/support/made'
import { proposedYear, withClosures } from '../yearParts'
import { useYearForm } from './yearForm'

function proposed() {
  const form = useYearForm()
  form.propose(isoDay('2026-11-30'), 'Europe/Vienna')
  return form
}

describe('the form of a school year', () => {
  it('proposes the year that runs, or from May on the next one', () => {
    expect(proposedYear(isoDay('2027-04-30'), 'UTC')).toMatchObject({
      name: '2026/27',
      firstOn: '2026-08-24',
    })
    expect(proposedYear(isoDay('2027-05-02'), 'UTC')).toMatchObject({
      name: '2027/28',
      firstOn: '2027-08-24',
    })
  })

  it('lets a single term follow the days of the year, and leaves several alone', () => {
    const form = proposed()
    form.bound('lastOn', isoDay('2027-06-25'))
    expect(form.next.value?.terms).toMatchObject([{ firstOn: '2026-08-24', lastOn: '2027-06-25' }])
    const [whole] = form.next.value!.terms
    form.setTerms([
      { ...whole!, lastOn: isoDay('2027-01-29') },
      { ...whole!, firstOn: isoDay('2027-02-01') },
    ])
    form.bound('lastOn', isoDay('2027-06-30'))
    expect(form.next.value?.terms[1]?.lastOn).toBe('2027-06-25')
  })

  it('has day letters as they are typed, and none when the field is empty', () => {
    const form = proposed()
    form.letters.value = 'A, B  C'
    form.byDate.value = true
    expect(form.next.value?.rotation).toEqual({ labels: ['A', 'B', 'C'], advance: 'date', overrides: [] })
    form.letters.value = ' '
    expect(form.next.value?.rotation).toBeNull()
  })

  it('knows whether anything is changed, and forgets that when a change is put back', () => {
    const form = proposed()
    const year = form.year.value
    expect(year).not.toBeNull()
    form.show(year!)
    expect(form.isChanged.value).toBe(false)
    form.setWeekday(6, true)
    expect(form.next.value?.weekdays).toEqual([1, 2, 3, 4, 5, 6])
    expect(form.isChanged.value).toBe(true)
    form.setWeekday(6, false)
    expect(form.isChanged.value).toBe(false)
  })

  it('draws no year whose parts disagree', () => {
    const form = proposed()
    form.put({ lastOn: isoDay('2026-08-01') })
    expect(form.year.value).toBeNull()
    expect(form.checked.value?.ok).toBe(false)
  })

  it('takes in closures once, by date, and counts the new ones', () => {
    const form = proposed()
    const found = [
      { name: 'Holy day', fromOn: isoDay('2026-12-08'), throughOn: isoDay('2026-12-08') },
      { name: 'Autumn break', fromOn: isoDay('2026-10-26'), throughOn: isoDay('2026-11-02') },
    ]
    expect(form.takeIn(found)).toBe(2)
    expect(form.takeIn(found)).toBe(0)
    expect(form.next.value?.notes.map((n) => n.name)).toEqual(['Autumn break', 'Holy day'])
    form.addNote()
    expect(form.next.value?.notes.at(-1)).toMatchObject({ kind: 'closure', fromOn: '2026-12-08' })
  })
})

describe('closures from outside', () => {
  it('are the same by name and first day', () => {
    const known = closure('2026-12-08', '2026-12-08', { name: 'Holy day' })
    const again = { name: 'Holy day', fromOn: known.fromOn, throughOn: known.throughOn }
    expect(withClosures([known], [again], () => 'new')).toEqual([known])
    const other = { ...again, fromOn: isoDay('2026-12-09') }
    expect(withClosures([known], [other], () => 'new')).toHaveLength(2)
  })
})
