import type { AttemptRules, Correction } from '../attempts'
import type { Because, Target } from '../audience'
import type { LearnerTerms, Overrides, WindowSpec } from '../availability'
import type {
  AssignmentId,
  ClassId,
  GroupId,
  Instant,
  Minutes,
  PieceId,
  ResourceId,
  SchoolId,
  UserId,
} from '../base'
import type { GivenVersion, VersionChoice } from '../versions'
import type { About } from './about'

export const WHENS = ['before', 'in', 'after'] as const
/** Where a piece stands to its lesson: done before class, in class, or afterwards. */
export type When = (typeof WHENS)[number]

export const HAND_INS = ['alone', 'together'] as const
/** Whether each learner hands a piece in, or one of a team for all of it. */
export type HandIn = (typeof HAND_INS)[number]

/** One piece of an assignment, with what it does differently from the others. */
export interface WorkPiece {
  /** Unique in its assignment; tries name it. */
  readonly id: PieceId
  readonly resourceId: ResourceId
  /** The form of the piece that is given out, whatever is made of it afterwards. */
  readonly revision: number
  readonly when: When
  readonly handIn: HandIn
  /** One that is only read counts as done after so many minutes at the earliest; 0: at once. */
  readonly leastMinutes: Minutes
  readonly window: Partial<WindowSpec>
  readonly rules: Partial<AttemptRules>
  /** Who of those whom the work reaches have this piece; absent: all of them. */
  readonly onlyIds?: readonly UserId[] | undefined
  /** What was put right about its questions since they were given. */
  readonly corrections?: readonly Correction[] | undefined
}

/** Rules that can be other for a class, a group or a learner, besides tries and time. */
export type OwnRules = Pick<AttemptRules, 'waitMinutes' | 'passPercent' | 'help'>

/** One target, with what it changes for its learners. */
export interface AssignmentTarget {
  readonly target: Target
  readonly overrides: Overrides
  /** Absent: the rules that everybody has. */
  readonly rules?: Partial<OwnRules>
  /** What is given of a piece instead of what each learner's trail says. */
  readonly versions?: Readonly<Record<PieceId, VersionChoice>>
}

/** What a teacher sets for one assignment; its pieces in the order in which they are done. */
export interface Draft {
  readonly pieces: readonly WorkPiece[]
  readonly title: string
  readonly note: string
  readonly about: About
  /** Other work of the class waits until this is finished. */
  readonly isFirst: boolean
  /** Each piece waits until those before it are finished. */
  readonly inTurn: boolean
  readonly window: WindowSpec
  readonly rules: AttemptRules
  readonly targets: readonly AssignmentTarget[]
  /** Whether learners get it who join a class once it is published. */
  readonly newcomers: boolean
  /** Who works together, where pieces are handed in together; who is in none works alone. */
  readonly teams: readonly (readonly UserId[])[]
  readonly exceptIds: readonly UserId[]
  /** Who have it though they have as much of its category open as their class lets them. */
  readonly overCeiling: readonly UserId[]
}

/** A group by rule as it stood at one moment. */
export interface RuledGroup {
  readonly groupId: GroupId
  readonly learnerIds: readonly UserId[]
}

export const ASSIGNMENT_STATES = ['held', 'published', 'withdrawn'] as const
/** Complete and waiting; seen by learners as their windows say; taken back, with what was done kept. */
export type AssignmentState = (typeof ASSIGNMENT_STATES)[number]

/** `version` counts changes. */
export interface Assignment extends Draft {
  readonly id: AssignmentId
  readonly schoolId: SchoolId
  readonly authorId: UserId
  readonly state: AssignmentState
  /** Classes it names that do not have it: their teachers have not given it, or have taken it back. */
  readonly notFor: readonly ClassId[]
  /** Who was in its groups by rule when it was published. */
  readonly ruled: readonly RuledGroup[]
  readonly version: number
  readonly createdAt: Instant
  readonly publishedAt: Instant | null
}

/** One piece of an assignment as resolved for one learner: their own moments and limits, and what set each. */
export interface LearnerWork {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly learnerId: UserId
  readonly classId: ClassId
  readonly terms: LearnerTerms
  /** What of the piece's rules is other for them. */
  readonly rules: Partial<OwnRules>
  /** Null: the piece as it is, without versions. */
  readonly version: GivenVersion | null
  readonly because: readonly WorkBecause[]
}

/** What set one of a learner's moments, limits or rules. */
export type WorkBecause = Because<LearnerTerms & OwnRules & Pick<LearnerWork, 'version'>>

/** Who has begun an assignment: how many learners, and at which of its pieces. */
export interface Begun {
  readonly learners: number
  /** Learners by piece; one that nobody has begun is absent. */
  readonly pieces: ReadonlyMap<PieceId, number>
}
