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

  it('let no markup through', () => {
    expect(toHtml('$<img src=x onerror=alert(1)>$')).not.toContain('<img')
    expect(toHtml('<script>alert(1)</script>')).not.toContain('<script>')
  })
})
