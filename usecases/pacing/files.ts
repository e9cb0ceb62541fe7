import { ok, refuse } from '#core/base'
import type { ClassId, Instant, PlanId, Result } from '#core/base'
import { canRunClass, canSeePlan } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { classEvents, printCalendar, printLayout, printPlanTable } from '#core/formats'
import { sequenceOf } from '#core/pacing'
import {
  classById,
  feedByToken,
  feedOf,
  plansById,
  replaceFeed,
  teachersOf,
  yearsById,
} from '#db/repositories'
import type { ClassRecord, Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'
import { deskWork } from './desk'
import { groundsOf } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'

/** A file to be sent: its name, media type, and text or bytes. */
export interface FileText {
  readonly name: string
  readonly type: string
  readonly text: string | Uint8Array
}
/** A class's private calendar address; nulls when there is none. */
export interface ShownFeed {
  readonly path: string | null
  readonly createdAt: Instant | null
}

const ICS = 'text/calendar; charset=utf-8'
const CSV = 'text/csv; charset=utf-8'
const fileName = (text: string) =>
  text
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || 'class'

/** A class's calendar or layout as a file, for those who may see the class. */
export async function classFile(
  deps: Deps,
  actor: Teacher,
  classId: ClassId,
  kind: 'calendar' | 'layout',
): Promise<Result<FileText, AccessRefusal>> {
  const tx = deps.store.read
  const found = await classFor(tx, actor, classId, 'see')
  if (!found.ok) return found
  const record = found.value
  if (kind === 'calendar')
    return ok({
      name: `${fileName(record.name)}.ics`,
      type: ICS,
      text: await calendarText(deps, tx, record, 'file'),
    })
  const { plan, layout, calendar } = (await groundsOf(tx, [record])).get(classId) as ClassGround
  if (!plan || !layout) return refuse({ code: 'access/not-found', what: 'plan' })
  const covered = new Set(
    Object.entries(record.pacing.records)
      .filter(([, r]) => r.outcome === 'covered')
      .map(([id]) => id),
  )
  return ok({
    name: `${fileName(record.name)}-layout.csv`,
    type: CSV,
    text: printLayout({
      sequence: sequenceOf(plan, record.pacing),
      units: plan.units,
      layout,
      meetings: calendar.meetings,
      covered,
    }),
  })
}

/** A plan as a table, for teachers of its school. */
export async function planFile(
  deps: Deps,
  actor: Teacher,
  planId: PlanId,
): Promise<Result<FileText, AccessRefusal>> {
  const known = (await plansById(deps.store.read, [planId])).get(planId)
  if (!known || !canSeePlan(actor, known)) return refuse({ code: 'access/not-found', what: 'plan' })
  return ok({ name: `${fileName(known.plan.title)}.csv`, type: CSV, text: printPlanTable(known.plan) })
}

/**
 * A file is read into a calendar that may hold an earlier one, and so calls off what is lost; a feed is
 * always taken whole, and has only what takes place.
 */
async function calendarText(
  deps: Deps,
  tx: Connection,
  record: ClassRecord,
  as: 'file' | 'feed',
): Promise<string> {
  const grounds = await groundsOf(tx, [record])
  const { plan, layout, calendar, ground, year } = grounds.get(record.id) as ClassGround
  const work = (await deskWork(tx, grounds)).map((w) => ({
    id: w.assignmentId,
    title: w.title,
    held: w.state === 'held',
    opensAt: w.opensAt,
    dueAt: w.dueAt,
  }))
  const versions = [
    record.version,
    (await yearsById(tx, [year.id])).get(year.id)?.version ?? 0,
    record.planId ? ((await plansById(tx, [record.planId])).get(record.planId)?.version ?? 0) : 0,
  ]
  const events = classEvents({
    classId: record.id,
    className: record.name,
    zone: ground.zone,
    calendar,
    layout,
    sequence: plan ? sequenceOf(plan, record.pacing) : [],
    work,
  })
  return printCalendar(
    record.name,
    as === 'file' ? events : events.filter((e) => !e.cancelled),
    deps.clock.now(),
    versions.reduce((a, b) => a + b, 0),
  )
}

/** The actor's own feed of a class they teach. */
export async function showFeed(
  deps: Deps,
  actor: Teacher,
  classId: ClassId,
): Promise<Result<ShownFeed, AccessRefusal>> {
  const found = await classFor(deps.store.read, actor, classId, 'run')
  if (!found.ok) return found
  return ok(shown(await feedOf(deps.store.read, classId, actor.userId)))
}

function shown(feed: { readonly token: string; readonly createdAt: Instant } | null): ShownFeed {
  return { path: feed ? `/api/feeds/${feed.token}` : null, createdAt: feed?.createdAt ?? null }
}

/** Gives the actor a new address for a class, or none; the old one ends at once. */
export async function changeFeed(
  deps: Deps,
  actor: Teacher,
  input: { readonly classId: ClassId; readonly to: 'new' | 'none' },
): Promise<Result<ShownFeed, AccessRefusal>> {
  return writing(deps.store, async (tx): Promise<Result<ShownFeed, AccessRefusal>> => {
    const found = await classFor(tx, actor, input.classId, 'run')
    if (!found.ok) return found
    const feed =
      input.to === 'none'
        ? null
        : {
            token: `${deps.ids.newId()}${deps.ids.newId()}`,
            classId: input.classId,
            userId: actor.userId,
            createdAt: deps.clock.now(),
          }
    await replaceFeed(tx, input.classId, actor.userId, feed)
    return ok(shown(feed))
  })
}

/**
 * What a calendar program gets with an address: the class as it is now. Nothing once the address is revoked,
 * or its teacher no longer teaches the class.
 */
export async function readFeed(deps: Deps, token: string): Promise<Result<FileText, AccessRefusal>> {
  const tx = deps.store.read
  const feed = await feedByToken(tx, token)
  const record = feed ? await classById(tx, feed.classId) : null
  if (!feed || !record) return refuse({ code: 'access/not-found', what: 'calendar' })
  const teacherIds = (await teachersOf(tx, [record.id])).get(record.id) ?? []
  if (
    !canRunClass(
      { userId: feed.userId, schoolId: record.schoolId, role: 'teacher', office: false },
      { schoolId: record.schoolId, teacherIds },
    )
  )
    return refuse({ code: 'access/not-found', what: 'calendar' })
  return ok({
    name: `${fileName(record.name)}.ics`,
    type: ICS,
    text: await calendarText(deps, tx, record, 'feed'),
  })
}
