import { computed, ref, shallowRef } from 'vue'
import type { ClassId } from '#core/base'
import { ActOnMany, ListWork, PublishWork } from '#shared/contracts/work'
import type { ManyAct, WorkRow } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import { useAddress } from '~/shared/frame/address'
import { useStillMeant } from '~/shared/conflict/stillMeant'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { DIVISIONS } from '../listing'
import type { Division, Filter } from '../listing'
import { ROWS_PARTS, rowsWords } from '../words/rows'

/** The list of work, what of it is looked at (kept in the address), and acts on one or many. */
export function useWorkList() {
  const tell = useTell()
  const desk = useDesk()
  const stillMeant = useStillMeant()
  const rows = shallowRef<readonly WorkRow[] | null>(null)
  const problem = ref('')
  const busy = ref(false)

  async function load(): Promise<void> {
    const reply = await call(ListWork)
    if (reply.ok) rows.value = reply.value.work
    else problem.value = sayRefusal(reply.error)
  }
  /** Rows as they are listed, and as they stand. */
  const aboutRows = (of: readonly WorkRow[]) => ({
    what: of.length === 1 ? 'this work' : 'some of this work',
    parts: ROWS_PARTS,
    words: rowsWords(desk.zone),
    seen: { value: { rows: of }, version: 0 },
    current: async () => {
      await load()
      const ids = new Set(of.map((r) => r.id))
      return { value: { rows: rows.value?.filter((r) => ids.has(r.id)) ?? [] }, version: 0 }
    },
  })
  async function publish(row: WorkRow): Promise<void> {
    const params = { assignmentId: row.id }
    const reply = await stillMeant({
      ...aboutRows([row]),
      act: 'Publish it all the same',
      send: ({ value }) =>
        call(PublishWork, { params, body: { version: value.rows[0]?.version ?? row.version } }),
    })
    if (reply === null) return
    if (!reply.ok) return tell.refused(reply.error)
    tell.done(`Published to ${count(reply.value.learners, 'learner')}`)
    await Promise.all([load(), desk.load(true)])
  }
  /** One step for all of them; tells whether it was done. */
  async function act(of: readonly WorkRow[], what: ManyAct): Promise<boolean> {
    busy.value = true
    const reply = await stillMeant({
      ...aboutRows(of),
      act: 'Do it all the same',
      send: ({ value }) => {
        const works = value.rows.map((r) => ({ assignmentId: r.id, version: r.version }))
        return call(ActOnMany, { body: { works, act: what } })
      },
    })
    busy.value = false
    if (reply === null) return false
    if (!reply.ok) {
      tell.refused(reply.error)
      return false
    }
    const areHeld = of.every((r) => r.state === 'held')
    tell.done(sayDone(reply.value.works, what, areHeld))
    await Promise.all([load(), desk.load(true)])
    return true
  }
  return { rows, problem, busy, load, publish, act, ...useListAddress() }
}

function sayDone(works: number, act: ManyAct, areHeld: boolean): string {
  const pieces = count(works, 'piece of work', 'pieces of work')
  if (act.kind === 'publish') return `Published ${pieces}`
  if (act.kind === 'withdraw') return `${areHeld ? 'Threw away' : 'Withdrew'} ${pieces}`
  const by = count(Math.abs(act.meetings), 'meeting')
  return `Moved ${pieces} by ${by}, ${act.meetings > 0 ? 'later' : 'earlier'}`
}

/** Filter and division stand in the address, so that they can be shared and outlive a reload. */
function useListAddress() {
  const address = useAddress()
  const filter = computed<Filter>({
    get: () => ({
      text: address.text('q') ?? '',
      classId: address.id<ClassId>('class'),
      fromOn: address.day('from'),
      throughOn: address.day('through'),
    }),
    set: (next) =>
      void address.put({
        q: next.text || null,
        class: next.classId,
        from: next.fromOn,
        through: next.throughOn,
      }),
  })
  const by = computed<Division>({
    get: () => DIVISIONS.find((d) => d === address.text('by')) ?? 'need',
    set: (next) => void address.put({ by: next === 'need' ? null : next }),
  })
  return { filter, by }
}
