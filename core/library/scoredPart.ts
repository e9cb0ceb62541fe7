import { asId } from '../base'
import type { ItemId } from '../base'
import { isScoredByHand } from './kinds'
import type { Item } from './kinds'
import { cardOfKind } from './resourceCards'
import type { Resource } from './types'

/** The question that stands for what was made; its words can be changed, its points are those of the criteria. */
export const MADE = asId<ItemId>('made')
const STEM = 'What did you make? Say in a few sentences how it went, and name the files that you hand in.'
/** As many points as one question may have. */
const MOST_POINTS = 100

/**
 * A piece whose criteria are worth points has something that is scored by them: where it asks for no text, such as a
 * project, a question for what was made is added, and goes when no criterion is worth anything any more.
 */
export function withScoredPart(resource: Resource): Resource {
  const { kind, items, material, standards } = resource
  const card = cardOfKind(kind)
  if (!card.hasCriteria || card.items === 'needed') return resource
  const points = material.rubric.reduce((sum, c) => sum + Math.max(0, c.points), 0)
  const others = items.filter((item) => item.id !== MADE)
  if (points === 0 || others.some(isScoredByHand)) return { ...resource, items: others }
  const had = items.find((item) => item.id === MADE)
  const made: Item = {
    ...(had ?? asked(standards.length === 1 ? (standards[0] ?? null) : null)),
    points: Math.min(points, MOST_POINTS),
  }
  return { ...resource, items: had ? items.map((i) => (i.id === MADE ? made : i)) : [...others, made] }
}

function asked(standard: string | null): Item {
  return {
    id: MADE,
    kind: 'extended',
    stem: STEM,
    points: 1,
    standard,
    difficulty: 3,
    feedback: '',
    hint: '',
    leastWords: 0,
    mostWords: 0,
    leastParagraphs: 0,
    guide: '',
  }
}
