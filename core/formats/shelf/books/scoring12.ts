import { allOf, firstOf, isElement, textIn } from '../xml'
import type { Xml } from '../xml'
import type { Given, Scoring } from '../qti/scoring/readScoring'
import type { Declared } from '../qti/scoring/values'

/** Conditions of QTI 1.2 that are read; another one is named, and nothing is guessed. */
const CONDITIONS: Readonly<Record<string, (of: Xml, given: Given) => boolean>> = {
  varequal: (of, given) => {
    const isExact = of.attributes.case?.toLowerCase() === 'yes'
    const fold = (text: string) => (isExact ? text.trim() : text.trim().toLowerCase())
    return valuesOf(of, given).some((value) => fold(value) === fold(textIn(of)))
  },
  varsubstring: (of, given) => {
    const isExact = of.attributes.case?.toLowerCase() === 'yes'
    const fold = (text: string) => (isExact ? text : text.toLowerCase())
    return valuesOf(of, given).some((value) => fold(value).includes(fold(textIn(of))))
  },
  vargte: (of, given) => numberOf(of, given) >= Number(textIn(of)),
  vargt: (of, given) => numberOf(of, given) > Number(textIn(of)),
  varlte: (of, given) => numberOf(of, given) <= Number(textIn(of)),
  varlt: (of, given) => numberOf(of, given) < Number(textIn(of)),
  unanswered: (of, given) => valuesOf(of, given).length === 0,
  other: () => true,
  and: (of, given) => of.children.filter(isElement).every((child) => holds(child, given)),
  or: (of, given) => of.children.filter(isElement).some((child) => holds(child, given)),
  not: (of, given) => !of.children.filter(isElement).every((child) => holds(child, given)),
}
const valuesOf = (of: Xml, given: Given) => given[of.attributes.respident ?? ''] ?? []
const numberOf = (of: Xml, given: Given) => {
  const [text = ''] = valuesOf(of, given)
  return text.trim() === '' ? Number.NaN : Number(text)
}

function holds(of: Xml, given: Given): boolean {
  return CONDITIONS[of.name]?.(of, given) ?? false
}

/** Reads the conditions by which an item of QTI 1.2 scores; one that is not read is returned by its name. */
export function readScoring12(item: Xml): Scoring | { readonly unread: string } {
  const conditions = allOf(item, 'respcondition')
  const rules = conditions.map((c) => ({ when: firstOf(c, 'conditionvar'), condition: c }))
  const unread = rules
    .flatMap(({ when }) => (when ? namesIn(when) : []))
    .find((name) => !Object.hasOwn(CONDITIONS, name))
  if (unread !== undefined) return { unread }
  return {
    declared: declaredIn(item),
    scoreOf: (given) => {
      let score = 0
      for (const { when, condition } of rules) {
        if (!when || !when.children.filter(isElement).every((child) => holds(child, given))) continue
        score = allOf(condition, 'setvar').filter(isScore).reduce(applied, score)
        if (condition.attributes.continue?.toLowerCase() !== 'yes') break
      }
      return score
    },
    named: (response) => [
      ...new Set(
        rules
          .flatMap(({ when }) => (when ? VALUES.flatMap((name) => allOf(when, name)) : []))
          .filter((of) => of.attributes.respident === response)
          .map(textIn),
      ),
    ],
    isPlain: false,
    rules: null,
  }
}
const VALUES = ['varequal', 'varsubstring', 'vargte', 'vargt', 'varlte', 'varlt'] as const

function namesIn(of: Xml): readonly string[] {
  return of.children.filter(isElement).flatMap((child) => [child.name, ...namesIn(child)])
}

const isScore = ({ attributes }: Xml) => /^(?:score|que_score)$/i.test(attributes.varname ?? 'SCORE')

function applied(score: number, { attributes, children: [text = ''] }: Xml): number {
  const value = Number(String(isElement(text) ? '' : text).trim()) || 0
  switch ((attributes.action ?? 'Set').toLowerCase()) {
    case 'add':
      return score + value
    case 'subtract':
      return score - value
    case 'multiply':
      return score * value
    default:
      return value
  }
}

/** Responses by their names: of one choice or several, of words or of a number. */
function declaredIn(item: Xml): ReadonlyMap<string, Declared> {
  const hasBounds = ['vargte', 'vargt', 'varlte', 'varlt'].some((name) => firstOf(item, name) !== null)
  const typeOf = (of: Xml) => {
    if (of.name === 'response_lid') return 'identifier'
    if (of.name === 'response_num') return 'float'
    if (of.name !== 'response_str') return NOT_READ
    const isNumber = /^(?:integer|decimal)$/i.test(firstOf(of, 'render_fib')?.attributes.fibtype ?? '')
    return isNumber || hasBounds ? 'float' : 'string'
  }
  return new Map(
    RESPONSES.flatMap((name) => allOf(item, name)).map((of) => {
      const { ident: id = '', rcardinality = 'Single' } = of.attributes
      const cardinality = rcardinality.toLowerCase()
      return [id, { id, cardinality, type: typeOf(of), correct: null, mapping: null }] as const
    }),
  )
}
/** What is answered in an item of QTI 1.2; the last two are places in pictures, and groups that belong together. */
const RESPONSES = ['response_lid', 'response_str', 'response_num', 'response_xy', 'response_grp'] as const
/** The type of a response that is not read. */
export const NOT_READ = 'place-or-group'
