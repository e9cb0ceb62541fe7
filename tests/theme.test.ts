import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'

const css = readFileSync(fileURLToPath(new URL('../app/shared/theme/main.css', import.meta.url)), 'utf8')

/** The colours that one rule of the theme gives to its tokens; those of the palette are looked up. */
function tokensOf(rule: string): ReadonlyMap<string, string> {
  const body = css.split(`\n${rule} {`)[1]?.split('\n}')[0] ?? ''
  const palette = new Map(Array.from(css.matchAll(/(--color-[\w-]+): (#\w{6})/g), ([, k, v]) => [k!, v!]))
  return new Map(
    Array.from(body.matchAll(/(--[\w-]+): (?:(#\w{6})|var\((--[\w-]+)\))/g), ([, name, hex, of]) => [
      name!,
      hex ?? palette.get(of!) ?? '',
    ]),
  )
}

/** Relative luminance and contrast as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const share = parseInt(hex.slice(at, at + 2), 16) / 255
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
  })
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
function contrast(a: string, b: string): number {
  const [high = 0, low = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x)
  return (high + 0.05) / (low + 0.05)
}

describe.each([':root', '.dark'])('the colours of %s', (rule) => {
  const tokens = tokensOf(rule)
  const of = (name: string) => tokens.get(name) ?? ''

  it('set edges of fields, buttons and free meetings off from every ground, at least 3 : 1', () => {
    const grounds = ['--ui-bg', '--ui-bg-muted', '--ui-bg-elevated', '--stone-face']
    const faint = grounds.filter((ground) => contrast(of('--ui-border-accented'), of(ground)) < 3)
    expect(faint).toEqual([])
  })

  it('keep words readable on every ground, at least 4.5 : 1', () => {
    const words = ['--ui-text', '--ui-text-muted', '--ui-text-toned', '--ui-text-dimmed', '--ui-error']
    const faint = words.filter((word) => contrast(of(word), of('--ui-bg-elevated')) < 4.5)
    expect(faint).toEqual([])
  })
})
