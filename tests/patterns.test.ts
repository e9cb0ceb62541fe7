import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { shapesOf, stepsOf } from './support/patternSteps'

/** What is repeated to see how long a pattern goes on looking: signs of authored texts, and the pattern's own shape. */
const SIGNS = [
  '![',
  '[',
  '[a](',
  '![a](',
  '*a ',
  '**a ',
  '_a ',
  '__a ',
  '`',
  '(',
  ' ',
  '\n',
  '\n ',
  '<a ',
  '"',
  'a',
  '1',
  '1,',
  '\\',
  '$a ',
]
const [FEW, MORE] = [60, 240]
/** A text four times as long may take so many times as many steps; steps that grow by the square take 16 times. */
const MOST_GROWTH = 8

const ROOT = fileURLToPath(new URL('..', import.meta.url))
/** Where texts are read on a thread that answers everybody, or in the browser of who reads them. */
const FOLDERS = ['core', 'shared', 'usecases', 'db', 'server', 'app']
const files = FOLDERS.flatMap((folder) =>
  readdirSync(join(ROOT, folder), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /(?<!\.test)\.ts$/.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name)),
)

function patternsIn(path: string): readonly RegExp[] {
  const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest)
  const found: RegExp[] = []
  const visit = (node: ts.Node): void => {
    if (ts.isRegularExpressionLiteral(node)) {
      const end = node.text.lastIndexOf('/')
      found.push(new RegExp(node.text.slice(1, end), node.text.slice(end + 1)))
    }
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

function growthOf(pattern: RegExp): { readonly growth: number; readonly sign: string } {
  const signs = [...SIGNS, ...shapesOf(pattern)]
  const all = signs.flatMap((sign) =>
    ['', 'a', '\n'].map((end) => {
      const steps = (times: number) => stepsOf(pattern, sign.repeat(times) + end)
      return { sign, growth: steps(MORE) / steps(FEW) }
    }),
  )
  return all.reduce((worst, next) => (next.growth > worst.growth ? next : worst))
}

describe('patterns over what people write', () => {
  it('are counted: one that looks on to the end from every start grows by the square', () => {
    expect(growthOf(/!\[([^\]\n]*)\]/g).growth).toBeGreaterThan(12)
    expect(growthOf(/\[([^[\]]*)\]/g).growth).toBeLessThan(5)
    // both letters of each, and the end
    expect(stepsOf(/ab/g, 'abab')).toBe(5)
  })

  it('take no longer than the text is long', () => {
    const slow = files.flatMap((path) =>
      patternsIn(path)
        .map((pattern) => ({ path: path.slice(ROOT.length), pattern: String(pattern), ...growthOf(pattern) }))
        .filter(({ growth }) => growth > MOST_GROWTH),
    )
    expect(slow).toEqual([])
  })
})
