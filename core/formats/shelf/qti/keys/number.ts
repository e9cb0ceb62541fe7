import { allOf } from '../../xml'
import { boundsOf } from '../scoring/expressions'
import type { Scoring } from '../scoring/readScoring'
import { bestOf } from './keyReading'

/** A number that is right, how far off it may be, and what it earns. */
export interface NumberKey {
  readonly value: number
  readonly tolerance: number
  readonly best: number
  /** Numbers at which it may turn from right to wrong, and some beyond. */
  readonly edges: readonly number[]
}

/** A little within an edge, as a share of the way there: whether the edge itself counts is another question. */
const INSET = 1e-6

/** Numbers of a mapping beyond these are not looked at: each is tried together with each. */
const MOST_STATED = 60

/** Reads the right number of a response; `earned` says what a number earns, all else being right. */
export function numberKey(
  { declared, rules, named }: Scoring,
  response: string,
  earned: (value: number) => number,
): NumberKey | null {
  const stated = named(response).map(Number).filter(Number.isFinite).slice(0, MOST_STATED)
  const correct = (declared.get(response)?.correct ?? []).map(Number)
  // of “at least” and “at most” the middle is what is right within a tolerance
  const middles = stated.flatMap((a) => stated.filter((b) => b > a).map((b) => plain((a + b) / 2)))
  const found = bestOf([...correct, ...middles, ...stated], earned)
  if (found === null || found.score <= 0) return null
  const value = found.way
  const bounds = rules
    ? allOf(rules, 'equal').flatMap((of) => stated.map((number) => boundsOf(of, number)))
    : []
  const edges = [...new Set([...bounds.flatMap(({ low, high }) => [low, high]), ...stated])].map(plain)
  const isRight = (edge: number) => earned(value + (edge - value) * (1 - INSET)) === found.score
  const reach = (all: readonly number[]) =>
    Math.max(0, ...all.filter(isRight).map((edge) => Math.abs(plain(edge - value))))
  const [below, above] = [reach(edges.filter((e) => e < value)), reach(edges.filter((e) => e > value))]
  // where both sides differ, the narrower counts, and the comparison tells
  const tolerance = plain(Math.min(below, above))
  const beyond = [below, above].flatMap((d) => [value - d * 1.01 - 0.001, value + d * 1.01 + 0.001])
  return { value, tolerance, best: found.score, edges: [value, ...edges, ...beyond.map(plain)] }
}

/** Without what binary fractions are off. */
function plain(number: number): number {
  return Number(number.toPrecision(12))
}
