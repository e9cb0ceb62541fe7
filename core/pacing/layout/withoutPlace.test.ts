import { describe, expect, it } from 'vitest'
import { aLesson, aPlan, aYear, ids, onDays } from '../../../tests/support/made'
import { meetings } from '../../calendar'
import { AS_PLANNED } from '../plan'
import { layOut } from './layOut'
import { withoutPlace } from './withoutPlace'

describe('withoutPlace', () => {
  const year = aYear()
  const list = meetings(year, ids.class('a'), onDays(1), []).meetings
  // one meeting a week: the first lesson takes all but one
  const plan = aPlan([aLesson('1', list.length - 1), aLesson('2', 1), aLesson('3', 1), aLesson('4', 1)])

  it('names what does not fit, and not what was let go', () => {
    expect(withoutPlace(layOut(plan, list)).map((p) => p.lessonId)).toEqual(['3', '4'])
    const left = { [ids.lesson('3')]: 'let-go' as const }
    const after = withoutPlace(layOut(plan, list, { pacing: { ...AS_PLANNED, left } }))
    expect(after.map((p) => p.lessonId)).toEqual(['4'])
  })

  it('is empty where everything fits', () => {
    expect(withoutPlace(layOut(aPlan([aLesson('1', 1)]), list))).toEqual([])
  })
})
