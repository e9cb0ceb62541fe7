import { isoDay, mustBeOk } from '#core/base'
import type { ClassId } from '#core/base'
import { NO_WINDOW } from '#core/availability'
import { NO_ABOUT, plainPiece } from '#core/work'
import { learnersOf } from '#db/repositories'
import type { Deps } from '#usecases/ground/deps'
import { assign } from '#usecases/work/assign'
import { PIECES } from './content'
import { RULES } from './rules'
import type { DemoSchool } from './demo'

/** Of this a learner has one piece open at a time: the second waits until the first is handed in. */
export const MORE_PRACTICE = { name: 'More practice', weight: 0, most: 1 }
const GIVEN = { section: '7E', learners: [3, 8, 14], pieces: ['mat203', 'mat104'] } as const

/** Some learners of a class get two pieces of more practice, and have room for one. */
export async function giveMorePractice(deps: Deps, { teacher, classes }: DemoSchool): Promise<void> {
  const classId = classes.get(GIVEN.section) as ClassId
  const roster = (await learnersOf(deps.store.read, [classId])).get(classId) ?? []
  const targets = GIVEN.learners.map((at) => {
    const learner = roster[at]
    if (!learner) throw new Error('the class is too small')
    return { target: { kind: 'learner' as const, learnerId: learner.id }, overrides: {} }
  })
  for (const code of GIVEN.pieces) {
    const piece = PIECES.find((p) => p.resource.code === code)?.resource
    if (!piece) throw new Error(`no piece ${code}`)
    const until = { kind: 'day', on: isoDay('2026-12-04') } as const
    const draft = {
      pieces: [plainPiece({ resourceId: piece.id, revision: 1 })],
      title: piece.title.replace(/^Practice/, 'More practice'),
      note: '',
      about: { ...NO_ABOUT, category: MORE_PRACTICE.name, heading: 'Practice' },
      isFirst: false,
      inTurn: false,
      newcomers: true,
      teams: [],
      window: { ...NO_WINDOW, due: until, closes: until },
      rules: RULES.practice,
      targets,
      exceptIds: [],
      overCeiling: [],
    }
    mustBeOk(await assign(deps, teacher, { draft, publish: true }), draft.title)
  }
}
