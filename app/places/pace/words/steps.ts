import { assertNever } from '#core/base'
import type { ClassId, LessonId } from '#core/base'
import type { Left } from '#core/pacing'
import type {
  ClassCommand,
  FixedDate,
  NoteCommand,
  PacingCommand,
  Plan,
  PlanCommand,
  PlanLesson,
  Purpose,
  SingleCommand,
} from '#core/pacing'
import type { SaidAct } from '#core/journal'
import type { DeskClass } from '#shared/contracts/pacing'
import { count, sayMeetings } from '~/shared/words/numbers'
import { sayDay } from '~/shared/words/times'
import { LAYER_WORDS, SERIES_WORDS, STANDING_WORDS, WORK_WORDS } from './actWords'
import { WAY_WORDS } from './ways'

interface Known {
  readonly classes: readonly DeskClass[]
  readonly plans: readonly Plan[]
}

/** An act in a few words: '8 A: W2.3 takes 1½ meetings'. */
export function sayStep(command: SaidAct, known: Known): string {
  switch (command.kind) {
    case 'work':
      return command.others === 0
        ? `${WORK_WORDS[command.what]} “${command.title}”`
        : `${WORK_WORDS[command.what]} ${command.others + 1} pieces of work`
    case 'series':
      return `“${command.title}” ${SERIES_WORDS[command.what]}`
    case 'filing':
      return `${classNamed(command.classId, known)}: headings and categories`
    case 'roster':
      return `${classNamed(command.classId, known)}: ${count(command.learners, 'learner')} added`
    case 'layer':
      return `“${command.title}”: a version ${LAYER_WORDS[command.what]}`
    case 'standing':
      return `“${command.title}” ${STANDING_WORDS[command.what]}`
    case 'note':
      return sayNote(command)
    case 'plan':
      return sayPlan(command, known)
    case 'year':
      return `${command.to.name}: the school year changed`
    case 'pattern':
      return `${classNamed(command.classId, known)}: other meeting times`
    case 'together':
      return sayTogether(command, known)
    case 'length':
    case 'meeting':
    case 'lesson':
    case 'class':
      return sayClass(command, known)
    default:
      return assertNever(command)
  }
}

function lessonOf(id: LessonId | null, { classes, plans }: Known): PlanLesson | undefined {
  for (const p of plans) for (const l of p.lessons) if (l.id === id) return l
  for (const c of classes) if (id && c.pacing.added[id]) return c.pacing.added[id]
  return undefined
}

/** 'W2.3', or the title of a lesson without a number. */
function nameOf(id: LessonId | null, known: Known): string {
  const lesson = lessonOf(id, known)
  return lesson?.number || lesson?.title || 'lesson'
}

function classNamed(id: ClassId, { classes }: Known): string {
  return classes.find((c) => c.id === id)?.shortName ?? 'class'
}

function sayClass(command: ClassCommand, known: Known): string {
  const name = classNamed(command.classId, known)
  switch (command.kind) {
    case 'length': {
      const inMinutes = lessonOf(command.lessonId, known)?.length.unit === 'minutes'
      const length = inMinutes ? `${command.to} min` : sayMeetings(command.to ?? 0)
      const what = command.to === null ? 'as in the plan' : `takes ${length}`
      return `${name}: ${nameOf(command.lessonId, known)} ${what}`
    }
    case 'meeting': {
      const day = sayDay(command.on)
      if (command.to === null)
        return command.from?.kind === 'add' ? `${name}: ${day} taken away` : `${name}: ${day} given back`
      return command.to.kind === 'cancel'
        ? `${name}: ${day} lost`
        : command.to.kind === 'add'
          ? `${name}: ${day} added`
          : `${name}: ${day}, ${command.to.minutes} min`
    }
    case 'lesson':
      return `${name}: ${nameOf(command.lessonId, known)} ${sayPart(command)}`
    case 'class':
      return `${name}: ${sayClassPart(command)}`
    default:
      return assertNever(command)
  }
}

function sayClassPart({ part, to }: Extract<ClassCommand, { kind: 'class' }>): string {
  const WORDS = {
    order: to === null ? 'order as in the plan' : 'another order',
    through: 'recorded',
    baseline: 'agreed as it stands',
  }
  return WORDS[part]
}

const LEFT_WORDS: Record<Left, string> = {
  'let-go': 'left out',
  'not-covered': 'not covered',
  'not-ours': 'over before the class began',
}

function sayPart(command: Extract<ClassCommand, { kind: 'lesson' }>): string {
  switch (command.part) {
    case 'left':
      return command.to === null ? 'taken back in' : LEFT_WORDS[command.to]
    case 'fixed':
      return command.to === null
        ? 'dated as in the plan'
        : command.to === 'free'
          ? 'no longer fixed'
          : sayFixed(command.to)
    case 'records':
      return command.to === null
        ? 'not recorded'
        : command.to.outcome === 'covered'
          ? 'covered'
          : 'carried over'
    case 'added':
      return command.to === null ? 'taken away' : 'added'
    default:
      return assertNever(command)
  }
}

/** 'fixed on Wed 14 Oct'. */
export function sayFixed(fixed: FixedDate): string {
  switch (fixed.kind) {
    case 'on':
      return `fixed on ${sayDay(fixed.on)}`
    case 'not-before':
      return `not before ${sayDay(fixed.on)}`
    case 'not-after':
      return `by ${sayDay(fixed.on)}`
    case 'within':
      return `within ${sayDay(fixed.fromOn)} to ${sayDay(fixed.throughOn)}`
    default:
      return assertNever(fixed)
  }
}

function sayNote({ from, to }: NoteCommand): string {
  const note = to ?? from
  if (!note) return 'a day'
  return to === null
    ? `${note.name} on ${sayDay(note.fromOn)} taken back`
    : `${note.name}, ${sayDay(note.fromOn)}`
}

function sayPlan(command: PlanCommand, { plans }: Known): string {
  const title = plans.find((p) => p.id === command.planId)?.title ?? 'plan'
  if (command.lessons.length > 0) return `${title}: ${count(command.lessons.length, 'lesson')} changed`
  return `${title}: ${command.order ? 'another order' : 'units changed'}`
}

function sayTogether(
  { purpose, commands }: Extract<PacingCommand, { kind: 'together' }>,
  known: Known,
): string {
  const ids = [...new Set(commands.flatMap((c) => ('classId' in c ? [c.classId] : [])))]
  const names = ids.map((id) => classNamed(id, known))
  const of =
    names.length === 0 ? '' : names.length > 2 ? `${names.length} classes: ` : `${names.join(', ')}: `
  // a day or the year itself concerns more than the classes in which something moves
  const isOfYear = purpose.code === 'ripple' && commands.some((c) => c.kind === 'note' || c.kind === 'year')
  return `${isOfYear ? '' : of}${sayPurpose(purpose, withAdded(commands, known))}`
}

/** A lesson that was added and taken back is known from the act alone. */
function withAdded(commands: readonly SingleCommand[], known: Known): Known {
  const lessons = commands
    .flatMap((c) => (c.kind === 'lesson' && c.part === 'added' ? [c.to ?? c.from] : []))
    .filter((l) => l !== null)
  return lessons.length === 0 ? known : { ...known, plans: [...known.plans, { lessons } as unknown as Plan] }
}

function sayPurpose(purpose: Purpose, known: Known): string {
  switch (purpose.code) {
    case 'ripple':
      return `${purpose.cause}, ${WAY_WORDS[purpose.way].name.toLowerCase()}`
    case 'fit':
      return 'made to fit'
    case 'covered':
      return `${nameOf(purpose.lessonId, known)} covered`
    case 'took':
      return `${nameOf(purpose.lessonId, known)} recorded`
    case 'carried-over':
      return `${nameOf(purpose.lessonId, known)} carried over`
    case 'taken-back':
      return `record taken back from ${nameOf(purpose.lessonId, known)} on`
    case 'move':
      return `${nameOf(purpose.lessonId, known)} moved`
    case 'add':
      return `${nameOf(purpose.lessonId, known)} added`
    case 'agree':
      return 'agreed as it stands'
    default:
      return assertNever(purpose)
  }
}
