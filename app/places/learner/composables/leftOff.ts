import type { AssignmentId } from '#core/base'

/** The work that was looked at last, since this page of the browser was opened. */
let last: AssignmentId | null = null

/** Remembers which work a learner looked at, so that the way back to the list ends at its card. */
export function leftOff(id: AssignmentId): void {
  last = id
}

/** Gives the focus to the card of the work somebody comes back from; once, and only if nothing else has it. */
export function takeUpAgain(linkTo: (id: AssignmentId) => string): void {
  const id = last
  last = null
  const at = document.activeElement
  if (id === null || !(at === null || at === document.body || at.matches('main'))) return
  document.querySelector<HTMLElement>(`a[href="${CSS.escape(linkTo(id))}"]`)?.focus()
}
