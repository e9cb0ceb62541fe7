import type { WrittenPiece } from '#core/library'
import type { AttemptRules } from '#core/attempts'
import type { GroupRule } from '#core/audience'
import { isoDay } from '#core/base'
import type { IsoDay } from '#core/base'
import type { DayNote, PatternRow, SchoolYear } from '#core/calendar'
import { NO_MATERIAL } from '#core/library'
import type { ResourceKind } from '#core/library'
import type { FixedDate } from '#core/pacing'

/** Wednesday 21 October 2026, 2:30 pm at Tarn Hollow: week 9. */
export const DEMO_NOW = '2026-10-21T20:30:00Z'
export const SEED = 20_261_021
export const SCHOOL = 'Tarn Hollow School'

const closed = (name: string, from: string, through = from): DayNote => ({
  id: `note-${from}`,
  kind: 'closure',
  name,
  fromOn: isoDay(from),
  throughOn: isoDay(through),
  classIds: [],
})
const half = (name: string, on: string): DayNote => ({
  id: `note-${on}`,
  kind: 'short',
  name,
  fromOn: isoDay(on),
  throughOn: isoDay(on),
  classIds: [],
  factorRatio: 0.5,
})

/** The school year of the demo: two-day rotation that no closure uses up. */
export const YEAR: Omit<SchoolYear, 'id'> = {
  name: '2026/27',
  zone: 'America/Denver',
  firstOn: isoDay('2026-08-24'),
  lastOn: isoDay('2027-06-11'),
  weekdays: [1, 2, 3, 4, 5],
  terms: [
    { name: 'Autumn term', firstOn: isoDay('2026-08-24'), lastOn: isoDay('2027-01-15') },
    { name: 'Spring term', firstOn: isoDay('2027-01-19'), lastOn: isoDay('2027-06-11') },
  ],
  rotation: { labels: ['A', 'B'], advance: 'instructional', overrides: [] },
  notes: [
    closed('Labor Day', '2026-09-07'),
    half('Half day: conferences', '2026-09-25'),
    closed('Autumn break', '2026-10-08', '2026-10-09'),
    half('Half day: staff meeting', '2026-10-30'),
    closed('Veterans Day', '2026-11-11'),
    closed('Harvest break', '2026-11-25', '2026-11-27'),
    half('Half day', '2026-12-18'),
    closed('Winter break', '2026-12-21', '2027-01-01'),
    closed('Staff day', '2027-01-18'),
    closed('Midwinter day', '2027-02-15'),
    half('Half day: conferences', '2027-03-05'),
    closed('Spring break', '2027-03-22', '2027-03-26'),
    closed('Staff day', '2027-04-16'),
    closed('Memorial Day', '2027-05-31'),
  ],
}

export interface Section {
  readonly key: string
  readonly name: string
  readonly shortName: string
  readonly course: string
  readonly size: number
  readonly pattern: readonly PatternRow[]
}

const letter = (label: string, hour: number, minute: number): PatternRow => ({
  day: { label },
  startMinute: hour * 60 + minute,
  minutes: 80,
})
const weekday = (weekday: 1 | 2 | 3 | 4 | 5): PatternRow => ({
  day: { weekday },
  startMinute: 13 * 60 + 10,
  minutes: 50,
})

/** Five sections, two of them on the same day letters at different hours, one on weekdays. */
export const SECTIONS: readonly Section[] = [
  {
    key: '8A',
    name: 'Science 8 A',
    shortName: '8 A',
    course: 'Science 8',
    size: 28,
    pattern: [letter('A', 8, 30)],
  },
  {
    key: '8B',
    name: 'Science 8 B',
    shortName: '8 B',
    course: 'Science 8',
    size: 27,
    pattern: [letter('B', 8, 30)],
  },
  {
    key: '8C',
    name: 'Science 8 C',
    shortName: '8 C',
    course: 'Science 8',
    size: 30,
    pattern: [letter('A', 10, 5)],
  },
  {
    key: '7D',
    name: 'Science 7 D',
    shortName: '7 D',
    course: 'Science 7',
    size: 24,
    pattern: [letter('B', 10, 5)],
  },
  {
    key: '7E',
    name: 'Science 7 E',
    shortName: '7 E',
    course: 'Science 7',
    size: 26,
    pattern: [weekday(1), weekday(3), weekday(5)],
  },
]

/** Meetings lost at short notice so far. */
export const PLANNING: readonly {
  readonly on: IsoDay
  readonly section: string
  readonly lose: string
  readonly why: string
}[] = [
  { on: isoDay('2026-09-10'), section: '8B', lose: '2026-09-17', why: 'Fire drill and assembly' },
  { on: isoDay('2026-09-29'), section: '7D', lose: '2026-10-01', why: 'Teacher away' },
]

/** How the teacher reshaped the textbooks' ready plans in August. */
export const SHAPING: Readonly<
  Record<
    string,
    {
      readonly useful: readonly string[]
      readonly optional: readonly string[]
      readonly buffer: { readonly after: string; readonly number: string; readonly title: string }
      readonly fixed: readonly { readonly lesson: string; readonly fixed: FixedDate }[]
    }
  >
> = {
  'Science 8': {
    useful: ['W2.4', 'W3.3', 'W4.4', 'W5.3'],
    optional: ['W3.5', 'W4.3', 'W6.4'],
    buffer: { after: 'W2.5', number: 'W2.b', title: 'Catch-up and questions' },
    fixed: [
      {
        lesson: 'W2.7',
        fixed: { kind: 'within', fromOn: isoDay('2026-11-16'), throughOn: isoDay('2026-11-17') },
      },
    ],
  },
  'Science 7': {
    useful: ['M2.3', 'M3.4', 'M4.4'],
    optional: ['M3.5', 'M5.3'],
    buffer: { after: 'M2.4', number: 'M2.b', title: 'Catch-up and questions' },
    fixed: [],
  },
}

/** Test dates of single sections. */
export const OWN_FIXED: readonly {
  readonly section: string
  readonly lesson: string
  readonly fixed: FixedDate
}[] = [
  {
    section: '7D',
    lesson: 'M2.5',
    fixed: { kind: 'within', fromOn: isoDay('2026-11-09'), throughOn: isoDay('2026-11-10') },
  },
  { section: '7E', lesson: 'M2.5', fixed: { kind: 'on', on: isoDay('2026-10-30') } },
]

/** Where a section took more or fewer half meetings than planned. 8 C is four meetings behind by now. */
export const TOOK: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  '8A': { 'W1.4': 3 },
  '8B': { 'W1.2': 6 },
  '8C': { 'W1.2': 8, 'W1.3': 5, 'W1.5': 7, 'W2.1': 6 },
  '7E': { 'M1.4': 6, 'M2.1': 6 },
}
/** What a section that is behind has already left out (null) or shortened to so many halves. */
export const TIGHTENED: readonly {
  readonly on: IsoDay
  readonly section: string
  readonly lesson: string
  readonly halves: number | null
}[] = [
  { on: isoDay('2026-10-13'), section: '8C', lesson: 'W2.b', halves: null },
  { on: isoDay('2026-10-13'), section: '8C', lesson: 'W2.5', halves: 3 },
]
/** The last day up to which the teacher has written down what was covered. */
export const RECORDED_THROUGH = isoDay('2026-10-20')

export interface DemoWork {
  readonly piece: string
  /** What is read before class, before the piece itself. */
  readonly before?: string
  readonly lesson: string
  readonly course: string
  readonly kind: 'check' | 'practice' | 'set' | 'test' | 'review' | 'search'
}

/** The checks, practice sets and the test that are set as the plan reaches them, in order. */
export const WORK: readonly DemoWork[] = [
  { piece: 'vib102', lesson: 'W1.1', course: 'Science 8', kind: 'check' },
  { piece: 'vib203', lesson: 'W1.2', course: 'Science 8', kind: 'practice' },
  { piece: 'vib204', lesson: 'W1.2', course: 'Science 8', kind: 'check' },
  { piece: 'vib302', lesson: 'W1.3', course: 'Science 8', kind: 'check' },
  { piece: 'vib402', lesson: 'W1.4', course: 'Science 8', kind: 'check' },
  { piece: 'vib502', lesson: 'W1.5', course: 'Science 8', kind: 'check' },
  { piece: 'vib701', lesson: 'W1.7', course: 'Science 8', kind: 'test' },
  { piece: 'wav102', lesson: 'W2.1', course: 'Science 8', kind: 'check' },
  { piece: 'wav203', lesson: 'W2.2', course: 'Science 8', kind: 'practice' },
  { piece: 'wav204', before: 'wav201', lesson: 'W2.2', course: 'Science 8', kind: 'check' },
  { piece: 'wav302', lesson: 'W2.3', course: 'Science 8', kind: 'check' },
  { piece: 'mat104', lesson: 'M1.1', course: 'Science 7', kind: 'set' },
  { piece: 'mat102', lesson: 'M1.1', course: 'Science 7', kind: 'check' },
  { piece: 'mat203', lesson: 'M1.2', course: 'Science 7', kind: 'practice' },
  { piece: 'mat204', lesson: 'M1.2', course: 'Science 7', kind: 'check' },
  { piece: 'mat304', lesson: 'M1.3', course: 'Science 7', kind: 'set' },
  { piece: 'mat302', lesson: 'M1.3', course: 'Science 7', kind: 'check' },
  { piece: 'mat404', lesson: 'M1.4', course: 'Science 7', kind: 'set' },
  { piece: 'mat402', lesson: 'M1.4', course: 'Science 7', kind: 'check' },
  { piece: 'pro104', lesson: 'M2.1', course: 'Science 7', kind: 'set' },
  { piece: 'pro102', lesson: 'M2.1', course: 'Science 7', kind: 'check' },
  { piece: 'pro204', lesson: 'M2.2', course: 'Science 7', kind: 'set' },
  { piece: 'pro202', lesson: 'M2.2', course: 'Science 7', kind: 'check' },
  { piece: 'pro302', lesson: 'M2.3', course: 'Science 7', kind: 'check' },
]

/** Published and listed, but not yet open at the demo's now. */
export const COMING: readonly DemoWork[] = [
  { piece: 'wav203', before: 'wav301', lesson: 'W2.6', course: 'Science 8', kind: 'search' },
  { piece: 'mat203', before: 'floats', lesson: 'M2.5', course: 'Science 7', kind: 'review' },
]

/** A reading of the teacher's own, and the same after it was given out and written better. */
export const OWN_PIECE: WrittenPiece = {
  title: 'What floats in our tank',
  code: 'floats',
  kind: 'reading',
  role: 'core',
  minutes: 6,
  grade: 7,
  language: 'en',
  readingLevel: 7,
  standards: ['TH.7.M.2'],
  material: NO_MATERIAL,
  content:
    'In our tank a lump of wax floats and a steel nut sinks. **Neither** is decided by its size: it is its ' +
    'density against that of the water. Before class, think of one thing that floats in water but sinks in oil.',
  items: [],
}
export const OWN_PIECE_BETTER: WrittenPiece = {
  ...OWN_PIECE,
  minutes: 8,
  content:
    `${OWN_PIECE.content}\n\nWater has a density of 1.0 g/cm³, our oil 0.9 g/cm³. A thing floats in a liquid ` +
    'that is denser than it is.',
}

/** Complete but not yet published at the demo's now. */
export const HELD: readonly DemoWork[] = [
  { piece: 'wav701', lesson: 'W2.7', course: 'Science 8', kind: 'test' },
  { piece: 'pro501', lesson: 'M2.5', course: 'Science 7', kind: 'test' },
]

/** Rules that the teacher has kept under names of her own. */
export const PRESETS_KEPT: readonly {
  readonly name: string
  readonly kind: ResourceKind | null
  readonly rules: Partial<AttemptRules>
}[] = [
  {
    name: 'Exit check',
    kind: null,
    rules: { maxAttempts: 1, kept: 'first', timeLimitMinutes: 8, late: null },
  },
  {
    name: 'Until it is right',
    kind: null,
    rules: { maxAttempts: null, kept: 'best', waitMinutes: 30, passPercent: 80, late: null },
  },
]

/** A group of whoever stands so. */
export const STRENGTHEN: { readonly section: string; readonly name: string; readonly rule: GroupRule } = {
  section: '8A',
  name: 'To strengthen',
  rule: { kind: 'standing', standards: [], from: null, below: 60, leastItems: 8 },
}

/** A group of some of two classes, from the sixth of each list on. */
export const BOAT_CREW = { sections: ['8B', '8C'], name: 'Boat crew', from: 5, each: 4 }

/** A group of those who came up from the grade below. */
export const FROM_BELOW: { readonly section: string; readonly name: string; readonly rule: GroupRule } = {
  section: '8C',
  name: 'From grade 7',
  rule: { kind: 'grade', grades: [7] },
}

/** Work that two hand in together, not yet open at the demo's now. */
export const PAIRS = {
  section: '8C',
  lesson: 'W2.5',
  piece: 'wav402',
  title: 'In pairs: waves that bounce back',
}
