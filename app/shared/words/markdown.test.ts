import { describe, expect, it } from 'vitest'
import { plainText, toHtml, toInlineHtml } from './markdown'

describe('pictures in Markdown', () => {
  it('are shown from the files that are kept, with their words', () => {
    expect(toInlineHtml('![a *wave*](/api/files/f1)')).toBe('<img src="/api/files/f1" alt="a wave">')
  })

  it('from anywhere else are their words only', () => {
    for (const address of [
      'https://x.example/a.png',
      '/api/files/../me',
      'data:image/png;base64,AA',
      '//x/f',
    ])
      expect(toInlineHtml(`![a <wave>](${address})`)).not.toContain('<img')
    expect(toInlineHtml('![a wave](https://x.example/a.png)')).toBe('a wave')
  })
})

describe('formulas in Markdown', () => {
  it('stand in an element of their own', () => {
    expect(toInlineHtml('Speed: $v = f \\lambda$.')).toBe(
      'Speed: <step-formula>v = f \\lambda</step-formula>.',
    )
    expect(toHtml('$a < b$')).toContain('<step-formula>a &lt; b</step-formula>')
    expect(plainText('Find $v$ now')).toBe('Find v now')
  })

  it('are not made of money', () => {
    for (const text of ['It costs $5 and $6 more.', 'From $ 5 to 6 $', 'one $ only', '\\$a$'])
      expect(toInlineHtml(text)).not.toContain('<step-formula>')
  })

  it('stand alone between two dollar signs, over lines, too', () => {
    const alone = '<step-formula class="alone">'
    expect(toHtml('So\n$$\nv = f\n\\lambda < 2\n$$\nand on')).toBe(
      `<p>So</p>\n${alone}v = f\n\\lambda &lt; 2</step-formula><p>and on</p>\n`,
    )
    expect(toInlineHtml('So $$v = f$$.')).toBe(`So ${alone}v = f</step-formula>.`)
    expect(toHtml('$$\nnever ends\n\n# Next')).toBe('<p>$$\nnever ends</p>\n<h1>Next</h1>\n')
  })

  it('are not made of what is within code', () => {
    expect(toInlineHtml('It costs $x, `echo $HOME`, `$a$`')).toBe(
      'It costs $x, <code>echo $HOME</code>, <code>$a$</code>',
    )
    expect(toHtml('```\n$a$\n$$\nb\n$$\n```')).not.toContain('<step-formula')
  })

  it('let no markup through', () => {
    expect(toHtml('$<img src=x onerror=alert(1)>$')).not.toContain('<img')
    expect(toHtml('<script>alert(1)</script>')).not.toContain('<script>')
  })
})

describe('lists of tasks in Markdown', () => {
  it('have a box at each point, which says whether it is done', () => {
    const html = toHtml('- [ ] Fill the *tank*\n- [x] Read\n- [a] no box\n\n[ ] nor here')
    expect(html).toContain('<span class="box" role="img" aria-label="to do"></span>Fill the <em>tank</em>')
    expect(html).toContain('<span class="box done" role="img" aria-label="done"></span>Read')
    expect(html).toContain('[a] no box')
    expect(html).toContain('<p>[ ] nor here</p>')
    expect(html.match(/class="task"/g)).toHaveLength(2)
  })
})

describe('links in Markdown', () => {
  it('lead to another piece by a way that asks who follows', () => {
    expect(toInlineHtml('see [waves](piece:a-1)')).toBe('see <a href="/piece/a-1">waves</a>')
    expect(toInlineHtml('[on](https://x.example/a)')).toBe('<a href="https://x.example/a">on</a>')
    expect(toInlineHtml('[out](piece:../../sign-out)')).not.toContain('/piece/')
  })
})
