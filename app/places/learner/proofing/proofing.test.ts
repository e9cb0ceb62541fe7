import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { describe, expect, it } from 'vitest'
import { proofread } from './proofing'

const { resolve } = createRequire(import.meta.url)
const part = (name: string) => readFileSync(resolve(`dictionary-en/${name}`), 'utf8')
const dictionary = { aff: part('index.aff'), dic: part('index.dic') }

describe('looking through a text', () => {
  it('finds words that no dictionary knows, words twice, and a wrong article', async () => {
    const text = 'The the wave carrys energy.\nIt is a example.'
    const found = await proofread(text, [], dictionary)
    expect(found.map((f) => [f.kind, text.slice(f.start, f.end)])).toEqual([
      ['twice', 'The the'],
      ['spelling', 'carrys'],
      ['article', 'a'],
    ])
    expect(found[1]?.instead).toContain('carry')
    expect(found[2]?.instead).toEqual(['an'])
  })

  it('knows the words that are expected, and finds nothing in a clean text', async () => {
    expect(
      await proofread('The metre wheel of Tarnhollow spins.', ['One metre (at Tarnhollow)?'], dictionary),
    ).toEqual([])
    expect(await proofread('', [], dictionary)).toEqual([])
    expect((await proofread('Tarnhollow spins.', [], dictionary)).map((f) => f.kind)).toEqual(['spelling'])
  })
})
