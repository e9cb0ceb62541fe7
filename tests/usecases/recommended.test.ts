import { beforeEach, describe, expect, it } from 'vitest'
import { asId, mustBeOk } from '#core/base'
import type { AssignmentId, PieceId } from '#core/base'
import { NO_WINDOW } from '#core/availability'
import { NO_ABOUT } from '#core/work'
import type { WorkPiece } from '#core/work'
import { lateIn, piecesToDo } from '#db/repositories'
import { showGrid } from '#usecases/evidence/evidence'
import { listMyWork } from '#usecases/learning/myWork'
import { handIn, startTry } from '#usecases/learning/tries'
import { listWork } from '#usecases/work/listWork'
import { previewWork } from '#usecases/work/previewWork'
import { aChange, at, only, piecesOf } from '../support/made'
import { aDraft, aSchool, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

let school: TestSchool
let asked: AssignmentId
let offered: AssignmentId
/** The same check once as work, and once recommended only; both due within the week and open for longer. */
beforeEach(async () => {
  school = await aSchool()
  const of = {
    targets: [{ target: { kind: 'class' as const, classId: school.a.classId }, overrides: {} }],
    window: { ...NO_WINDOW, due: through('2026-09-04'), closes: through('2026-09-30') },
  }
  asked = await publish(school, { ...of, title: 'Asked', about: { ...NO_ABOUT, category: 'Checks' } })
  const about = { ...NO_ABOUT, category: 'Checks', isRecommended: true }
  offered = await publish(school, { ...of, title: 'Offered', about })
})

describe('work that is recommended, not required', () => {
  it('stands behind all that is asked for', async () => {
    const titles = (await listMyWork(school.deps, school.ann)).value.work.map((c) => c.title)
    expect(titles).toEqual(['Asked', 'Offered'])
  })

  it('makes nobody missing or late, once it was due', async () => {
    const { deps, teacher, a, clock, ann } = school
    clock.set(at('09-08T12:00'))
    const grid = mustBeOk(await showGrid(deps, teacher, a.classId), 'grid')
    const states = (id: AssignmentId) =>
      grid.cells.filter((c) => c.assignmentId === id && c.learnerId === ann.userId).map((c) => c.state)
    expect([states(asked), states(offered)]).toEqual([['missing'], ['to-do']])
    const late = await lateIn(deps.store.read, [a.classId], deps.clock.now())
    expect(late.map((l) => l.title)).toEqual(['Asked'])
    const needs = mustBeOk(await listWork(deps, teacher), 'work').work.map((w) => [w.title, w.need])
    expect(Object.fromEntries(needs)).toEqual({ Asked: 'late', Offered: 'open' })
  })

  it('is no load at the last look', async () => {
    const { deps, teacher, a } = school
    const cautions = async (isRecommended: boolean) => {
      const draft = aDraft(school, {
        pieces: Array.from({ length: 6 }, (_, i) => ({
          ...(piecesOf(school.check)[0] as WorkPiece),
          id: asId<PieceId>(`p${i}`),
        })),
        targets: [{ target: { kind: 'class' as const, classId: a.classId }, overrides: {} }],
        window: { ...NO_WINDOW, due: through('2026-09-04'), closes: through('2026-09-04') },
        about: { ...NO_ABOUT, isRecommended },
      })
      const seen = mustBeOk(await previewWork(deps, teacher, { assignmentId: null, draft }), 'preview')
      return seen.cautions.map((c) => c.code).filter((code) => code.startsWith('heavy'))
    }
    expect([await cautions(false), await cautions(true)]).toEqual([['heavy-week'], []])
  })

  it('weighs nothing, and its score is in no grade', async () => {
    const { deps, teacher, a, ann } = school
    const within = { from: at('09-01T00:00'), until: at('09-30T00:00') }
    const carried = await piecesToDo(deps.store.read, [ann.userId], within)
    expect(carried.map((p) => p.title)).toEqual(['Asked'])
    const open = mustBeOk(await startTry(deps, ann, only(offered)), 'start')
    const saves = [aChange('1', { kind: 'single', choice: 'b' })]
    mustBeOk(await handIn(deps, ann, { attemptId: open.attemptId, saves }), 'in')
    const grid = mustBeOk(await showGrid(deps, teacher, a.classId), 'grid')
    const cell = grid.cells.find((c) => c.assignmentId === offered && c.learnerId === ann.userId)
    expect(cell?.ratio).not.toBeNull()
    expect(grid.wholes.map((w) => w.ratio)).toEqual([null, null])
  })
})
