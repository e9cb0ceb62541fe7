import { computed, ref, shallowRef } from 'vue'
import type { ClassId } from '#core/base'
import { ActOnMany, ListWork, PublishWork } from '#shared/contracts/work'
import type { ManyAct, WorkRow } from '#shared/contracts/work'
import { useDesk } from '~/places/pace'
import { useAddress } from '~/shared/frame/address'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'
import { DIVISIONS } from '../listing'
import type { Division, Filter } from '../listing'

/** The list of work, what of it is looked at (kept in the address), and acts on one or many. */
export function useWorkList() {
  const tell = useTell()
  const desk = useDesk()
  const rows = shallowRef<readonly WorkRow[] | null>(null)
  const problem = ref('')
  const busy = ref(false)

  async function load(): Promise<void> {
    const reply = await call(ListWork)
    if (reply.ok) rows.value = reply.value.work
    else problem.value = sayRefusal(reply.error)
  }
  async function publish(row: WorkRow): Promise<void> {
    const body = { version: row.version }
    const reply = await call(PublishWork, { params: { assignmentId: row.id }, body })
    if (!reply.ok) return tell.refused(reply.error)
    tell.done(`Published to ${count(reply.value.learners, 'learner')}`)
    await Promise.all([load(), desk.load(true)])
  }
  /** One step for all of them; tells whether it was done. */
  async function act(of: readonly WorkRow[], what: ManyAct): Promise<boolean> {
    busy.value = true
    const works = of.map((r) => ({ assignmentId: r.id, version: r.version }))
    const reply = await call(ActOnMany, { body: { works, act: what } })
    busy.value = false
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
