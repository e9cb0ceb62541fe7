import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { parse } from 'yaml'
import { z } from 'zod'
import type { Standard, StandardLevel } from '#core/library'

const standard = z.strictObject({ n: z.number(), text: z.string(), after: z.array(z.string()).default([]) })
const domain = z.strictObject({ code: z.string(), text: z.string(), standards: z.array(standard) })
const subjects = z.array(z.strictObject({ code: z.string(), text: z.string(), domains: z.array(domain) }))

const place = (
  level: StandardLevel,
  code: string,
  text: string,
  parent: string | null,
  requires: readonly string[] = [],
): Standard => ({ code, text, level, parent, requires })

function read(): readonly Standard[] {
  const file = fileURLToPath(new URL('./standards.yaml', import.meta.url))
  return subjects
    .parse(parse(readFileSync(file, 'utf8')))
    .flatMap((subject) => [
      place('subject', subject.code, subject.text, null),
      ...subject.domains.flatMap((of) => [
        place('domain', of.code, of.text, subject.code),
        ...of.standards.map((s) => place('standard', `${of.code}.${s.n}`, s.text, of.code, s.after)),
      ]),
    ])
}

/** The made-up framework of standards, top down. */
export const STANDARDS = read()
