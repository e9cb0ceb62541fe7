import { HELPS } from '#core/attempts'
import { asId, mustBeOk } from '#core/base'
import type { ClassId, GroupId, PieceId, UserId } from '#core/base'
import { madeTeams, momentsOf, NO_ABOUT } from '#core/work'
import type { Draft } from '#core/work'
import { learnersOf } from '#db/repositories'
import { keepPreset } from '#usecases/presets/presets'
import { keepGroup } from '#usecases/teaching/keepGroup'
import { assign } from '#usecases/work/assign'
import { PIECES } from './content'
import type { Demo } from './demo'
import { RULES } from './rules'
import { BOAT_CREW, FROM_BELOW, PAIRS, PRESETS_KEPT, STRENGTHEN } from './scenario'

/** What a teacher has made for assigning: rules of her own, a group by rule, work in pairs that comes up. */
export async function readyForAssigning(demo: Demo): Promise<void> {
  const { deps, teacher } = demo
  for (const { name, kind, rules } of PRESETS_KEPT)
    mustBeOk(
      await keepPreset(deps, teacher, { name, classId: null, kind, rules: { ...RULES.check, ...rules } }),
      name,
    )
  await keepRuled(demo, STRENGTHEN)
  await keepOver(demo, BOAT_CREW)
  const fromBelow = await keepRuled(demo, FROM_BELOW)
  mustBeOk(await assign(deps, teacher, { draft: await inPairs(demo, fromBelow), publish: true }), 'pairs')
}

/** A group of learners of several classes, so many of each. */
async function keepOver({ deps, teacher, classes }: Demo, of: typeof BOAT_CREW): Promise<void> {
  const classIds = of.sections.map((s) => classes.get(s) as ClassId)
  const rosters = await learnersOf(deps.store.read, classIds)
  const learnerIds = classIds.flatMap((id) =>
    (rosters.get(id) ?? []).slice(of.from, of.from + of.each).map((l) => l.id),
  )
  const [classId, ...alsoIn] = classIds
  if (!classId) throw new Error('the demo has no class for its crew')
  const group = { classId, alsoIn, groupId: null, name: of.name, learnerIds, rule: null }
  mustBeOk(await keepGroup(deps, teacher, group), of.name)
}

async function keepRuled({ deps, teacher, classes }: Demo, of: typeof STRENGTHEN): Promise<GroupId> {
  const { section, name, rule } = of
  const classId = classes.get(section) as ClassId
  const group = { classId, groupId: null, name, learnerIds: [], rule }
  return mustBeOk(await keepGroup(deps, teacher, group), name).groupId
}

/** For a whole class; those who came up from the grade below have spelling marks, too. */
async function inPairs({ deps, classes, lessons }: Demo, fromBelow: GroupId): Promise<Draft> {
  const classId = classes.get(PAIRS.section) as ClassId
  const lessonId = lessons.get(PAIRS.lesson) ?? null
  const piece = PIECES.find((p) => p.resource.code === PAIRS.piece)?.resource
  if (!piece || lessonId === null) throw new Error('the demo has no work for pairs')
  const learnerIds: readonly UserId[] = (
    (await learnersOf(deps.store.read, [classId])).get(classId) ?? []
  ).map((l) => l.id)
  const anchor = { kind: 'anchor', lessonId, edge: 'last', step: 'meetings' } as const
  return {
    pieces: [
      {
        id: asId<PieceId>('p1'),
        resourceId: piece.id,
        revision: 1,
        when: 'in',
        handIn: 'together',
        leastMinutes: 0,
        window: momentsOf('in', lessonId),
        rules: {},
      },
    ],
    title: PAIRS.title,
    note: 'One of you hands in for both.',
    about: { ...NO_ABOUT, heading: 'In pairs', category: 'Practice' },
    isFirst: false,
    inTurn: false,
    newcomers: false,
    teams: madeTeams(learnerIds, 2, 8),
    window: {
      listed: null,
      opens: { ...anchor, edge: 'first', offset: 0, at: 'class-start' },
      due: { ...anchor, offset: 1, at: 'class-end' },
      closes: null,
      putAway: null,
    },
    rules: RULES.practice,
    targets: [
      { target: { kind: 'class', classId }, overrides: {} },
      {
        target: { kind: 'group', groupId: fromBelow },
        overrides: {},
        rules: { help: HELPS },
      },
    ],
    exceptIds: [],
    overCeiling: [],
  }
}
