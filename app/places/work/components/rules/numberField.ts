/** What was typed in a field for whole numbers; null when nothing is. */
export function wholeOrNull(value: unknown): number | null {
  return String(value).trim() === '' ? null : Math.trunc(Number(value))
}
