import { describe, expect, it } from 'vitest'
import { FOREIGN } from '../../../../tests/support/foreignItems'
import type { Foreign } from '../../../../tests/support/foreignItems'
import { earnedByRules, namesByWords } from '../../../../tests/support/qtiRules'
import { mustBeOk, seededRandom } from '../../../base'
import { scoreItem } from '../../../library'
import type { Answer, Item } from '../../../library'
import { readQtiFile } from './package'

const readOf = ({ xml }: Foreign) => mustBeOk(readQtiFile(xml, 'item.xml'), 'item.xml')
const saidOf = (of: Foreign) => readOf(of).rows.flatMap((row) => row.because.map((b) => b.code))
type Given = Record<string, readonly string[]>
interface Tried {
  readonly answer: Answer
  readonly given: Given
}

/** A random answer of an item, and what its own rules see of it. */
function tried(item: Item, { xml, words = [] }: Foreign, random: () => number): Tried {
  const names = namesByWords(xml)
  const name = (text: string) => names.get(text) ?? text
  const oneOf = <T>(of: readonly T[]) => of[Math.floor(random() * of.length)] as T
  const some = <T>(of: readonly T[]) => of.filter(() => random() < 0.5)
  const mixed = <T>(of: readonly T[]) =>
    of
      .map((v) => [random(), v] as const)
      .sort(([a], [b]) => a - b)
      .map(([, v]) => v)
  const textOf = (options: readonly { id: string; text: string }[], id: string) =>
    options.find((o) => o.id === id)?.text ?? ''
  switch (item.kind) {
    case 'single': {
      const option = oneOf(item.options)
      return { answer: { kind: 'single', choice: option.id }, given: { RESPONSE: [name(option.text)] } }
    }
    case 'multiple': {
      const set = some(item.options)
      return {
        answer: { kind: 'multiple', choices: set.map((o) => o.id) },
        given: { RESPONSE: set.map((o) => name(o.text)) },
      }
    }
    case 'ordering': {
      const order = mixed(item.options)
      return {
        answer: { kind: 'ordering', order: order.map((o) => o.id) },
        given: { RESPONSE: order.map((o) => name(o.text)) },
      }
    }
    case 'matching': {
      const partners = mixed(item.partners)
      const pairs = some(item.prompts).map((p, i) => [p, partners[i]] as const)
      return {
        answer: { kind: 'matching', pairs: Object.fromEntries(pairs.map(([p, to]) => [p.id, to?.id ?? ''])) },
        given: {
          RESPONSE: pairs.map(([p, to]) => `${name(p.text)} ${name(textOf(item.partners, to?.id ?? ''))}`),
        },
      }
    }
    case 'blanks': {
      const ids = [...xml.matchAll(/response-identifier="(\w+)"/g)].map(([, id = '']) => id)
      const gaps = [...xml.matchAll(/qti-gap identifier="(\w+)"/g)].map(([, id = '']) => id)
      const filled = Object.keys(item.accepted).map(() => (random() < 0.2 ? '' : oneOf(words)))
      const given: Given = {}
      for (const [i, word] of filled.entries()) {
        const gap = gaps[i]
        const id = gap === undefined ? (ids[i] ?? '') : (ids[0] ?? '')
        const value = gap === undefined ? name(word) : `${name(word)} ${gap}`
        given[id] = [...(given[id] ?? []), ...(word === '' ? [] : [value])]
      }
      const answer = {
        kind: 'blanks',
        words: Object.fromEntries(filled.map((w, i) => [String(i + 1), w])),
      } as const
      return { answer, given }
    }
    case 'numeric':
    case 'text':
    case 'extended': {
      const text = random() < 0.1 ? '' : oneOf([...words, String(Math.round(random() * 3000) / 10)])
      return { answer: { kind: item.kind, text } as Answer, given: { RESPONSE: text === '' ? [] : [text] } }
    }
  }
}

/** Of random answers, those that earn another share here than by the item's own rules. */
function otherwise(item: Item, of: Foreign, best: number): readonly Tried[] {
  const random = seededRandom(20261201)
  return Array.from({ length: 1000 }, () => tried(item, of, random)).filter(({ answer, given }) => {
    const there = Math.max(0, earnedByRules(of.xml, given) / best)
    return Math.abs(there - scoreItem(item, answer) / item.points) > 1e-6
  })
}

describe('questions of somebody else', () => {
  it.each(Object.entries(FOREIGN))('%s', (_, of) => {
    const { pieces } = readOf(of)
    expect(saidOf(of)).toEqual(of.said)
    if (of.is === null) expect(pieces).toEqual([])
    else expect(pieces[0]?.items[0]).toMatchObject(of.is)
  })

  const taken = Object.entries(FOREIGN).filter(([, of]) => of.is !== null)
  it.each(taken)('%s: 1,000 random answers earn what its own rules say, or it is said', (_, of) => {
    const [item] = readOf(of).pieces[0]?.items ?? []
    if (!item) throw new Error('nothing was taken')
    const plain = /match_correct/.test(of.xml) ? 1 : item.points
    const differ = otherwise(item, of, plain)
    if (of.said.length > 0) expect(differ.length).toBeGreaterThan(0)
    else expect(differ.slice(0, 3)).toEqual([])
  })
})
