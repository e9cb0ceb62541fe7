import type { Upgrade } from '../body'

type Json = Readonly<Record<string, unknown>>
const listOf = (value: unknown) => (value ?? []) as readonly Json[]

/** Version 1 knew no fixed dates and no breaks. */
export function lessonWithLaterParts(lesson: Json): Json {
  return { fixed: null, notAfterBreak: false, ...lesson }
}

/** Version 1 of a plan knew no fixed dates and no parts. */
export const planWithLaterParts: Upgrade = (old) => ({
  parts: [],
  ...old,
  units: listOf(old.units).map((u) => ({ partId: null, ...u })),
  lessons: listOf(old.lessons).map(lessonWithLaterParts),
})

/** Version 2 of a class knew plans that begin with the year only. */
export const pacingWithBeginning: Upgrade = (old) => ({ begins: null, ...old })

/** Version 1 of a class knew only lengths and meeting changes. */
export const pacingWithLaterParts: Upgrade = (old) => ({
  left: {},
  fixed: {},
  records: {},
  order: null,
  through: null,
  baseline: null,
  ...old,
  added: Object.fromEntries(
    Object.entries((old.added ?? {}) as Readonly<Record<string, Json>>).map(([id, lesson]) => [
      id,
      lessonWithLaterParts(lesson),
    ]),
  ),
})
