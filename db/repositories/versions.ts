import { and, eq, inArray, sql } from 'drizzle-orm'
import type { ClassId, Instant, ResourceId, SchoolId, TrailId, UserId } from '#core/base'
import { DEFAULT_THRESHOLDS, DEFAULT_TRAILS } from '#core/versions'
import type { ClassTrails, Layer, StepThresholds, Trail, TrailUse } from '#core/versions'
import { layerBody, trailSettingsBody } from '../rows/bodies'
import { classTrails, layers, learnerTrails, trailSettings } from '../schema/versions'
import type { Connection } from './store'

/** A layer of a piece as it stands; `version` counts its changes. */
export interface LayerRecord {
  readonly resourceId: ResourceId
  readonly trailId: TrailId
  readonly layer: Layer
  readonly version: number
  /** Who changed it last. */
  readonly changedBy: UserId
}

/** Layers that a school has laid over pieces. */
export async function layersOf(
  tx: Connection,
  schoolId: SchoolId,
  resourceIds: readonly ResourceId[],
): Promise<readonly LayerRecord[]> {
  if (resourceIds.length === 0) return []
  const rows = await tx
    .select()
    .from(layers)
    .where(and(eq(layers.schoolId, schoolId), inArray(layers.resourceId, [...new Set(resourceIds)])))
  return rows.map(({ resourceId, trailId, version, changedBy, body }) => ({
    resourceId,
    trailId,
    version,
    changedBy,
    layer: layerBody.read(body),
  }))
}

/** For which trails a school has layers, by piece; a piece without any is absent. */
export async function trailsMade(
  tx: Connection,
  schoolId: SchoolId,
): Promise<ReadonlyMap<ResourceId, ReadonlySet<TrailId>>> {
  const rows = await tx
    .select({ resourceId: layers.resourceId, trailId: layers.trailId })
    .from(layers)
    .where(eq(layers.schoolId, schoolId))
  const made = new Map<ResourceId, Set<TrailId>>()
  for (const { resourceId, trailId } of rows)
    made.set(resourceId, (made.get(resourceId) ?? new Set()).add(trailId))
  return made
}

/** Adds a layer, or puts it in the place of what it was; its version is the next. */
export async function saveLayer(
  tx: Connection,
  of: LayerRecord & { readonly schoolId: SchoolId },
): Promise<void> {
  const { layer, ...rest } = of
  const row = { ...rest, version: of.version + 1, body: layerBody.print(layer) }
  await tx
    .insert(layers)
    .values(row)
    .onConflictDoUpdate({ target: [layers.schoolId, layers.resourceId, layers.trailId], set: row })
}

/** Takes a layer away. */
export async function dropLayer(
  tx: Connection,
  of: { readonly schoolId: SchoolId; readonly resourceId: ResourceId; readonly trailId: TrailId },
): Promise<void> {
  const { schoolId, resourceId, trailId } = of
  await tx
    .delete(layers)
    .where(and(eq(layers.schoolId, schoolId), eq(layers.resourceId, resourceId), eq(layers.trailId, trailId)))
}

/** A school's trails and thresholds; `version` 0: as they come. */
export interface TrailSettings {
  readonly trails: readonly Trail[]
  readonly thresholds: StepThresholds
  readonly version: number
}

/** A school's trails, from least support to most, and from which scores steps are suggested. */
export async function trailSettingsOf(tx: Connection, schoolId: SchoolId): Promise<TrailSettings> {
  const [row] = await tx.select().from(trailSettings).where(eq(trailSettings.schoolId, schoolId))
  if (!row) return { trails: DEFAULT_TRAILS, thresholds: DEFAULT_THRESHOLDS, version: 0 }
  return { ...trailSettingsBody.read(row.body), version: row.version }
}

/** Keeps a school's trails and thresholds. */
export async function saveTrailSettings(
  tx: Connection,
  schoolId: SchoolId,
  { trails, thresholds, version }: TrailSettings,
): Promise<void> {
  const row = { schoolId, version: version + 1, body: trailSettingsBody.print({ trails, thresholds }) }
  await tx.insert(trailSettings).values(row).onConflictDoUpdate({ target: trailSettings.schoolId, set: row })
}

/** How many learners of a school are on each trail, and for how many pieces it has a layer; unused ones are absent. */
export async function trailUses(tx: Connection, schoolId: SchoolId): Promise<ReadonlyMap<TrailId, TrailUse>> {
  const rows = await tx.all<TrailUse & { trailId: TrailId }>(
    sql`select trail_id as trailId, sum(learner) as learners, sum(version) as versions from (
        select l.trail_id, 1 as learner, 0 as version from learner_trails l
          join users u on u.id = l.learner_id where u.school_id = ${schoolId}
        union all select trail_id, 0, 1 from layers where school_id = ${schoolId}
        union all select t.trail_id, 1, 0 from class_trails t
          join classes c on c.id = t.class_id where c.school_id = ${schoolId}
      ) group by trail_id`,
  )
  return new Map(rows.map(({ trailId, learners, versions }) => [trailId, { learners, versions }]))
}

/** The trails of classes. */
export async function trailsIn(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<ReadonlyMap<ClassId, ClassTrails>> {
  if (classIds.length === 0) return new Map()
  const usual = await tx
    .select()
    .from(classTrails)
    .where(inArray(classTrails.classId, [...classIds]))
  const own = await tx
    .select()
    .from(learnerTrails)
    .where(inArray(learnerTrails.classId, [...classIds]))
  return new Map(
    classIds.map((id) => [
      id,
      {
        usual: usual.find((u) => u.classId === id)?.trailId ?? null,
        learners: new Map(own.filter((o) => o.classId === id).map((o) => [o.learnerId, o.trailId])),
      },
    ]),
  )
}

/** Sets the trail on which a class's learners are unless they have their own. */
export async function saveClassTrail(tx: Connection, classId: ClassId, trailId: TrailId): Promise<void> {
  const row = { classId, trailId }
  await tx.insert(classTrails).values(row).onConflictDoUpdate({ target: classTrails.classId, set: row })
}

/** Sets learners' own trails in a class. */
export async function saveLearnerTrails(
  tx: Connection,
  classId: ClassId,
  trails: ReadonlyMap<UserId, TrailId>,
  by: { readonly changedAt: Instant; readonly changedBy: UserId },
): Promise<void> {
  if (trails.size === 0) return
  const rows = [...trails].map(([learnerId, trailId]) => ({ classId, learnerId, trailId, ...by }))
  await tx
    .insert(learnerTrails)
    .values(rows)
    .onConflictDoUpdate({
      target: [learnerTrails.classId, learnerTrails.learnerId],
      set: {
        trailId: sql`excluded.trail_id`,
        changedAt: sql`excluded.changed_at`,
        changedBy: sql`excluded.changed_by`,
      },
    })
}
