import { describe, expect, it } from 'vitest'
import { numeric, single } from '../../tests/support/made'
import { differentOnes } from './differentOnes'

describe('questions that differ', () => {
  it('are the first of each, whatever their names', () => {
    const list = [
      single('1'),
      numeric('2'),
      { ...single('1'), id: single('9').id },
      { ...single('1'), stem: 'Other?' },
    ]
    const left = differentOnes(list, (item) => item)
    expect(left.map((i) => list.indexOf(i))).toEqual([0, 1, 3])
  })

  it('have another key, where the words are the same', () => {
    expect(differentOnes([single('1'), single('1', { right: 'a' })], (item) => item)).toHaveLength(2)
  })
})
