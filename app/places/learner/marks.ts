/** How an answer did, by its points; no red for what is not there yet. */
export function markOf(points: number, of: number): { readonly icon: string; readonly word: string } {
  if (points >= of) return { icon: 'i-lucide-check', word: 'right' }
  return points > 0
    ? { icon: 'i-lucide-circle-dot', word: 'partly right' }
    : { icon: 'i-lucide-minus', word: 'not yet' }
}
