import { WAYS } from '#core/pacing'
import { useRipple } from '../stores/ripple'

/** Whether a key belongs to the field, button or link that has the focus; Escape never does. */
export function belongsToFocus({ key, target }: KeyboardEvent): boolean {
  return (
    key !== 'Escape' &&
    target instanceof HTMLElement &&
    target.matches('input, textarea, select, [contenteditable], button, a')
  )
}

/** The keys of an open ripple: Enter makes the change, Escape drops it, 1 to 5 choose the way out. True when the key was one of them. */
export function useRippleKeys(apply: () => void): (event: KeyboardEvent) => boolean {
  const ripple = useRipple()
  return (event) => {
    if (!ripple.isOpen || event.ctrlKey || event.metaKey || event.altKey) return false
    const way = WAYS[Number(event.key) - 1]
    const step = way ? () => ripple.choose(way) : { Enter: apply, Escape: ripple.close }[event.key]
    if (!step) return false
    event.preventDefault()
    event.stopPropagation()
    step()
    return true
  }
}
