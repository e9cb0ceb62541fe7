/** A repeatable source of numbers in [0, 1): the same seed gives the same run on every machine. */
export type Random = () => number

/** A 32-bit seed from text (FNV-1a). */
export function seedOf(text: string): number {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return hash >>> 0
}

/** Seeded generator (mulberry32, Tommy Ettinger's public-domain mixer). */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), state | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** A new array in random order (Fisher–Yates, every order equally likely). */
export function shuffled<T>(values: readonly T[], random: Random): T[] {
  const out = [...values]
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    const held = out[i] as T
    out[i] = out[j] as T
    out[j] = held
  }
  return out
}
