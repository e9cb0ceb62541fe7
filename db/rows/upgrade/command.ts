import type { Upgrade } from '../body'
import { lessonWithLaterParts } from './plan'

type Json = Readonly<Record<string, unknown>>

/** Version 1 of a planning act may hold lessons and units without their later parts. */
export const commandWithLaterParts: Upgrade = (old) =>
  old.kind === 'together' ? { ...old, commands: (old.commands as readonly Json[]).map(single) } : single(old)

function single(old: Json): Json {
  if (old.kind === 'lesson' && old.part === 'added') return bothSides(old, lessonWithLaterParts)
  if (old.kind !== 'plan') return old
  const lessons = (old.lessons as readonly Json[]).map((l) => bothSides(l, lessonWithLaterParts))
  const units = old.units
    ? bothSides(old.units as Json, (list) =>
        (list as unknown as readonly Json[]).map((u) => ({ partId: null, ...u })),
      )
    : null
  return { ...old, lessons, units }
}

function bothSides(change: Json, upgrade: (value: Json) => unknown): Json {
  const side = (value: unknown) => (value === null ? null : upgrade(value as Json))
  return { ...change, from: side(change.from), to: side(change.to) }
}
