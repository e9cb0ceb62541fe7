import { computed, ref } from 'vue'
import type { IsoDay, Weekday, YearId } from '#core/base'
import { checkYear } from '#core/calendar'
import type { DayNote, SchoolYear, Term } from '#core/calendar'
import type { FoundClosure } from '#core/formats'
import { aNote, proposedYear, withClosures } from '../yearParts'

type Fields = { -readonly [K in keyof Omit<SchoolYear, 'id' | 'rotation'>]: SchoolYear[K] }

const byFirstDay = (a: DayNote, b: DayNote) => a.fromOn.localeCompare(b.fromOn)

/** A school year while it is being changed, and the year that it would be. */
export function useYearForm() {
  const fields = ref<Fields | null>(null)
  const letters = ref('')
  const byDate = ref(false)
  const overrides = ref<NonNullable<SchoolYear['rotation']>['overrides']>([])
  const shown = ref('')

  const labels = computed(() => letters.value.split(/[\s,]+/).filter(Boolean))
  /** The year as the form has it. */
  const next = computed<Omit<SchoolYear, 'id'> | null>(() => {
    if (!fields.value) return null
    const known = overrides.value.filter((o) => labels.value.includes(o.label))
    const advance = byDate.value ? ('date' as const) : ('instructional' as const)
    const rotation = labels.value.length ? { labels: labels.value, advance, overrides: known } : null
    return { ...fields.value, rotation }
  })
  const checked = computed(() => (next.value ? checkYear({ id: 'year' as YearId, ...next.value }) : null))
  /** The year, where its parts agree with each other: what can be drawn and counted. */
  const year = computed(() => (checked.value?.ok ? checked.value.value : null))
  const isChanged = computed(() => JSON.stringify(next.value) !== shown.value)

  /** Puts a year as it stands into the form, its notes in the order of the year. */
  function show({ id: _, rotation, notes, ...rest }: SchoolYear): void {
    fields.value = { ...rest, notes: notes.toSorted(byFirstDay) }
    letters.value = rotation?.labels.join(' ') ?? ''
    byDate.value = rotation?.advance === 'date'
    overrides.value = rotation?.overrides ?? []
    shown.value = JSON.stringify(next.value)
  }
  const propose = (today: IsoDay, zone: string) => {
    fields.value = proposedYear(today, zone)
  }
  function put(part: Partial<Fields>): void {
    if (fields.value) fields.value = { ...fields.value, ...part }
  }
  /** Sets the first or last day; a single term follows the year. */
  function bound(field: 'firstOn' | 'lastOn', on: IsoDay): void {
    const [term, ...others] = fields.value?.terms ?? []
    const terms = term && others.length === 0 ? { terms: [{ ...term, [field]: on }] } : {}
    put({ [field]: on, ...terms })
  }
  function setWeekday(weekday: Weekday, isOn: boolean): void {
    const rest = (fields.value?.weekdays ?? []).filter((d) => d !== weekday)
    put({ weekdays: (isOn ? [...rest, weekday] : rest).sort() })
  }
  const setTerms = (terms: readonly Term[]) => put({ terms })
  const setNotes = (notes: readonly DayNote[]) => put({ notes })

  let made = 0
  const noteId = () => `n${Date.now().toString(36)}${made++}`
  function addNote(part: Partial<DayNote> = {}): void {
    const on = fields.value?.notes.at(-1)?.throughOn ?? fields.value?.firstOn
    if (!on) return
    setNotes([...(fields.value?.notes ?? []), aNote(noteId(), on, part)])
  }
  /** Takes in closures that are not there yet, by date; how many were new. */
  function takeIn(closures: readonly FoundClosure[]): number {
    const before = fields.value?.notes ?? []
    const after = withClosures(before, closures, noteId)
    setNotes(after)
    return after.length - before.length
  }

  return {
    fields,
    letters,
    byDate,
    overrides,
    labels,
    next,
    checked,
    year,
    isChanged,
    show,
    propose,
    put,
    bound,
    setWeekday,
    setTerms,
    setNotes,
    addNote,
    takeIn,
  }
}
