import { navigateTo, useRoute } from '#imports'
import { ref } from 'vue'
import type { Ref } from 'vue'
import type { ClassId, ResourceId } from '#core/base'
import { Assign, ChangeWork, PublishWork, WithdrawWork } from '#shared/contracts/work'
import type { WorkPage } from '#shared/contracts/work'
import type { Refusal } from '#shared/contracts/refusal'
import { useDesk } from '~/places/pace'
import { useShelf, useTray } from '~/places/shelf'
import { useCombining } from '~/shared/conflict/combining'
import { useStillMeant } from '~/shared/conflict/stillMeant'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import type { DraftNames } from '~/shared/words/draftParts'
import { count } from '~/shared/words/numbers'
import type { DraftInWork } from '../draft'
import { aboutWork } from '../aboutWork'
import { useNewNames } from './newNames'

/** What the composer's buttons do: makes, changes, publishes or withdraws, and says what came of it. */
export function useSaving(of: {
  readonly draft: Ref<DraftInWork>
  readonly known: WorkPage | null
  readonly say: (refusal: Refusal) => string
  readonly changed: () => void
  /** What is kept of it on this machine has been sent. */
  readonly forget: () => void
  /** The first class that has it, or whose learners do. */
  readonly classId: () => ClassId | null
  readonly names: () => Omit<DraftNames, 'piece'>
}) {
  const combining = useCombining()
  const stillMeant = useStillMeant()
  const desk = useDesk()
  const tray = useTray()
  const shelf = useShelf()
  const piece = (id: string) => shelf.piece(id as ResourceId)?.title ?? 'a piece'
  const about = (known: WorkPage) => aboutWork(known, { ...of.names(), piece })
  // what came out of the tray and is given now need not lie there any longer
  const isFromTray = useRoute().query.tray === '1'
  const tell = useTell()
  const areMeant = useNewNames()
  const busy = ref(false)
  const problem = ref('')

  function send(publish: boolean) {
    const { known, draft } = of
    if (!known) return call(Assign, { body: { draft: draft.value, publish } })
    const params = { assignmentId: known.id }
    return combining({
      ...about(known),
      mine: draft.value,
      send: (mine, { version }) => call(ChangeWork, { params, body: { version, draft: mine, publish } }),
    })
  }
  async function save(publish: boolean): Promise<void> {
    const { about } = of.draft.value
    busy.value = true
    problem.value = ''
    if (!(await areMeant(about, { classId: of.classId(), before: of.known?.draft.about ?? null }))) {
      busy.value = false
      return
    }
    const reply = await send(publish)
    busy.value = false
    if (reply === null) return
    if (!reply.ok) {
      problem.value = of.say(reply.error)
      return
    }
    of.forget()
    if (isFromTray) tray.take(of.draft.value.pieces.map((p) => p.resourceId))
    await desk.load(true)
    const kept = of.known ? 'Changes saved' : 'Held until you publish it'
    const { learners } = reply.value
    const out =
      learners > 0 ? `Published to ${count(learners, 'learner')}` : 'Published: whoever joins gets it'
    tell.done(publish ? out : kept)
    await navigateTo('/work')
  }
  async function changeState(
    contract: typeof WithdrawWork | typeof PublishWork,
    said: string,
  ): Promise<void> {
    if (!of.known) return
    busy.value = true
    const { id, state } = of.known
    const isThrownAway = state === 'held' && contract === WithdrawWork
    const reply = await stillMeant({
      ...about(of.known),
      act: `${actOf(contract, isThrownAway)} all the same`,
      send: ({ version }) => call(contract, { params: { assignmentId: id }, body: { version } }),
    })
    busy.value = false
    if (reply === null) return
    if (!reply.ok) {
      problem.value = of.say(reply.error)
      return
    }
    of.forget()
    await desk.load(true)
    tell.done(said)
    if (isThrownAway) await navigateTo('/work')
    else of.changed()
  }
  const publishAgain = () => changeState(PublishWork, 'Published again')
  const withdraw = () =>
    changeState(
      WithdrawWork,
      of.known?.state === 'held'
        ? 'Thrown away. Undo takes it back.'
        : 'Withdrawn. What learners did is kept.',
    )
  return { busy, problem, save, publishAgain, withdraw }
}

function actOf(contract: typeof WithdrawWork | typeof PublishWork, isThrownAway: boolean): string {
  if (contract === PublishWork) return 'Publish it'
  return isThrownAway ? 'Throw it away' : 'Withdraw it'
}
