import { and, asc, eq } from 'drizzle-orm'
import type { PresetId, UserId } from '#core/base'
import type { Preset } from '#core/work'
import { presetBody } from '../rows/bodies'
import { presets } from '../schema/work'
import type { Connection } from './store'

/** A teacher's own presets, by name. */
export async function presetsOf(tx: Connection, ownerId: UserId): Promise<readonly Preset[]> {
  const rows = await tx
    .select()
    .from(presets)
    .where(eq(presets.ownerId, ownerId))
    .orderBy(asc(presets.name), asc(presets.id))
  return rows.map(({ ownerId: _, rules, ...rest }) => ({ ...rest, ...presetBody.read(rules) }))
}

/** Adds a teacher's preset, or replaces it. */
export async function savePreset(tx: Connection, ownerId: UserId, preset: Preset): Promise<void> {
  const { rules, ...rest } = preset
  const row = { ...rest, ownerId, rules: presetBody.print({ rules }) }
  await tx.insert(presets).values(row).onConflictDoUpdate({ target: presets.id, set: row })
}

/** Takes a teacher's preset away; false: it is none of theirs. */
export async function dropPreset(tx: Connection, ownerId: UserId, id: PresetId): Promise<boolean> {
  const done = await tx.delete(presets).where(and(eq(presets.id, id), eq(presets.ownerId, ownerId)))
  return done.rowsAffected === 1
}
