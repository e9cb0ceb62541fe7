import { WAYS } from '#core/pacing'
import { RIPPLE_KEYS, actOf, keyNameOf } from '../keys'
import { useRipple } from '../stores/ripple'

/** Whether a key belongs to the field, button or link that has the focus; Escape never does. */
export function belongsToFocus({ key, target }: KeyboardEvent): boolean {
  return (
    key !== 'Escape' &&
    target instanceof HTMLElement &&
    target.matches('input, textarea, select, [contenteditable], button, a')
  )
}

/** Obeys the keys of an open ripple; true when the key was one of them. */
export function useRippleKeys(apply: () => void): (event: KeyboardEvent) => boolean {
  const ripple = useRipple()
  return (event) => {
    if (!ripple.isOpen || event.ctrlKey || event.metaKey || event.altKey) return false
    const act = actOf(RIPPLE_KEYS, keyNameOf(event))
    if (!act) return false
    event.preventDefault()
    event.stopPropagation()
    const way = WAYS[Number(event.key) - 1]
    if (act === 'choose-way') {
      if (way) ripple.choose(way)
    } else if (act === 'make') apply()
    else ripple.close()
    return true
  }
}
