/** Lines that begin a block of their own, and what they begin with. */
const BEGINNINGS = /^\s{0,3}(?:#{1,6}\s+|>\s?|[-*+]\s+|\d{1,9}[.)]\s+)+/
const RULE = /^\s{0,3}(?:[-*_]\s*){3,}$/
const TABLE_RULE = /^[\s:|-]+$/

/**
 * A Markdown text as it is read: words without marks of emphasis, links or headings, with single spaces; blocks parted
 * by line breaks. Marked passages are found in it.
 */
export function readAs(markdown: string): string {
  return markdown
    .replace(/\r\n?/g, '\n')
    .split(/\n\s*\n/)
    .flatMap(blocksOf)
    .map(inline)
    .filter((block) => block !== '')
    .join('\n')
}

/** Lists, tables and headings have a block a line; other lines run on. */
function blocksOf(paragraph: string): readonly string[] {
  const blocks: string[] = []
  for (const line of paragraph.split('\n')) {
    if (RULE.test(line) || isTableRule(line)) continue
    const begins = BEGINNINGS.test(line) || line.trimStart().startsWith('|')
    const text = line.replace(BEGINNINGS, '')
    const last = blocks.length - 1
    if (begins || last < 0) blocks.push(...text.split(CELL_WALL).filter((cell) => cell.trim() !== ''))
    else blocks[last] += ` ${text}`
  }
  return blocks
}
function isTableRule(line: string): boolean {
  return TABLE_RULE.test(line) && line.includes('|') && line.includes('-')
}
const CELL_WALL = /(?<!\\)\|/

/** Escaped characters stand aside while marks are taken out: far from any that a text has. */
const ASIDE = 0xe000

function inline(text: string): string {
  const linked = text
    .replace(/\\([\\`*_{}[\]()#+.!|>~-])/g, (_, escaped: string) =>
      String.fromCharCode(ASIDE + escaped.charCodeAt(0)),
    )
    .replace(/!\[([^[\]]*)\]\([^()]*\)/g, '')
    .replace(/\[([^[\]]*)\]\([^()]*\)/g, '$1')
  return EMPHASIS.reduce(withoutEmphasis, linked)
    .replace(/`([^`]+)`/g, '$1')
    .replace(/[\ue000-\ue07f]/g, (aside) => String.fromCharCode(aside.charCodeAt(0) - ASIDE))
    .replace(/\s+/g, ' ')
    .trim()
}

/** A mark of emphasis, and what it must not stand beside on its outer side. */
interface Emphasis {
  readonly mark: string
  readonly notBeside: RegExp | null
}
const EMPHASIS: readonly Emphasis[] = [
  { mark: '**', notBeside: null },
  { mark: '__', notBeside: null },
  { mark: '*', notBeside: /[\w*]/ },
  { mark: '_', notBeside: /\w/ },
]
const SPACE = /\s/

/** Takes out marks in pairs, in one walk: a pattern would look from every mark to the end of the text. */
function withoutEmphasis(text: string, { mark, notBeside }: Emphasis): string {
  const isFree = (outer: string) => notBeside === null || !notBeside.test(outer)
  const isInner = (inner: string) => inner !== '' && !SPACE.test(inner)
  const opensAt = (at: number) => isFree(text.charAt(at - 1)) && isInner(text.charAt(at + mark.length))
  const closesAt = (at: number) => isInner(text.charAt(at - 1)) && isFree(text.charAt(at + mark.length))
  const next = (from: number, fits: (at: number) => boolean) => {
    let at = text.indexOf(mark, from)
    while (at >= 0 && !fits(at)) at = text.indexOf(mark, at + 1)
    return at
  }
  const kept: string[] = []
  let done = 0
  for (;;) {
    const open = next(done, opensAt)
    const close = open < 0 ? -1 : next(open + mark.length + 1, closesAt)
    if (close < 0) return kept.join('') + text.slice(done)
    kept.push(text.slice(done, open), text.slice(open + mark.length, close))
    done = close + mark.length
  }
}
