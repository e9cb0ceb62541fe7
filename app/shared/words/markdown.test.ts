import { describe, expect, it } from 'vitest'
import { plainText, toHtml, toInlineHtml } from './markdown'

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
