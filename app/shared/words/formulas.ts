import type MarkdownIt from 'markdown-it'

/** A dollar sign beside a digit is money: a formula begins and ends with neither space nor digit outside. */
const FORMULA = /^\$(?!\s)((?:\\.|[^\\$\n])+?)(?<!\s)\$(?!\d)/

/**
 * Formulas in Markdown: `$v = f \\lambda$` becomes an element of its own, with what was typed in it, which turns into
 * a drawn formula where the page knows the element; until then, and where it does not, the typed text stands there.
 */
export function formulas(markdown: MarkdownIt): void {
  markdown.inline.ruler.after('escape', 'formula', (state, silent) => {
    if (state.src[state.pos] !== '$') return false
    const [whole, tex] = FORMULA.exec(state.src.slice(state.pos)) ?? []
    if (whole === undefined || tex === undefined) return false
    if (!silent) {
      const token = state.push('formula', 'step-formula', 0)
      token.content = tex
    }
    state.pos += whole.length
    return true
  })
  markdown.renderer.rules.formula = (tokens, at) => {
    const tex = markdown.utils.escapeHtml(tokens[at]?.content ?? '')
    return `<step-formula>${tex}</step-formula>`
  }
}
