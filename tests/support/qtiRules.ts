import { XMLParser } from 'fast-xml-parser'

/**
 * Response processing as its specification puts it, written apart from the reader under test: what a try earns when
 * each response holds the given values.
 */
export function earnedByRules(item: string, given: Readonly<Record<string, readonly string[]>>): number {
  const root = parsed(item)
  const responses = within(root, 'responseDeclaration')
  const processing = within(root, 'responseProcessing')[0]
  const state: State = { responses, given, outcomes: { SCORE: 0 } }
  for (const outcome of within(root, 'outcomeDeclaration')) {
    const [value] = within(outcome, 'value')
    if (value) state.outcomes[outcome.of.identifier ?? ''] = Number(textOf(value))
  }
  const template = processing?.of.template ?? ''
  if (
    /match_correct/.test(template) ||
    (!processing && responses.every((r) => within(r, 'mapping').length === 0))
  )
    return responses.every((r) => alike(correctOf(r), valuesOf(state, r), r.of.cardinality === 'ordered'))
      ? 1
      : 0
  if (/map_response/.test(template) || !processing)
    return responses.reduce((sum, r) => sum + mapOf(r, valuesOf(state, r)), 0)
  try {
    processing.kids.forEach((statement) => perform(statement, state))
  } catch (error) {
    if (error !== LEFT) throw error
  }
  return state.outcomes.SCORE ?? 0
}

interface Node {
  readonly tag: string
  readonly of: Readonly<Record<string, string>>
  readonly kids: readonly Node[]
  readonly text: string
}
interface State {
  readonly responses: readonly Node[]
  readonly given: Readonly<Record<string, readonly string[]>>
  readonly outcomes: Record<string, number>
}
const LEFT = new Error('left')

const camel = (name: string) =>
  name.replace(/^qti-/, '').replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase())

const known = new Map<string, Node>()
function parsed(xml: string): Node {
  const root = known.get(xml) ?? parsedAnew(xml)
  known.set(xml, root)
  return root
}

function parsedAnew(xml: string): Node {
  const parser = new XMLParser({
    preserveOrder: true,
    ignoreAttributes: false,
    attributeNamePrefix: '',
    parseTagValue: false,
    parseAttributeValue: false,
  })
  const convert = (raw: Record<string, unknown>): Node[] => {
    const name = Object.keys(raw).find((key) => key !== ':@') ?? ''
    if (name.startsWith('?')) return []
    if (name === '#text') return [{ tag: '#text', of: {}, kids: [], text: String(raw[name]) }]
    const of = Object.fromEntries(
      Object.entries((raw[':@'] ?? {}) as Record<string, string>).map(([key, value]) => [camel(key), value]),
    )
    const kids = (raw[name] as Record<string, unknown>[]).flatMap(convert)
    return [
      {
        tag: camel(name),
        of,
        kids: kids.filter((k) => k.tag !== '#text'),
        text: kids.map((k) => k.text).join(''),
      },
    ]
  }
  const [root] = (parser.parse(xml) as Record<string, unknown>[]).flatMap(convert)
  if (!root) throw new Error('no item')
  return root
}

/** Elements of a name, anywhere within. */
export function within(node: Node, tag: string): readonly Node[] {
  return node.kids.flatMap((kid) => [...(kid.tag === tag ? [kid] : []), ...within(kid, tag)])
}
const textOf = (node: Node) => node.text.trim()

/** The names of choices by their words. */
export function namesByWords(item: string): ReadonlyMap<string, string> {
  const root = parsed(item)
  const tags = ['simpleChoice', 'simpleAssociableChoice', 'inlineChoice', 'gapText']
  return new Map(
    tags.flatMap((tag) => within(root, tag)).map((node) => [textOf(node), node.of.identifier ?? '']),
  )
}

const responseOf = (state: State, id: string) => state.responses.find((r) => r.of.identifier === id)
const valuesOf = (state: State, response: Node) => state.given[response.of.identifier ?? ''] ?? []
const correctOf = (response: Node) => {
  const [correct] = within(response, 'correctResponse')
  return correct ? within(correct, 'value').map(textOf) : []
}

function alike(a: readonly string[], b: readonly string[], isOrdered: boolean): boolean {
  if (a.length === 0 || a.length !== b.length) return false
  const [x, y] = isOrdered ? [a, b] : [[...a].sort(), [...b].sort()]
  const same = (p: string, q: string) => p === q || (p !== '' && q !== '' && Number(p) === Number(q))
  return x.every((value, i) => same(value, y[i] ?? ''))
}

function mapOf(response: Node, values: readonly string[]): number {
  const [mapping] = within(response, 'mapping')
  if (!mapping || values.length === 0) return 0
  const entries = within(mapping, 'mapEntry')
  let sum = 0
  for (const value of new Set(values)) {
    const entry = entries.find(({ of }) =>
      of.caseSensitive === 'false' ? of.mapKey?.toLowerCase() === value.toLowerCase() : of.mapKey === value,
    )
    sum += Number(entry ? entry.of.mappedValue : (mapping.of.defaultValue ?? 0))
  }
  const { lowerBound, upperBound } = mapping.of
  if (lowerBound !== undefined) sum = Math.max(sum, Number(lowerBound))
  if (upperBound !== undefined) sum = Math.min(sum, Number(upperBound))
  return sum
}

function perform(statement: Node, state: State): void {
  if (statement.tag === 'exitResponse') throw LEFT
  if (statement.tag === 'setOutcomeValue') {
    const [value] = statement.kids
    state.outcomes[statement.of.identifier ?? ''] = value ? Number(valuesFrom(value, state)[0] ?? 0) : 0
    return
  }
  for (const branch of statement.kids) {
    const [condition, ...then] = branch.kids
    if (branch.tag === 'responseElse') return branch.kids.forEach((s) => perform(s, state))
    if (condition && holds(condition, state)) return then.forEach((s) => perform(s, state))
  }
}

function valuesFrom(node: Node, state: State): readonly string[] {
  const { identifier = '' } = node.of
  const [response] = state.responses.filter((r) => r.of.identifier === identifier)
  switch (node.tag) {
    case 'variable':
      return response ? valuesOf(state, response) : [String(state.outcomes[identifier] ?? '')]
    case 'correct':
      return response ? correctOf(response) : []
    case 'baseValue':
      return [textOf(node)]
    case 'mapResponse':
      return [String(mapOf(response ?? node, response ? valuesOf(state, response) : []))]
    case 'sum':
      return [String(node.kids.map((k) => Number(valuesFrom(k, state)[0])).reduce((a, b) => a + b, 0))]
    case 'random':
    case 'multiple':
    case 'ordered':
      return node.kids.flatMap((k) => valuesFrom(k, state))
    case 'index':
      return node.kids.flatMap((k) => valuesFrom(k, state).slice(Number(node.of.n) - 1, Number(node.of.n)))
    default:
      throw new Error(`no value: ${node.tag}`)
  }
}

function holds(node: Node, state: State): boolean {
  const values = () => node.kids.map((k) => valuesFrom(k, state))
  const numbers = () => values().map(([v]) => (v === undefined || v === '' ? Number.NaN : Number(v)))
  switch (node.tag) {
    case 'and':
      return node.kids.every((k) => holds(k, state))
    case 'or':
      return node.kids.some((k) => holds(k, state))
    case 'not':
      return node.kids.every((k) => !holds(k, state))
    case 'isNull':
      return (values()[0] ?? []).length === 0
    case 'match': {
      const [a = [], b = []] = values()
      const ids = node.kids.map((k) => responseOf(state, k.of.identifier ?? ''))
      return alike(
        a,
        b,
        ids.some((r) => r?.of.cardinality === 'ordered') || node.kids.some((k) => k.tag === 'ordered'),
      )
    }
    case 'stringMatch': {
      const [a = '', b = ''] = values().map(([v]) => v ?? '')
      const [x, y] = node.of.caseSensitive === 'false' ? [a.toLowerCase(), b.toLowerCase()] : [a, b]
      return a !== '' && (node.of.substring === 'true' ? x.includes(y) : x === y)
    }
    case 'member': {
      const [a = [], b = []] = values()
      return a.length > 0 && b.includes(a[0] ?? '')
    }
    case 'gte':
      return (numbers()[0] ?? Number.NaN) >= (numbers()[1] ?? Number.NaN)
    case 'lte':
      return (numbers()[0] ?? Number.NaN) <= (numbers()[1] ?? Number.NaN)
    case 'equal': {
      const [given = Number.NaN, value = Number.NaN] = numbers()
      const [below = 0, above = below] = (node.of.tolerance ?? '0').split(' ').map(Number)
      const share = node.of.toleranceMode === 'relative' ? Math.abs(value) / 100 : 1
      const [low, high] = node.of.toleranceMode
        ? [value - below * share, value + above * share]
        : [value, value]
      return given >= low - 1e-9 && given <= high + 1e-9
    }
    default:
      throw new Error(`no condition: ${node.tag}`)
  }
}
