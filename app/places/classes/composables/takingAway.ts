import { BringBack, TakeAway } from '#shared/contracts/teaching'
import type { Thing } from '#shared/contracts/teaching'
import { useDialogs } from '~/shared/frame/dialogs'
import ConfirmDialog from '~/shared/frame/ConfirmDialog.vue'
import { useTell } from '~/shared/frame/tell'
import { useOverview } from '~/shared/session/overview'
import { call } from '~/shared/wire/call'

const ABOUT: Record<Thing['kind'], string> = {
  year:
    'A year without classes is deleted. Otherwise it goes into the archive with its classes: ' +
    'nothing is lost, and it can be brought back.',
  class:
    'A class that nobody has joined and that has no work is deleted. Otherwise it goes into the archive: ' +
    'it leaves your lists, learners keep what they did, and it can be brought back.',
  plan:
    'A plan that no class follows is deleted. Otherwise it goes into the archive: ' +
    'its classes keep it, and it can be brought back.',
  group:
    'A group that no work was given to is deleted. Otherwise it goes into the archive: its learners stay in the ' +
    'class and keep that work, and it can be brought back.',
}

/** Taking away what was made by mistake or is over, and bringing it back. */
export function useTakingAway() {
  const open = useDialogs()
  const tell = useTell()
  const overview = useOverview()

  /** Asks first; true when it is gone. */
  async function takeAway(thing: Thing, title: string): Promise<boolean> {
    const sure = await open<boolean, typeof ConfirmDialog>(ConfirmDialog, {
      title: `Remove ${title}?`,
      text: ABOUT[thing.kind],
      act: 'Remove',
    })
    if (sure !== true) return false
    const reply = await call(TakeAway, { body: thing })
    if (!reply.ok) {
      tell.refused(reply.error)
      return false
    }
    const name = title.charAt(0).toUpperCase() + title.slice(1)
    tell.done(reply.value.done === 'deleted' ? `${name} is deleted` : `${name} is in the archive`)
    await overview.load(true)
    return true
  }

  async function bringBack({ title, kind, id }: Thing & { readonly title: string }): Promise<void> {
    const thing = { kind, id } as Thing
    const reply = await call(BringBack, { body: thing })
    if (!reply.ok) return tell.refused(reply.error)
    tell.done(`${title} is back`)
    await overview.load(true)
  }
  return { takeAway, bringBack }
}
