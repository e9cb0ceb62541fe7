import type MarkdownIt from 'markdown-it'

const BOX = /^\[([ xX])\]\s/

/** Lists of tasks in Markdown: `- [ ]` and `- [x]` at the beginning of a point become a box, which says what it is. */
export function taskLists(markdown: MarkdownIt): void {
  markdown.core.ruler.after('inline', 'tasks', ({ tokens, Token }) => {
    for (const [at, token] of tokens.entries()) {
      const isFirstOfPoint =
        tokens[at - 1]?.type === 'paragraph_open' && tokens[at - 2]?.type === 'list_item_open'
      const first = token.children?.[0]
      const box = isFirstOfPoint && first?.type === 'text' ? BOX.exec(first.content) : null
      if (!box || !first) continue
      first.content = first.content.slice(box[0].length)
      const drawn = new Token('task', 'span', 0)
      drawn.meta = { isDone: box[1] !== ' ' }
      token.children?.unshift(drawn)
      tokens[at - 2]?.attrSet('class', 'task')
    }
  })
  markdown.renderer.rules.task = (tokens, at) => {
    const { isDone } = (tokens[at]?.meta ?? {}) as { readonly isDone?: boolean }
    return `<span class="box${isDone ? ' done' : ''}" role="img" aria-label="${isDone ? 'done' : 'to do'}"></span>`
  }
}
