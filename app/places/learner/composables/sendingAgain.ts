import { useEventListener, useIntervalFn } from '@vueuse/core'

/**
 * Tries again while something is unsent: every few seconds and as soon as the network is back. Who leaves the page
 * meanwhile is asked.
 */
export function useSendingAgain(hasUnsent: () => boolean, send: () => Promise<void>): void {
  const sendWhatIsLeft = () => {
    if (hasUnsent()) void send()
  }
  useIntervalFn(sendWhatIsLeft, 4000)
  useEventListener(window, 'online', sendWhatIsLeft)
  useEventListener(window, 'beforeunload', (event: BeforeUnloadEvent) => {
    if (hasUnsent()) event.preventDefault()
  })
  sendWhatIsLeft()
}
