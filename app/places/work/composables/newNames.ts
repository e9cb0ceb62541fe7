import type { ClassId } from '#core/base'
import { newNames } from '#core/filing'
import type { NewName } from '#core/filing'
import type { About } from '#core/work'
import { ShowFiling } from '#shared/contracts/filing'
import ConfirmDialog from '~/shared/frame/ConfirmDialog.vue'
import { useDialogs } from '~/shared/frame/dialogs'
import { call } from '~/shared/wire/call'
import { sayList } from '~/shared/words/lists'

const sayName = ({ part, name }: NewName) => `the ${part} “${name}”`

/** Asks before a heading or category comes into being that the class does not have: it may be a slip. */
export function useNewNames() {
  const open = useDialogs()
  /** True: there is none, or it is meant. `before`: what the work said already. */
  return async function areMeant(
    about: About,
    of: { readonly classId: ClassId | null; readonly before: About | null },
  ): Promise<boolean> {
    const isAsBefore = about.heading === of.before?.heading && about.category === of.before.category
    if (of.classId === null || isAsBefore || (about.heading === '' && about.category === '')) return true
    const reply = await call(ShowFiling, { params: { classId: of.classId } })
    const fresh = reply.ok ? newNames(reply.value.filing, about) : []
    if (fresh.length === 0) return true
    const isMeant = await open<boolean>(ConfirmDialog, {
      title: `New in this class: ${sayList(fresh.map(sayName))}`,
      text: 'The class has other names. Left, you can choose one of them.',
      act: 'Make it new',
    })
    return isMeant === true
  }
}
