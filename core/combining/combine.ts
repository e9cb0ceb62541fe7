import { same } from '../base'
import type { Clash, Combined, Parts, Side, Taken, Three } from './types'

/**
 * Two people's changes of one value, put together part by part: what only one of them changed is as they have it;
 * where both made something different of the same, it is a clash, and `choices` says by its id whose stands; without
 * an answer it is `mine`. A list keeps the order of `mine`, or of `theirs` where only they changed it.
 *
 * @example
 * combine({ title: 'whole', ids }, { seen: { title: 'A', ids: ['x'] }, mine: { title: 'B', ids: ['x'] },
 *   theirs: { title: 'A', ids: ['x', 'y'] } }).value // { title: 'B', ids: ['x', 'y'] }
 */
export function combine<Value extends object>(
  parts: Parts<Value>,
  three: Three<Value>,
  choices: ReadonlyMap<string, Side> = new Map(),
): Combined<Value> {
  const clashes: Clash<Value>[] = []
  const taken: Taken<Value>[] = []
  const value = { ...three.mine }
  for (const part of Object.keys(parts) as (keyof Value & string)[]) {
    const of = (side: Value) => side[part]
    const say = (name: string | null): Say<Value> => ({ part, name, choices, clashes, taken })
    const one = { seen: of(three.seen), mine: of(three.mine), theirs: of(three.theirs) }
    const combined = combinePart(parts[part] as AnyPart, one, say)
    if (combined === undefined) Reflect.deleteProperty(value, part)
    else value[part] = combined as Value[typeof part]
  }
  return { value, clashes, taken }
}

/** Where the outcome of one comparison is told. */
interface Say<Value> {
  readonly part: keyof Value & string
  readonly name: string | null
  readonly choices: ReadonlyMap<string, Side>
  readonly clashes: Clash<Value>[]
  readonly taken: Taken<Value>[]
}
type SayOf<Value> = (name: string | null) => Say<Value>

type AnyPart = 'whole' | 'fields' | { readonly nameOf: (entry: unknown) => string }

function combinePart<Value>(kind: AnyPart, one: Three<unknown>, say: SayOf<Value>): unknown {
  if (kind === 'whole') return choose(one, say(null))
  if (kind === 'fields') return combineFields(one as Three<Fields>, say)
  return combineList(kind.nameOf, one as Three<readonly unknown[]>, say)
}

/** One of three: what only one side changed is theirs; what both did is a clash, unless they did the same. */
function choose<Value>({ seen, mine, theirs }: Three<unknown>, say: Say<Value>): unknown {
  const { part, name, choices } = say
  if (same(mine, theirs) || same(theirs, seen)) return mine
  const id = name === null ? part : `${part}/${name}`
  if (same(mine, seen)) {
    say.taken.push({ id, part, name, mine, theirs })
    return theirs
  }
  say.clashes.push({ id, part, name, mine, theirs })
  return choices.get(id) === 'theirs' ? theirs : mine
}

type Fields = Readonly<Record<string, unknown>>

function combineFields<Value>({ seen, mine, theirs }: Three<Fields>, say: SayOf<Value>): Fields {
  const names = new Set([...Object.keys(mine), ...Object.keys(theirs), ...Object.keys(seen)])
  const fields = [...names].map((name) => {
    const one = { seen: seen[name], mine: mine[name], theirs: theirs[name] }
    return [name, choose(one, say(name))] as const
  })
  return Object.fromEntries(fields.filter(([, value]) => value !== undefined))
}

function combineList<Value>(
  nameOf: (entry: unknown) => string,
  { seen, mine, theirs }: Three<readonly unknown[]>,
  say: SayOf<Value>,
): readonly unknown[] {
  const byName = (list: readonly unknown[]) => new Map(list.map((e) => [nameOf(e), e] as const))
  const [was, own, other] = [byName(seen), byName(mine), byName(theirs)]
  return orderOf([...was.keys()], [...own.keys()], [...other.keys()]).flatMap((name) => {
    const one = { seen: was.get(name), mine: own.get(name), theirs: other.get(name) }
    const entry = choose(one, say(name))
    return entry === undefined ? [] : [entry]
  })
}

/** All names, in the order of who changed it; what the other added comes after what stands before it there. */
function orderOf(
  seen: readonly string[],
  mine: readonly string[],
  theirs: readonly string[],
): readonly string[] {
  const known = new Set(seen)
  const isAsSeen = same(
    mine.filter((n) => known.has(n)),
    seen.filter((n) => mine.includes(n)),
  )
  const [first, second] = isAsSeen ? [theirs, mine] : [mine, theirs]
  const order = [...first]
  for (const [at, name] of second.entries()) {
    if (order.includes(name)) continue
    const before = second.slice(0, at).findLast((n) => order.includes(n))
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, name)
  }
  return order
}
