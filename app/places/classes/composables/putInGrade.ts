import type { Parts } from '#core/combining'
import type { UserId } from '#core/base'
import { GradeLearners, ShowClass } from '#shared/contracts/teaching'
import type { ClassPage, LearnerRow } from '#shared/contracts/teaching'
import { useCombining } from '~/shared/conflict/combining'
import type { PartWords } from '~/shared/conflict/words'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'

interface Grades {
  readonly learners: readonly {
    readonly id: UserId
    readonly name: string
    readonly grade: number | null
  }[]
}
type Graded = Grades['learners'][number]
const PARTS: Parts<Grades> = { learners: { nameOf: (learner) => learner.id } }
const WORDS: PartWords<Grades> = {
  label: (_, value) => `grade of ${(value as Graded).name}`,
  value: (_, value) => {
    const learner = value as Graded | undefined
    return learner ? String(learner.grade ?? 'not said') : 'no longer in the class'
  },
}
const gradesOf = (rows: readonly LearnerRow[]): Grades => ({
  learners: rows.map(({ id, name, grade }) => ({ id, name, grade })),
})

/** Puts all that are shown into a grade: a class is mostly of one. */
export function usePutInGrade(
  of: { readonly page: ClassPage },
  shown: () => readonly LearnerRow[],
  changed: () => void,
) {
  const tell = useTell()
  const combining = useCombining()

  return async function putInGrade(grade: number | null): Promise<void> {
    const params = { classId: of.page.id }
    const rows = shown()
    const ids = new Set(rows.map((l) => l.id))
    const seen = gradesOf(rows)
    const reply = await combining({
      what: 'grades',
      parts: PARTS,
      words: WORDS,
      seen: { value: seen, version: 0 },
      mine: { learners: seen.learners.map((l) => ({ ...l, grade })) },
      send: (mine, { value }) => {
        const learnerIds = mine.learners.filter((l) => l.grade === grade).map((l) => l.id)
        const before = learnerIds.map((id) => value.learners.find((l) => l.id === id)?.grade ?? null)
        return call(GradeLearners, { params, body: { learnerIds, grade, seen: before } })
      },
      current: async () => {
        const now = await call(ShowClass, { params })
        if (!now.ok) return null
        return { value: gradesOf(now.value.learners.filter((l) => ids.has(l.id))), version: 0 }
      },
    })
    if (reply === null) return
    if (!reply.ok) return tell.refused(reply.error)
    const inGrade = grade === null ? 'without a grade' : `in grade ${grade}`
    tell.done(`${count(reply.value.learners, 'learner')} ${inGrade}`)
    changed()
  }
}
