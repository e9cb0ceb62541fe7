import { describe, expect, it } from 'vitest'
import { standardsLike } from './find'

const all = [
  { code: 'TH.8.W', text: 'Waves' },
  { code: 'TH.8.W.10', text: 'Colour of light' },
  { code: 'TH.8.W.1', text: 'Waves carry energy' },
  { code: 'TH.8.W.1.A', text: 'Energy of a pulse' },
  { code: 'TH.8.M.1', text: 'Energy of motion' },
]
const found = (typed: string) => standardsLike(all, typed).map((s) => s.code.slice(3))

describe('standardsLike', () => {
  it('prefers the code that was typed to those that begin with it', () => {
    expect(found('8.W.1')).toEqual(['8.W.1', '8.W.1.A', '8.W.10'])
    expect(found('th.8.w.1')).toEqual(['8.W.1', '8.W.1.A', '8.W.10'])
    expect(found('8.w')).toEqual(['8.W', '8.W.10', '8.W.1', '8.W.1.A'])
  })

  it('finds beginnings of words, all of them', () => {
    expect(found('ener')).toEqual(['8.W.1', '8.W.1.A', '8.M.1'])
    expect(found('energy wave')).toEqual(['8.W.1'])
    expect(found('nothing')).toEqual([])
    expect(found('  ')).toEqual([])
  })

  it('takes no code apart within a word', () => {
    expect(found('.W.1')).toEqual([])
    expect(found('H.8')).toEqual([])
  })
})
