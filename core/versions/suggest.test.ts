import { describe, expect, it } from 'vitest'
import { asId, isoDay } from '../base'
import type { AssignmentId, Instant, PieceId, TrailId } from '../base'
import { effectOfSupport, supportByWeek } from './effect'
import { DEFAULT_THRESHOLDS, faultInThresholds, suggestStep } from './suggest'
import type { TrailPoint } from './suggest'
import { DEFAULT_TRAILS, checkTrails } from './trails'

const trail = (name: string) => asId<TrailId>(name)
/** 'guided 85', 'marked -': a trail and its score. */
const path = (...list: readonly string[]): TrailPoint[] =>
  list.map((text, at) => {
    const [name = '', score = '-'] = text.split(' ')
    return {
      assignmentId: asId<AssignmentId>(`w${at}`),
      pieceId: asId<PieceId>('p1'),
      at: at as Instant,
      trailId: trail(name),
      percent: score === '-' ? null : Number(score),
      isParallel: false,
    }
  })
const suggest = (current: string, ...list: readonly string[]) =>
  suggestStep(path(...list), trail(current), DEFAULT_TRAILS, DEFAULT_THRESHOLDS)

describe('the next step', () => {
  it('is less support after two high scores in a row', () => {
    expect(suggest('guided', 'guided 85', 'guided 90')).toMatchObject({
      step: 'less',
      to: 'marked',
      reason: 'high-in-a-row',
      percents: [85, 90],
    })
    expect(suggest('guided', 'guided 80', 'guided 80').step).toBe('less')
    expect(suggest('guided', 'guided 90', 'guided 79')).toMatchObject({ step: 'stay', reason: 'steady' })
    expect(suggest('guided', 'guided 90').step).toBe('stay')
  })

  it('is more support after one very low score, or two low ones', () => {
    expect(suggest('bare', 'bare 90', 'bare 49')).toMatchObject({
      step: 'more',
      to: 'marked',
      percents: [49],
    })
    expect(suggest('bare', 'bare 50').step).toBe('stay')
    expect(suggest('bare', 'bare 64', 'bare 60')).toMatchObject({
      reason: 'low-in-a-row',
      percents: [64, 60],
    })
    expect(suggest('bare', 'bare 64', 'bare 65').step).toBe('stay')
  })

  it('rests on what was done on this trail since they came onto it', () => {
    expect(suggest('marked', 'guided 85', 'guided 90', 'marked 85')).toMatchObject({
      step: 'stay',
      percents: [85],
    })
    expect(suggest('marked', 'guided 85', 'guided 90')).toMatchObject({ reason: 'no-scores' })
    expect(suggest('marked', 'marked 20', 'guided 90', 'marked 85', 'marked -', 'marked 81').step).toBe(
      'less',
    )
  })

  it('stays where there is no further trail, and says so', () => {
    expect(suggest('bare', 'bare 90', 'bare 95')).toMatchObject({
      step: 'stay',
      to: 'bare',
      reason: 'least-already',
    })
    expect(suggest('guided', 'guided 30')).toMatchObject({ step: 'stay', reason: 'most-already' })
  })

  it('has whoever had the most support four times running looked at', () => {
    const four = ['guided 70', 'guided 72', 'guided -', 'guided 71']
    expect(suggest('guided', ...four).stuck).toHaveLength(4)
    expect(suggest('guided', ...four.slice(1)).stuck).toBeNull()
    expect(suggest('marked', 'marked 70', 'marked 70', 'marked 70', 'marked 70').stuck).toBeNull()
  })
})

describe('settings', () => {
  it('need percents in their order and counts of one to ten', () => {
    const fault = (part: Partial<typeof DEFAULT_THRESHOLDS>) =>
      faultInThresholds({ ...DEFAULT_THRESHOLDS, ...part })
    expect(fault({})).toBeNull()
    expect(fault({ lessFrom: 101 })).toBe('lessFrom')
    expect(fault({ moreBelow: 81 })).toBe('moreBelow')
    expect(fault({ moreAtOnce: 66 })).toBe('moreAtOnce')
    expect(fault({ stuckTimes: 0 })).toBe('stuckTimes')
  })

  it('of trails: two to five, each of its own name, none gone that is in use', () => {
    const named = (...names: string[]) => names.map((name) => ({ id: trail(name.trim() || 'x'), name }))
    const code = (
      trails: ReturnType<typeof named>,
      uses = new Map<TrailId, { learners: number; versions: number }>(),
    ) => {
      const checked = checkTrails(trails, uses)
      return checked.ok ? null : checked.error.code
    }
    expect(code(named('a', 'b'))).toBeNull()
    expect(code(named('a'))).toBe('versions/trail-count')
    expect(code(named('a', 'b', 'c', 'd', 'e', 'f'))).toBe('versions/trail-count')
    expect(code(named('a', 'A '))).toBe('versions/trail-twice')
    expect(code(named('a', ' '))).toBe('versions/trail-twice')
    expect(code(named('a', 'b'), new Map([[trail('c'), { learners: 1, versions: 0 }]]))).toBe(
      'versions/trail-in-use',
    )
    expect(code(named('a', 'b'), new Map([[trail('c'), { learners: 0, versions: 0 }]]))).toBeNull()
  })
})

describe('what went with changes of support', () => {
  it('is means before and after, by direction, and no claim on few', () => {
    const paths = [
      path('guided 80', 'guided 90', 'marked 70', 'marked 80', 'marked 10'),
      path('bare 40', 'marked 60'),
    ]
    expect(effectOfSupport(paths, DEFAULT_TRAILS)).toEqual([
      { direction: 'less', changes: 1, before: 85, after: 75, isFew: true },
      { direction: 'more', changes: 1, before: 40, after: 60, isFew: true },
    ])
  })

  it('needs a score on both sides', () => {
    expect(effectOfSupport([path('bare -', 'marked 60')], DEFAULT_TRAILS)[1]).toMatchObject({
      changes: 0,
      before: null,
    })
  })

  it('counts pieces by week and trail', () => {
    const week = (at: number) => isoDay(at < 2 ? '2026-09-07' : '2026-09-14')
    expect(supportByWeek(path('guided 1', 'bare 2', 'marked 3'), DEFAULT_TRAILS, week)).toEqual([
      { monday: '2026-09-07', counts: [1, 0, 1] },
      { monday: '2026-09-14', counts: [0, 1, 0] },
    ])
  })
})
