import { readFileSync, readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { parse } from 'yaml'
import { z } from 'zod'
import { RESOURCE_KINDS, RESOURCE_ROLES } from '#core/library'
import { many, num, one, piece, txt } from './author'
import type { Piece } from './author'

const about = {
  standard: z.string(),
  difficulty: z.number(),
  feedback: z.string(),
  points: z.number().optional(),
  hint: z.string().optional(),
}
const texts = z.array(z.string())
const item = z.union([
  z.strictObject({ one: z.string(), right: z.string(), wrong: texts, ...about }),
  z.strictObject({ many: z.string(), right: texts, wrong: texts, ...about }),
  z.strictObject({
    number: z.string(),
    value: z.number(),
    tolerance: z.number(),
    unit: z.string(),
    ...about,
  }),
  z.strictObject({ text: z.string(), accepted: texts, ...about }),
])
const front = z.strictObject({
  lesson: z.string(),
  kind: z.enum(RESOURCE_KINDS),
  code: z.string(),
  title: z.string(),
  minutes: z.number(),
  grade: z.number(),
  role: z.enum(RESOURCE_ROLES).optional(),
  items: z.array(item).default([]),
})

function made(of: z.output<typeof item>) {
  const { standard: s, difficulty: d, feedback: fb, points, hint } = of
  const aboutIt = {
    s,
    d,
    fb,
    ...(points === undefined ? {} : { points }),
    ...(hint === undefined ? {} : { hint }),
  }
  if ('one' in of) return one(of.one, [of.right, ...of.wrong], aboutIt)
  if ('many' in of) return many(of.many, of.right, of.wrong, aboutIt)
  if ('number' in of) return num(of.number, of.value, of.tolerance, of.unit, aboutIt)
  return txt(of.text, of.accepted, aboutIt)
}

/** The pieces of a folder in the order of their files: Markdown, with what is known of a piece in front of its text. */
export function readPieces(folder: string): readonly Piece[] {
  const path = fileURLToPath(new URL(`./${folder}/`, import.meta.url))
  return readdirSync(path)
    .sort()
    .map((name) => {
      const [, head = '', text = ''] =
        /^---\n([\s\S]*?)\n---\n([\s\S]*)$/.exec(readFileSync(path + name, 'utf8')) ?? []
      const p = front.parse(parse(head), { error: () => `${folder}/${name}` })
      const items = p.items.map(made)
      return piece(p.lesson, p.kind, p.code, p.title, p.minutes, p.grade, text, items, p.role)
    })
}
