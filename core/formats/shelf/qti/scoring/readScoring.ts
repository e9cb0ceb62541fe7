import { allOf, firstOf, isElement } from '../../xml'
import type { Xml } from '../../xml'
import { evaluate, isOperator } from './expressions'
import { declaredIn, isSame, mapped, valueOf } from './values'
import type { Declared, Value } from './values'

/** What was given to each response of an item, by the response's name; nothing given: no values. */
export type Given = Readonly<Record<string, readonly string[]>>

/** How an item scores what is given, by its own rules. */
export interface Scoring {
  readonly declared: ReadonlyMap<string, Declared>
  readonly scoreOf: (given: Given) => number
  /** All values that its rules speak of, by response: what may be right stands among them. */
  readonly named: (response: string) => readonly string[]
  /** Nothing but “right or not” is said: what is right earns one point, or all. */
  readonly isPlain: boolean
  /** Its rules, where they are written out. */
  readonly rules: Xml | null
}

/** Statements that are read, besides expressions. */
const STATEMENTS: ReadonlySet<string> = new Set([
  'responsecondition',
  'responseif',
  'responseelseif',
  'responseelse',
  'setoutcomevalue',
  'exitresponse',
])
/** What is earned stands there. */
const SCORE = 'SCORE'

/**
 * Reads the rules by which an item scores: a standard template, rules written out, or none, where a mapping or the
 * correct response alone says what is right. An operator that is not read is returned by its name.
 */
export function readScoring(root: Xml): Scoring | { readonly unread: string } {
  const declared = declaredIn(root)
  const processing = firstOf(root, 'responseprocessing')
  const { template: address, templatelocation: place } = processing?.attributes ?? {}
  const template = (address ?? place)
    ?.split('/')
    .findLast((part) => part !== '')
    ?.replace(/\.xml$/i, '')
  const statements = processing?.children.filter(isElement) ?? []
  if (statements.length > 0) return byRules(root, declared, statements)
  if (template && !/match_correct$|map_response$|match_basic$/i.test(template)) return { unread: template }
  return byTemplate(declared, template)
}

function byTemplate(declared: ReadonlyMap<string, Declared>, template: string | undefined): Scoring {
  const all = [...declared.values()]
  const isMapped = template ? /map_response/i.test(template) : all.some((d) => d.mapping !== null)
  const earnedBy = (of: Declared, value: Value) =>
    isMapped ? mapped(of, value) : Number(isSame(of.correct, value, of.cardinality === 'ordered'))
  return {
    declared,
    scoreOf: (given) => {
      const values = variablesOf(declared, given)
      const earned = all.map((of) => earnedBy(of, values.get(of.id) ?? null))
      // each of several responses has to be right
      return isMapped ? earned.reduce((a, b) => a + b, 0) : Math.min(...earned)
    },
    named: namedIn(declared, null),
    isPlain: !isMapped,
    rules: null,
  }
}

function byRules(
  root: Xml,
  declared: ReadonlyMap<string, Declared>,
  statements: readonly Xml[],
): Scoring | { readonly unread: string } {
  const needed = neededFor(statements)
  const unread = needed.flatMap(namesIn).find((name) => !STATEMENTS.has(name) && !isOperator(name))
  if (unread !== undefined) return { unread }
  const defaults = new Map(
    allOf(root, 'outcomedeclaration').map((of): [string, Value] => {
      const { identifier = '', basetype: type = 'float' } = of.attributes
      const value = firstOf(of, 'value')
      const [text] = value?.children ?? []
      if (typeof text === 'string') return [identifier, [valueOf(text, type)]]
      return [identifier, type === 'float' || type === 'integer' ? [0] : null]
    }),
  )
  const rules: Xml = { name: 'rules', attributes: {}, children: needed }
  return {
    declared,
    scoreOf: (given) => {
      const variables = new Map([...defaults, ...variablesOf(declared, given)])
      run(needed, declared, variables)
      const [score] = variables.get(SCORE) ?? []
      return typeof score === 'number' && Number.isFinite(score) ? score : 0
    },
    named: namedIn(declared, rules),
    isPlain: false,
    rules,
  }
}

/** The statements on which what is earned depends: what only chooses a feedback is left aside. */
function neededFor(statements: readonly Xml[]): readonly Xml[] {
  const wanted = new Set([SCORE])
  for (;;) {
    const needed = statements.filter(
      (s) => s.name === 'exitresponse' || setIn(s).some((name) => wanted.has(name)),
    )
    const before = wanted.size
    for (const name of needed.flatMap((s) => allOf(s, 'variable').map((v) => v.attributes.identifier ?? '')))
      wanted.add(name)
    if (wanted.size === before) return needed
  }
}
const setIn = (of: Xml) =>
  [...(of.name === 'setoutcomevalue' ? [of] : []), ...allOf(of, 'setoutcomevalue')].map(
    (s) => s.attributes.identifier ?? '',
  )
const namesIn = (of: Xml): readonly string[] => [of.name, ...of.children.filter(isElement).flatMap(namesIn)]

/** Runs statements; true when they say that it ends here. */
function run(
  statements: readonly Xml[],
  declared: ReadonlyMap<string, Declared>,
  variables: Map<string, Value>,
): boolean {
  for (const statement of statements) {
    const children = statement.children.filter(isElement)
    if (statement.name === 'exitresponse') return true
    if (statement.name === 'setoutcomevalue') {
      const [expression] = children
      const value = expression ? evaluate(expression, { declared, variables }) : null
      variables.set(statement.attributes.identifier ?? '', value)
    }
    if (statement.name === 'responsecondition' && runCondition(children, declared, variables)) return true
  }
  return false
}

function runCondition(
  branches: readonly Xml[],
  declared: ReadonlyMap<string, Declared>,
  variables: Map<string, Value>,
): boolean {
  for (const branch of branches) {
    const [condition, ...then] = branch.children.filter(isElement)
    if (branch.name === 'responseelse') return run(branch.children.filter(isElement), declared, variables)
    if (condition && evaluate(condition, { declared, variables })?.[0] === true)
      return run(then, declared, variables)
  }
  return false
}

function variablesOf(declared: ReadonlyMap<string, Declared>, given: Given): Map<string, Value> {
  return new Map(
    [...declared.values()].map(({ id, type }) => {
      const values = (given[id] ?? []).map((text) => valueOf(text, type))
      return [id, values.length === 0 ? null : values] as const
    }),
  )
}

/** Operators that hold what is given against something. */
const COMPARISONS = 'match equal stringmatch member substring contains gt gte lt lte'.split(' ')

/** The values that a declaration and the rules speak of, those that are said to be right first. */
function namedIn(declared: ReadonlyMap<string, Declared>, rules: Xml | null) {
  return (response: string): readonly string[] => {
    const of = declared.get(response)
    const speaksOf = (element: Xml) =>
      allOf(element, 'variable').some((v) => v.attributes.identifier === response)
    const compared = rules ? COMPARISONS.flatMap((name) => allOf(rules, name).filter(speaksOf)) : []
    const literals = compared
      .flatMap((element) => allOf(element, 'basevalue'))
      .flatMap(({ children: [text] }) => (typeof text === 'string' ? [text.trim()] : []))
    const mappedTo = of?.mapping?.entries.map((e) => e.key) ?? []
    return [...new Set([...(of?.correct ?? []).map(String), ...mappedTo, ...literals])]
  }
}
