const MOST = 8

/** A short name for a class, such as '8 A' for 'Science 8 A': from its first digit on, else its initials. */
export function shortNameOf(name: string): string {
  const at = name.search(/\d/)
  const fromDigit = at < 0 ? '' : name.slice(at).trim()
  if (fromDigit !== '' && fromDigit.length <= MOST) return fromDigit
  const initials = name
    .split(/\s+/)
    .map((word) => word.slice(0, 1).toUpperCase())
    .join('')
  return initials.slice(0, MOST)
}
