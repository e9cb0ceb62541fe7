import { describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { isoDay } from '#core/base'
import { aDeskClass, aLesson, aPlan, aYear, ids } from '../../../../tests/support/made'
import { columnOf } from '../stores/deskColumn'
import type { DeskColumn } from '../stores/deskColumn'
import { useFitting } from './fitting'

const year = aYear({ lastOn: isoDay('2026-09-11'), terms: [] })
vi.mock('../stores/desk', () => ({ useDesk: () => ({ year: { terms: [] } }) }))

/** Six meetings from 31 August, for eight lessons: four of them may go, and one is only useful. */
const weightOf = (number: number) => (number % 2 === 0 ? 'optional' : number === 3 ? 'useful' : 'core')
const plan = aPlan([1, 2, 3, 4, 5, 6, 7, 8].map((n) => aLesson(String(n), 1, { weight: weightOf(n) })))
const column = (id: string): DeskColumn => columnOf(aDeskClass(id, plan), year, plan)

describe('making a plan fit', () => {
  it('says by how much it is too long, and cuts that much of what may go', () => {
    const fitting = useFitting(ref(column('a')))
    // two meetings of two halves
    expect(fitting.shortBy.value).toBe(4)
    expect(fitting.winsBack.value).toBe(4)
    expect(fitting.got.value?.cuts.every((c) => Number(fitting.lesson(c.lessonId)?.number) % 2 === 0)).toBe(
      true,
    )
    expect(fitting.stillOut.value).toEqual([])
    expect(fitting.tooShort.value).toEqual([])
  })

  it('keeps what the teacher protects and takes something else instead', () => {
    const fitting = useFitting(ref(column('a')))
    const [cut] = fitting.got.value!.cuts
    fitting.protect(cut!)
    const again = fitting.got.value!.cuts.map((c) => c.lessonId)
    expect(again).not.toContain(cut!.lessonId)
    expect(fitting.winsBack.value).toBe(4)
    fitting.set('keep', cut!.lessonId, false)
    expect(fitting.got.value!.cuts.map((c) => c.lessonId)).toContain(cut!.lessonId)
  })

  it('leaves out what the teacher names, beside what is cheapest', () => {
    const fitting = useFitting(ref(column('a')))
    const wanted = fitting.others.value[0]!
    expect(wanted.number).toBe('3')
    fitting.set('leave out', wanted.id, true)
    expect(fitting.got.value?.cuts.map((c) => c.lessonId)).toContain(wanted.id)
    expect(fitting.others.value.map((l) => l.id)).not.toContain(wanted.id)
  })

  it('forgets what was decided for one class when another is looked at', async () => {
    const shown = ref<DeskColumn | null>(column('a'))
    const fitting = useFitting(shown)
    fitting.set('keep', ids.lesson('2'), true)
    shown.value = column('b')
    await vi.waitFor(() => expect(fitting.keep.value.size).toBe(0))
    shown.value = null
    expect(fitting.got.value).toBeNull()
    expect(fitting.shortBy.value).toBe(0)
  })
})
