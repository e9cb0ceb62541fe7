import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, asId, daysThrough, isoDay, weekdayOf } from '../base'
import type { Target } from '../audience'
import type { ClassId, IsoDay, ResourceId, UserId } from '../base'
import { rules } from '../../tests/support/made'
import {
  checkSeries,
  draftOfRow,
  filledDown,
  followed,
  layRows,
  moved,
  overlapsIn,
  shifted,
  withOnly,
  withOther,
  withOwn,
} from './index'
import type { LaidRow, SeriesPlan, SeriesDays, SeriesRow, SeriesRule } from './index'

const d = isoDay
const row = (id: string, own: SeriesRow['own'] = {}): SeriesRow => ({
  id,
  resourceId: asId<ResourceId>(`piece-${id}`),
  own,
  others: [],
})
const series = (rule: SeriesRule, rows: readonly SeriesRow[]): SeriesPlan => ({ rule, rows })
const three = [row('a'), row('b'), row('c')]
const everybody = { kind: 'class', classId: asId<ClassId>('7e') } as const
const ben = { kind: 'learner', learnerId: asId<UserId>('ben') } as const
const kept = (rule: SeriesRule, rows: readonly SeriesRow[]) => ({ rule, rows, targets: [everybody] })

/** Weekdays from 5 to 30 October 2026 but the 12th to the 16th, which is a break, and Monday the 19th. */
const isOpen = (day: IsoDay) =>
  weekdayOf(day) <= 5 && !(day >= '2026-10-12' && day <= '2026-10-16') && day !== '2026-10-19'
const schoolDays = daysThrough(d('2026-10-05'), d('2026-10-30')).filter(isOpen)
const days: SeriesDays = {
  schoolDays,
  // Mondays, Wednesdays and Fridays
  meetingDays: schoolDays.filter((day) => weekdayOf(day) % 2 === 1),
  lastOn: d('2026-10-30'),
}
const said = (rows: readonly LaidRow[]) =>
  rows.map((r) => (r.days ? `${r.days.opensOn} ${r.days.throughOn}` : r.why))

describe('a series by meetings', () => {
  const every = (n: number, stays: number | null = null): SeriesRule => ({
    kind: 'meetings',
    from: d('2026-10-06'),
    every: n,
    stays,
  })

  it('opens a row every so many meetings, through the day before the next', () => {
    // meetings from the 6th on: 7, 9, 21, 23, 26, 28, 30
    expect(said(layRows(series(every(2), three), days))).toEqual([
      '2026-10-07 2026-10-20',
      '2026-10-21 2026-10-25',
      '2026-10-26 2026-10-29',
    ])
  })

  it('leaves gaps where rows stay open for fewer meetings', () => {
    expect(said(layRows(series(every(2, 1), three), days))).toEqual([
      '2026-10-07 2026-10-07',
      '2026-10-21 2026-10-21',
      '2026-10-26 2026-10-26',
    ])
  })

  it('says of rows whose turn comes after the year that they are not released', () => {
    expect(said(layRows(series(every(4), three), days))).toEqual([
      '2026-10-07 2026-10-25',
      '2026-10-26 2026-10-30',
      'past-the-year',
    ])
  })
})

describe('a series by weeks', () => {
  it('opens on its weekday, on the next school day where that is closed, and skips a week that is', () => {
    const rule: SeriesRule = { kind: 'weekly', from: d('2026-10-01'), weekday: 1, every: 1, stays: null }
    const rows = layRows(series(rule, three), days)
    expect(said(rows)).toEqual(['2026-10-05 2026-10-19', '2026-10-20 2026-10-25', '2026-10-26 2026-10-30'])
    expect(rows.map((r) => r.insteadOf)).toEqual([null, '2026-10-19', null])
  })

  it('counts days that a row stays open with its first', () => {
    const rule: SeriesRule = { kind: 'weekly', from: d('2026-10-05'), weekday: 2, every: 2, stays: 5 }
    expect(said(layRows(series(rule, three), days))).toEqual([
      '2026-10-06 2026-10-10',
      '2026-10-20 2026-10-24',
      'past-the-year',
    ])
  })
})

describe('what is set by hand', () => {
  const rule: SeriesRule = { kind: 'weekly', from: d('2026-10-05'), weekday: 1, every: 1, stays: null }

  it('stays beside the rule, is shown where it overlaps, and is given back', () => {
    const own = withOwn(series(rule, three), 'a', { throughOn: d('2026-10-22') })
    const rows = layRows(own, days)
    expect(said(rows)[0]).toBe('2026-10-05 2026-10-22')
    expect(overlapsIn(rows)).toEqual([{ target: null, first: 'a', second: 'b', on: '2026-10-20' }])
    expect(withOwn(own, 'a', { throughOn: undefined })).toEqual(series(rule, three))
  })

  it('leaves a row unreleased that has no first or last day, or ends before it opens', () => {
    const rows = [
      row('a', { opensOn: d('2026-10-05') }),
      row('b', { opensOn: d('2026-10-09'), throughOn: d('2026-10-08') }),
      row('c', { opensOn: d('2026-10-09'), throughOn: d('2026-10-09') }),
      row('d', { opensOn: d('2026-11-02'), throughOn: d('2026-11-04') }),
      row('e'),
    ]
    expect(said(layRows(series({ kind: 'explicit' }, rows), days))).toEqual([
      'no-day',
      'ends-first',
      '2026-10-09 2026-10-09',
      'past-the-year',
      'no-day',
    ])
    const closed = withOwn(series(rule, three), 'b', { opensOn: null })
    expect(said(layRows(closed, days))[1]).toBe('no-day')
  })

  it('moves along when all is shifted, and keeps its difference', () => {
    const own = withOwn(series(rule, three), 'b', { throughOn: d('2026-10-21') })
    const later = shifted(own, 7)
    expect(later.rows[1]?.own).toEqual({ throughOn: '2026-10-28' })
    expect(shifted(later, -7)).toEqual(own)
  })

  it('is filled down with the spacing of the row before', () => {
    const laid = new Map([
      ['a', { opensOn: d('2026-10-05'), throughOn: d('2026-10-06') }],
      ['b', { opensOn: d('2026-10-08'), throughOn: d('2026-10-09') }],
    ])
    const filled = filledDown(series({ kind: 'explicit' }, [...three, row('e')]), 'b', laid)
    expect(filled.rows.slice(2).map((r) => r.own)).toEqual([
      { opensOn: '2026-10-11', throughOn: '2026-10-12' },
      { opensOn: '2026-10-14', throughOn: '2026-10-15' },
    ])
    expect(filledDown(filled, 'a', laid)).toEqual(filled)
  })

  it('keeps its row when rows change places', () => {
    const ids = (s: SeriesPlan) => s.rows.map((r) => r.id).join('')
    const all = series(rule, three)
    expect([
      ids(moved(all, 'a', 2)),
      ids(moved(all, 'c', 0)),
      ids(moved(all, 'b', 9)),
      ids(moved(all, 'x', 0)),
    ]).toEqual(['bca', 'cab', 'acb', 'abc'])
  })
})

describe('a row that is otherwise for somebody', () => {
  const rule: SeriesRule = { kind: 'weekly', from: d('2026-10-05'), weekday: 1, every: 1, stays: null }
  const forBen = withOther(series(rule, three), 'a', ben, { throughOn: d('2026-10-21') })

  it('has the days of the row where no others were set', () => {
    const [first] = layRows(forBen, days)
    expect(first?.others).toEqual([
      { target: ben, days: { opensOn: '2026-10-05', throughOn: '2026-10-21' }, why: null },
    ])
    expect(said([first!])).toEqual(['2026-10-05 2026-10-19'])
    expect(withOther(forBen, 'a', ben, null)).toEqual(series(rule, three))
  })

  it('overlaps for them alone', () => {
    expect(overlapsIn(layRows(forBen, days))).toEqual([
      { target: ben, first: 'a', second: 'b', on: '2026-10-20' },
    ])
  })

  it('goes to some alone, and then overlaps for them alone', () => {
    const only = withOnly(series(rule, three), 'a', [ben])
    const [first, second] = layRows(only, days)
    expect([first?.only, second?.only]).toEqual([[ben], null])
    const piece = { title: 'Words 1', revision: 1, kind: 'check' as const }
    const draft = draftOfRow({ ...only, targets: [everybody], rules: rules() }, first!, piece)
    expect(draft?.targets.map((t) => t.target)).toEqual([ben])
    expect(withOnly(only, 'a', [])).toEqual(series(rule, three))
    // longer than its turn: nobody but Ben has two at once
    const longer = withOwn(only, 'a', { throughOn: d('2026-10-21') })
    expect(overlapsIn(layRows(longer, days)).map((o) => o.target)).toEqual([ben])
  })

  it('moves along with the rest', () => {
    expect(shifted(forBen, 7).rows[0]?.others[0]?.days).toEqual({ throughOn: '2026-10-28' })
  })

  it('becomes one assignment, open on its first day and closed at the end of its last', () => {
    const piece = { title: 'Words 1', revision: 3, kind: 'check' as const }
    const whole = { ...forBen, title: 'Words', targets: [everybody], rules: rules() }
    const [first] = layRows(forBen, days)
    const draft = draftOfRow(whole, first!, piece)
    expect(draft).toMatchObject({
      title: 'Words 1',
      pieces: [{ resourceId: 'piece-a', revision: 3 }],
      window: {
        opens: { kind: 'day', on: '2026-10-05' },
        due: { kind: 'day', on: '2026-10-19' },
        closes: { kind: 'day', on: '2026-10-19' },
      },
      targets: [
        { target: everybody, overrides: {} },
        { target: ben, overrides: { window: { due: { on: '2026-10-21' } } } },
      ],
    })
    expect(draftOfRow(whole, { ...first!, days: null, why: 'no-day' }, piece)).toBeNull()
    expect(draftOfRow(whole, first!, { ...piece, kind: 'reading' })?.rules.maxAttempts).toBeNull()
  })
})

describe('work of a row whose series changed', () => {
  const whole = { ...kept({ kind: 'explicit' }, three), title: 'Words', rules: rules() }
  const own = { opensOn: d('2026-10-05'), throughOn: d('2026-10-06') }
  const draftWith = (part: Partial<SeriesRow>, targets: readonly Target[] = [everybody]) => {
    const of = { ...whole, targets, rows: [{ ...row('a', own), ...part }] }
    return draftOfRow(of, layRows(of, days)[0]!, { title: 'Words 1', revision: 1, kind: 'check' })!
  }
  const was = draftWith({})
  const withTries = {
    ...was,
    note: 'Bring a ruler',
    targets: [...was.targets, { target: ben, overrides: { maxAttempts: 5 } }],
  }

  it('has the new days, and keeps what is its own', () => {
    const next = draftWith({ own: { ...own, throughOn: d('2026-10-08') } })
    const after = followed(withTries, was, next)
    expect(after.window).toEqual(next.window)
    expect([after.note, after.targets]).toEqual(['Bring a ruler', withTries.targets])
    expect(followed(withTries, was, was)).toEqual(withTries)
  })

  it('gains and loses days of one learner, beside what they have of their own', () => {
    const forBen = draftWith({ others: [{ target: ben, days: { throughOn: d('2026-10-09') } }] })
    const gained = followed(withTries, was, forBen).targets[1]
    expect(gained?.overrides).toMatchObject({ maxAttempts: 5, window: { due: { on: '2026-10-09' } } })
    const lost = followed({ ...was, targets: forBen.targets }, forBen, was)
    expect(lost.targets).toEqual(was.targets)
  })

  it('goes to whom the series goes, and no longer to whom it went', () => {
    const toBen = draftWith({}, [ben])
    expect(followed(was, was, toBen).targets.map((t) => t.target)).toEqual([ben])
  })
})

describe('a series that is kept', () => {
  const rule = (every: number, stays: number | null = null): SeriesRule => ({
    kind: 'meetings',
    from: d('2026-10-06'),
    every,
    stays,
  })
  it.each([0, -1, 1.5, Number.NaN, 401])('has no step of %s', (every) => {
    expect(checkSeries(kept(rule(every), three)).error).toEqual({ code: 'series/bad-step', field: 'every' })
    expect(checkSeries(kept(rule(1, every), three)).error?.field).toBe('stays')
  })
  it('is for somebody', () => {
    expect(checkSeries({ ...kept(rule(1), three), targets: [] }).error?.code).toBe('series/nobody')
  })
  it('has no row or piece twice, and not too many', () => {
    expect(checkSeries(kept(rule(1), three)).ok).toBe(true)
    const twice = [...three, row('a')]
    expect(checkSeries(kept(rule(1), twice)).error).toEqual({
      code: 'series/same-row-twice',
      field: 'rows',
      row: 4,
    })
    const samePiece = [...three, { ...row('a'), id: 'z' }]
    expect(checkSeries(kept(rule(1), samePiece)).error?.code).toBe('series/same-piece-twice')
    const many = Array.from({ length: 2000 }, (_, i) => row(`r${i}`))
    expect(checkSeries(kept(rule(1), many)).error).toMatchObject({
      code: 'series/too-long',
      count: 2000,
      most: 400,
    })
  })
})

describe('laws of series', () => {
  const first = d('2026-08-24')
  const anyDays = fc.array(fc.boolean(), { minLength: 5, maxLength: 120 }).map((open): SeriesDays => {
    const lastOn = addDays(first, open.length - 1)
    const schoolDays = daysThrough(first, lastOn).filter((_, i) => open[i])
    return { schoolDays, meetingDays: schoolDays.filter((_, i) => i % 2 === 0), lastOn }
  })
  const anyRule = fc.record({
    kind: fc.constantFrom('meetings' as const, 'weekly' as const),
    from: fc.integer({ min: -20, max: 60 }).map((n) => addDays(first, n)),
    weekday: fc.constantFrom(1 as const, 3 as const, 5 as const),
    every: fc.integer({ min: 1, max: 4 }),
    stays: fc.option(fc.integer({ min: 1, max: 9 })),
  })
  const anyRows = fc
    .integer({ min: 0, max: 30 })
    .map((n) => Array.from({ length: n }, (_, i) => row(`r${i}`)))

  it('reports every row once and in order, none overlapping, all within the year', () => {
    fc.assert(
      fc.property(anyDays, anyRule, anyRows, (of, rule, rows) => {
        const laid = layRows(series(rule, rows), of)
        expect(laid.map((r) => r.rowId)).toEqual(rows.map((r) => r.id))
        expect(overlapsIn(laid)).toEqual([])
        for (const r of laid)
          if (r.days) expect(r.days.throughOn <= of.lastOn && r.days.opensOn <= r.days.throughOn).toBe(true)
        const firstOut = laid.findIndex((r) => r.days === null)
        if (firstOut >= 0) expect(laid.slice(firstOut).every((r) => r.days === null)).toBe(true)
      }),
    )
  })

  it('leaves no gap unless it was asked for', () => {
    fc.assert(
      fc.property(anyDays, anyRule, anyRows, (of, rule, rows) => {
        const laid = layRows(series({ ...rule, stays: null }, rows), of).flatMap((r) => r.days ?? [])
        for (const [i, next] of laid.slice(1).entries())
          expect(next.opensOn).toBe(addDays(laid[i]!.throughOn, 1))
        if (laid.length < rows.length && laid.length > 0) expect(laid.at(-1)?.throughOn).toBe(of.lastOn)
      }),
    )
  })

  it('opens on days on which the school is open', () => {
    fc.assert(
      fc.property(anyDays, anyRule, anyRows, (of, rule, rows) => {
        for (const r of layRows(series(rule, rows), of))
          if (r.days) expect(of.schoolDays).toContain(r.days.opensOn)
      }),
    )
  })
})
