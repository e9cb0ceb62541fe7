import { readFileSync, readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { parse } from 'yaml'
import { z } from 'zod'
import { RESOURCE_KINDS, RESOURCE_ROLES } from '#core/library'
import { fill, many, match, num, one, order, piece, txt, write } from './author'
import type { About, Piece } from './author'
import { filled, reckon } from './reckon'
import type { Given } from './reckon'

const about = {
  standard: z.string().optional(),
  difficulty: z.number(),
  feedback: z.string().default(''),
  points: z.number().optional(),
  hint: z.string().optional(),
}
const texts = z.array(z.string())
/** A question asked several times, each with other numbers; its answer is reckoned with them. */
const each = z.array(z.record(z.string(), z.number()))
const item = z.union([
  z.strictObject({ one: z.string(), right: z.string(), wrong: texts, ...about }),
  z.strictObject({ many: z.string(), right: texts, wrong: texts, ...about }),
  z.strictObject({
    number: z.string(),
    each: each.optional(),
    value: z.union([z.number(), z.string()]),
    tolerance: z.union([z.number(), z.string()]),
    unit: z.string(),
    ...about,
  }),
  z.strictObject({ text: z.string(), accepted: texts, ...about }),
  z.strictObject({ order: z.string(), steps: texts, ...about }),
  z.strictObject({
    match: z.string(),
    pairs: z.record(z.string(), z.string()),
    more: texts.default([]),
    ...about,
  }),
  z.strictObject({ fill: z.string(), words: z.string(), ...about }),
  z.strictObject({ write: z.string(), guide: z.string(), least: z.number().default(0), ...about }),
])
const front = z.strictObject({
  lesson: z.string(),
  kind: z.enum(RESOURCE_KINDS),
  code: z.string(),
  title: z.string(),
  minutes: z.number(),
  grade: z.number(),
  role: z.enum(RESOURCE_ROLES).optional(),
  level: z.number().optional(),
  /** Of all items that name none. */
  standard: z.string().optional(),
  standards: texts.optional(),
  weak: texts.optional(),
  material: z
    .strictObject({
      words: z.array(z.strictObject({ word: z.string(), meaning: z.string(), example: z.string() })),
      rubric: z.array(z.strictObject({ name: z.string(), points: z.number(), about: z.string() })),
    })
    .partial()
    .optional(),
  items: z.array(item).default([]),
})
type Written = z.output<typeof item>

function made(of: Written, usual: string | undefined) {
  const { standard = usual ?? '', difficulty: d, feedback: fb, points, hint } = of
  const aboutIt: About = {
    s: standard,
    d,
    fb,
    ...(points === undefined ? {} : { points }),
    ...(hint === undefined ? {} : { hint }),
  }
  if ('one' in of) return [one(of.one, [of.right, ...of.wrong], aboutIt)]
  if ('many' in of) return [many(of.many, of.right, of.wrong, aboutIt)]
  if ('number' in of) return (of.each ?? [{}]).map((given) => numberOf(of, given, aboutIt))
  if ('order' in of) return [order(of.order, of.steps, aboutIt)]
  if ('match' in of) return [match(of.match, Object.entries(of.pairs), of.more, aboutIt)]
  if ('fill' in of) return [fill(of.fill, of.words, aboutIt)]
  if ('write' in of) return [write(of.write, of.guide, of.least, aboutIt)]
  return [txt(of.text, of.accepted, aboutIt)]
}

function numberOf(of: Extract<Written, { number: string }>, given: Given, aboutIt: About) {
  const value = reckon(String(of.value), given)
  const tolerance = Math.abs(reckon(String(of.tolerance), { ...given, value }))
  const hint = aboutIt.hint === undefined ? {} : { hint: filled(aboutIt.hint, given) }
  const said = { ...aboutIt, fb: filled(aboutIt.fb, { ...given, value }), ...hint }
  return num(filled(of.number, given), value, tolerance, of.unit, said)
}

/** The pieces of a folder in the order of their files: Markdown, with what is known of a piece in front of its text. */
export function readPieces(folder: string): readonly Piece[] {
  const path = fileURLToPath(new URL(`./${folder}/`, import.meta.url))
  return readdirSync(path)
    .sort()
    .map((name) => {
      const [, head = '', text = ''] =
        /^---\n([\s\S]*?)\n---\n([\s\S]*)$/.exec(readFileSync(path + name, 'utf8')) ?? []
      const { items, standard, ...rest } = front.parse(parse(head), { error: () => `${folder}/${name}` })
      const questions = items.flatMap((of) => made(of, standard))
      return piece(rest, text, questions)
    })
}
