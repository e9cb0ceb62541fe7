import { ok, refuse } from '../base'
import type { Result, UserId } from '../base'
import { NO_WISHES } from './types'
import type { GroupingRefusal, Scored, Split, Wishes } from './types'

/** Alike: who stands near each other; mixed: each group has high and low. */
export type EvenWay = 'alike' | 'mixed'

/** So many placings are tried before it is given up. */
const MOST_TRIED = 50_000

interface Block {
  readonly ids: readonly UserId[]
  readonly share: number
}

/**
 * `k` groups whose sizes differ by one at most, with everybody in one. Who is kept together is one block, placed whole;
 * who is kept apart never shares a group; where that cannot be, it is refused and said because of whom. Within that,
 * blocks take groups in the order of their shares: alike one group after another, mixed forth and back. Who has no
 * share counts as middling.
 */
export function evenGroups(
  scored: readonly Scored[],
  k: number,
  way: EvenWay,
  wishes: Wishes = NO_WISHES,
): Result<Split, GroupingRefusal> {
  const here = new Set(scored.map((s) => s.learnerId))
  const count = Math.max(1, Math.min(k, scored.length))
  const blocks = blocksOf(scored, wishes.together)
  const apart = wishes.apart.filter(([a, b]) => here.has(a) && here.has(b) && a !== b)
  const fault = faultIn(blocks, apart, { count, learners: scored.length })
  if (fault) return refuse(fault)
  const groups = placed(seated(blocks, way, count), apart, sizesOf(scored.length, count), way)
  return groups ? ok({ groups, unscored: [] }) : refuse({ code: 'grouping/no-such-groups' })
}

/** Sizes of even groups, the larger ones first. */
function sizesOf(learners: number, count: number): readonly number[] {
  const least = Math.floor(learners / count)
  return Array.from({ length: count }, (_, i) => least + (i < learners % count ? 1 : 0))
}

/** Learners who stay together, by way of others, too, as one. */
function blocksOf(scored: readonly Scored[], together: Wishes['together']): readonly Block[] {
  const shareOf = new Map(scored.map((s) => [s.learnerId, s.share ?? 0.5]))
  const blockOf = new Map(scored.map((s) => [s.learnerId, [s.learnerId]]))
  for (const ids of together) {
    const joined = [...new Set(ids.flatMap((id) => blockOf.get(id) ?? []))]
    for (const id of joined) blockOf.set(id, joined)
  }
  return [...new Set(blockOf.values())].map((ids) => ({
    ids,
    share: ids.reduce((sum, id) => sum + (shareOf.get(id) ?? 0.5), 0) / ids.length,
  }))
}

function faultIn(
  blocks: readonly Block[],
  apart: Wishes['apart'],
  { count, learners }: { readonly count: number; readonly learners: number },
): GroupingRefusal | null {
  const torn = apart.find(([a, b]) => blocks.some((x) => x.ids.includes(a) && x.ids.includes(b)))
  if (torn) return { code: 'grouping/together-and-apart', learnerIds: torn }
  const most = Math.ceil(learners / count)
  const large = blocks.find((b) => b.ids.length > most)
  if (large) return { code: 'grouping/too-many-together', learnerIds: large.ids, most }
  const crowd = mutuallyApart(apart)
  return crowd.length > count ? { code: 'grouping/too-many-apart', learnerIds: crowd } : null
}

/** Learners of whom each is kept apart from each other one: grown greedily from everybody, the largest. */
function mutuallyApart(apart: Wishes['apart']): readonly UserId[] {
  const isApart = (a: UserId, b: UserId) =>
    apart.some(([x, y]) => (x === a && y === b) || (x === b && y === a))
  const all = [...new Set(apart.flat())]
  const crowds = all.map((first) =>
    all.reduce<UserId[]>(
      (crowd, id) => (crowd.every((c) => isApart(c, id)) ? [...crowd, id] : crowd),
      [first],
    ),
  )
  return crowds.reduce<readonly UserId[]>((best, c) => (c.length > best.length ? c : best), [])
}

/** A block with the group where it would sit if nothing else counted but shares. */
type Seated = Block & { readonly seat: number }

function seated(blocks: readonly Block[], way: EvenWay, count: number): readonly Seated[] {
  const learners = blocks.reduce((sum, b) => sum + b.ids.length, 0)
  let before = 0
  return [...blocks]
    .sort((a, b) => a.share - b.share)
    .map((block, i) => {
      const seat = way === 'alike' ? Math.floor((before * count) / learners) : forthAndBack(i, count)
      before += block.ids.length
      return { ...block, seat }
    })
}

function forthAndBack(i: number, count: number): number {
  const seat = i % count
  return Math.floor(i / count) % 2 === 0 ? seat : count - 1 - seat
}

/** Places blocks one after another, first where each would sit, then as near as can be; goes back where stuck. */
function placed(
  blocks: readonly Seated[],
  apart: Wishes['apart'],
  sizes: readonly number[],
  way: EvenWay,
): readonly (readonly UserId[])[] | null {
  const groups: UserId[][] = sizes.map(() => [])
  const enemies = new Map<UserId, UserId[]>()
  for (const [a, b] of apart) {
    enemies.set(a, [...(enemies.get(a) ?? []), b])
    enemies.set(b, [...(enemies.get(b) ?? []), a])
  }
  // large ones and those with most enemies first: they are the hardest to place
  const hardness = (b: Block) => b.ids.reduce((sum, id) => sum + (enemies.get(id)?.length ?? 0), 0)
  const order = [...blocks].sort((a, b) => b.ids.length - a.ids.length || hardness(b) - hardness(a))
  let tried = 0
  const place = (at: number): boolean => {
    const block = order[at]
    if (!block) return true
    for (const seat of seatsFor(block.seat, sizes.length, way)) {
      const group = groups[seat]
      if (!group || group.length + block.ids.length > (sizes[seat] ?? 0)) continue
      if (block.ids.some((id) => enemies.get(id)?.some((enemy) => group.includes(enemy)))) continue
      if (++tried > MOST_TRIED) return false
      group.push(...block.ids)
      if (place(at + 1)) return true
      group.length -= block.ids.length
    }
    return false
  }
  return place(0) ? groups : null
}

/** Groups from the one that is wished for outwards. */
function seatsFor(seat: number, count: number, way: EvenWay): readonly number[] {
  const all = Array.from({ length: count }, (_, i) => i)
  if (way === 'alike') return all.sort((a, b) => Math.abs(a - seat) - Math.abs(b - seat) || a - b)
  return all.map((i) => (seat + i) % count)
}
