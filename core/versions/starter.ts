const DOTS = ' .…'

/** The beginning of a sentence as it is shown: with dots behind it, once, however it was typed. */
export function starterShown(starter: string): string {
  const typed = starter.trim()
  let end = typed.length
  while (end > 0 && DOTS.includes(typed.charAt(end - 1))) end--
  const tail = typed.slice(end)
  // a single dot ends a sentence
  const isOpen = tail.includes('…') || tail.includes('..')
  return `${isOpen ? typed.slice(0, end) : typed} …`
}
