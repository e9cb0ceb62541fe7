import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { readAs } from '#core/versions'
import { toMarkedHtml } from './markedText'

const legend = [
  { id: 'a', name: 'Cause', look: 'line' },
  { id: 'b', name: 'Effect', look: 'box' },
] as const
const html = (text: string, ...marks: readonly (readonly [sort: string, quote: string, nth?: number])[]) =>
  toMarkedHtml(text, { legend, marks: marks.map(([sort, quote, nth = 1]) => ({ sort, quote, nth })) })

describe('marked passages', () => {
  it('are wrapped where their words stand, with what they are named once', () => {
    expect(html('Heat moves. Heat stays.', ['a', 'Heat', 2])).toBe(
      '<p>Heat moves. <mark data-look="line" data-name="Cause">Heat</mark> stays.</p>\n',
    )
  })

  it('go through emphasis and line breaks', () => {
    expect(html('The **warm air** rises\nfast.', ['b', 'warm air rises fast'])).toBe(
      '<p>The <strong><mark data-look="box">warm air</mark></strong><mark data-look="box"> rises</mark>\n' +
        '<mark data-look="box" data-name="Effect">fast</mark>.</p>\n',
    )
  })

  it('count over blocks, and leave alone what is not there', () => {
    const text = '# Ice\n\nIce melts.\n\n- Ice floats'
    expect(html(text, ['a', 'Ice', 3])).toContain(
      '<li><mark data-look="line" data-name="Cause">Ice</mark> floats',
    )
    expect(html(text, ['a', 'Steam'])).not.toContain('<mark')
    expect(html('<b>x</b> & y', ['a', '& y'])).toBe(
      '<p>&lt;b&gt;x&lt;/b&gt; <mark data-look="line" data-name="Cause">&amp; y</mark></p>\n',
    )
  })
})

describe('every text of the textbooks', () => {
  const folder = join(import.meta.dirname, '../../../demo/content')
  const files = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.md'))

  it('is read by the core as it is shown', () => {
    expect(files.length).toBeGreaterThan(10)
    for (const file of files) {
      const text = readFileSync(join(folder, file), 'utf8').replace(/^---[\s\S]*?---/, '')
      const shown = toMarkedHtml(text, null)
        .replace(/<step-formula>(.*?)<\/step-formula>/g, '$$$1$$')
        .replace(/<[^>]+>/g, ' ')
        .replace(
          /&(amp|lt|gt|quot);/g,
          (_, name: string) => ({ amp: '&', lt: '<', gt: '>', quot: '"' })[name] ?? '',
        )
      const plain = (words: string) => words.replace(/\s/g, '')
      expect(plain(readAs(text)), file).toBe(plain(shown))
    }
  })
})
