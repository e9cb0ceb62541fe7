import { asId, mustBeOk, weekdayOf } from '#core/base'
import type { ClassId, IsoDay, TrailId, UserId } from '#core/base'
import { learnersOf } from '#db/repositories'
import type { Deps } from '#usecases/ground/deps'
import { setTrails, showTrailSheet } from '#usecases/evidence/trailSheet'
import { keepLayer } from '#usecases/library/versions'
import { PIECES } from './content'
import { VERSIONS } from './content/versions'
import type { DemoSchool } from './demo'

/** Sections in which learners work on trails. */
const ON_TRAILS = ['7D', '7E'] as const
const [BARE, MARKED, GUIDED] = ['bare', 'marked', 'guided'].map((name) => asId<TrailId>(name)) as [
  TrailId,
  TrailId,
  TrailId,
]
/** Places on the roster: never moved by anybody, and moved too early. */
const STAYS = 3
const TOO_EARLY = 8
const FRIDAY = 5

/** Lays the support of the textbooks over their pieces. */
export async function layVersions(deps: Deps, { teacher }: DemoSchool): Promise<void> {
  for (const { piece, layers } of VERSIONS) {
    const resource = PIECES.find((p) => p.resource.code === piece)?.resource
    if (!resource) throw new Error(`no piece ${piece}`)
    for (const [name, layer] of Object.entries(layers))
      mustBeOk(
        await keepLayer(deps, teacher, {
          resourceId: resource.id,
          trailId: asId<TrailId>(name),
          version: 0,
          layer,
        }),
        `${piece} ${name}`,
      )
  }
}

/** Where learners begin: a few with much support, some with a little, most with none. */
export async function beginTrails(deps: Deps, { teacher, classes }: DemoSchool): Promise<void> {
  for (const key of ON_TRAILS) {
    const classId = classes.get(key) as ClassId
    const people = (await learnersOf(deps.store.read, [classId])).get(classId) ?? []
    const learners = people.flatMap(({ id }, i) => {
      if (i === STAYS || i % 6 === 1) return [{ learnerId: id, trailId: GUIDED }]
      return i === TOO_EARLY || i % 3 === 2 ? [{ learnerId: id, trailId: MARKED }] : []
    })
    mustBeOk(await setTrails(deps, teacher, { classId, usual: BARE, learners }), 'trails')
  }
}

/** On Fridays the teacher looks at the sheet, and takes what the scores suggest for some. */
export async function stepTrails(deps: Deps, { teacher, classes }: DemoSchool, on: IsoDay): Promise<void> {
  if (weekdayOf(on) !== FRIDAY) return
  for (const key of ON_TRAILS) {
    const classId = classes.get(key) as ClassId
    const { rows } = mustBeOk(await showTrailSheet(deps, teacher, classId), 'sheet')
    const learners = rows.flatMap((row, i) => {
      const to = stepFor(row, i)
      return to === row.trailId ? [] : [{ learnerId: row.learnerId as UserId, trailId: to }]
    })
    if (learners.length > 0)
      mustBeOk(await setTrails(deps, teacher, { classId, usual: null, learners }), 'step')
  }
}

type Row = Extract<Awaited<ReturnType<typeof showTrailSheet>>, { readonly ok: true }>['value']['rows'][number]

function stepFor({ trailId, points, next }: Row, place: number): TrailId {
  if (place === STAYS) return trailId
  // one good score was enough, once
  if (place === TOO_EARLY && points.length === 1) return BARE
  return place % 2 === 0 ? next.to : trailId
}
