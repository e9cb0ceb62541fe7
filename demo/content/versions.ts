import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { parse } from 'yaml'
import { z } from 'zod'
import { EMPTY_LAYER, MARK_LOOKS } from '#core/versions'
import type { Layer } from '#core/versions'
import { STORED } from '#shared/shapes/makers'
import { versionShapes } from '#shared/shapes/versions'

const { shape } = versionShapes(STORED).layer
const written = z.strictObject({
  ...z.object(shape).pick({
    wordBank: true,
    glossary: true,
    starters: true,
    organisers: true,
    steps: true,
    example: true,
    readAloud: true,
    largerType: true,
    translation: true,
  }).shape,
  frames: z.array(z.string()),
  /** Passages by what they are marked as. */
  marks: z.record(z.string(), z.array(z.string())),
  /** The share of questions that is asked, in percent. */
  items: z.number(),
})
const file = z.array(
  z.strictObject({ piece: z.string(), marked: written.partial(), guided: written.partial() }),
)
type Written = z.output<typeof written>

/** Layers of a piece of the textbooks, by trail. */
export interface WrittenVersions {
  readonly piece: string
  readonly layers: Readonly<Record<'marked' | 'guided', Layer>>
}

/** The support that comes with the textbooks of the demo. */
export const VERSIONS: readonly WrittenVersions[] = read().map(({ piece, marked, guided }) => ({
  piece,
  layers: { marked: layerOf(marked), guided: layerOf(guided) },
}))

function read(): z.output<typeof file> {
  return file.parse(parse(readFileSync(fileURLToPath(new URL('./versions.yaml', import.meta.url)), 'utf8')))
}

function layerOf({ frames = [], marks = {}, items, ...plain }: Partial<Written>): Layer {
  const kinds = Object.entries(marks)
  return {
    ...EMPTY_LAYER,
    ...plain,
    frames: frames.map((text, i) => ({ id: `f${i + 1}`, text })),
    legend: kinds.map(([name], i) => ({ id: `m${i + 1}`, name, look: MARK_LOOKS[i] ?? 'line' })),
    marks: kinds.flatMap(([, quotes], i) => quotes.map((quote) => ({ sort: `m${i + 1}`, quote, nth: 1 }))),
    items: items === undefined ? { kind: 'all' } : { kind: 'share', percent: items },
  }
}
