import { besideOthers } from './beside'
import type { Caution } from './caution'
import type { ClassAtLastLook, LastLookFacts } from './facts'
import { covered, givenBefore, inHeavyWeeks, leftOut, waitingFor } from './ofClass'
import { ofPieces } from './ofPieces'
import { ofWindow } from './ofWindow'

type FindsInClass = (of: ClassAtLastLook, facts: LastLookFacts) => readonly Caution[]
type FindsInAll = (facts: LastLookFacts) => readonly Caution[]

/** What is looked for in each class, in the order in which it is said. */
const IN_CLASS: readonly FindsInClass[] = [
  ofWindow,
  covered,
  givenBefore,
  leftOut,
  besideOthers,
  inHeavyWeeks,
  waitingFor,
]
const IN_ALL: readonly FindsInAll[] = [inSeveral, ofPieces]

/** The last look at work before it goes out, class by class: what is legal and yet seldom meant. */
export function lastLook(facts: LastLookFacts): Caution[] {
  return [
    ...facts.classes.flatMap((of) => IN_CLASS.flatMap((find) => find(of, facts))),
    ...IN_ALL.flatMap((find) => find(facts)),
  ]
}

function inSeveral({ reached }: LastLookFacts): readonly Caution[] {
  const learnerIds = reached.filter((r) => r.byClass && r.classIds.length > 1).map((r) => r.learnerId)
  return learnerIds.length === 0 ? [] : [{ code: 'in-several', learnerIds }]
}
