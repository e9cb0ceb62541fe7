import type { Standard } from './types'

/**
 * Standards that are meant by what was typed, the best first: a code, or its end, before codes that go on with parts of
 * their own (`8.W` before `8.W.1`), before those that merely begin so (`8.W.1` before `8.W.10`), before words of the
 * text, each as the beginning of one.
 */
export function standardsLike<S extends Pick<Standard, 'code' | 'text'>>(
  all: readonly S[],
  typed: string,
): readonly S[] {
  const asked = typed.trim().toLowerCase()
  if (asked === '') return []
  return all
    .map((standard, at) => ({ standard, at, fit: fitOf(standard, asked) }))
    .filter((found): found is typeof found & { fit: number } => found.fit !== null)
    .sort((a, b) => a.fit - b.fit || a.at - b.at)
    .map((found) => found.standard)
}

/** The smaller the better; null: not at all. */
function fitOf({ code, text }: Pick<Standard, 'code' | 'text'>, asked: string): number | null {
  // a dot before and behind, so that parts of a code are whole
  const parts = `.${code.toLowerCase()}.`
  if (parts.endsWith(`.${asked}.`)) return 0
  if (parts.includes(`.${asked}.`)) return 1
  if (parts.includes(`.${asked}`)) return 2
  const words = text.toLowerCase().split(/[^\p{L}\p{N}]+/u)
  const beginnings = asked.split(/\s+/)
  return beginnings.every((b) => words.some((w) => w.startsWith(b))) ? 3 : null
}
