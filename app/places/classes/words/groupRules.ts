import type { GroupRule } from '#core/audience'

/** Who a rule takes, in a few words: 'below 60 % on TH.8.W.3'. */
export function sayGroupRule({ from, below, standards }: GroupRule): string {
  const on = standards.length === 0 ? 'in all' : `on ${standards.join(', ')}`
  if (from !== null && below !== null) return `${from} to ${below} % ${on}`
  return from === null ? `below ${below} % ${on}` : `from ${from} % ${on}`
}
