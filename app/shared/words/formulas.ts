import type MarkdownIt from 'markdown-it'

/**
 * A dollar sign beside a digit is money: a formula begins and ends with neither space nor digit outside. A backtick
 * begins code, and what is within code is no formula.
 */
const FORMULA = /^\$(?!\s)((?:\\.|[^\\$`\n])+?)(?<!\s)\$(?!\d)/
/** Between two dollar signs each: on a line of its own when it is drawn. */
const ON_ITS_OWN = /^\$\$((?:\\.|[^\\$`\n])+)\$\$/

/**
 * Formulas in Markdown: `$v = f \\lambda$`, or between `$$` over lines, becomes an element of its own, with what was
 * typed in it, which turns into a drawn formula where the page knows the element; until then, and where it does not,
 * the typed text stands there.
 */
export function formulas(markdown: MarkdownIt): void {
  markdown.inline.ruler.after('escape', 'formula', (state, silent) => {
    if (state.src[state.pos] !== '$') return false
    const rest = state.src.slice(state.pos)
    const alone = ON_ITS_OWN.exec(rest)
    const [whole, tex] = alone ?? FORMULA.exec(rest) ?? []
    if (whole === undefined || tex === undefined) return false
    if (!silent) {
      const token = state.push('formula', 'step-formula', 0)
      token.content = tex
      token.block = alone !== null
    }
    state.pos += whole.length
    return true
  })
  markdown.block.ruler.before(
    'paragraph',
    'formula',
    (state, first, end, silent) => {
      const lineAt = (line: number) =>
        state.src.slice((state.bMarks[line] ?? 0) + (state.tShift[line] ?? 0), state.eMarks[line]).trim()
      if (lineAt(first) !== '$$') return false
      let last = first + 1
      while (last < end && lineAt(last) !== '$$' && lineAt(last) !== '') last++
      if (last >= end || lineAt(last) !== '$$') return false
      if (silent) return true
      const token = state.push('formula', 'step-formula', 0)
      token.content = state.getLines(first + 1, last, state.blkIndent, false).trim()
      token.block = true
      token.map = [first, last + 1]
      state.line = last + 1
      return true
    },
    { alt: ['paragraph', 'reference', 'blockquote', 'list'] },
  )
  markdown.renderer.rules.formula = (tokens, at) => {
    const token = tokens[at]
    const tex = markdown.utils.escapeHtml(token?.content ?? '')
    return token?.block
      ? `<step-formula class="alone">${tex}</step-formula>`
      : `<step-formula>${tex}</step-formula>`
  }
}
