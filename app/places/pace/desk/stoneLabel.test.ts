import { describe, expect, it } from 'vitest'
import { charsOf, stoneLabel } from './stoneLabel'

describe('stoneLabel', () => {
  it.each([
    [120, false, 'W2.4', true, false],
    [60, false, 'W2.4', false, false],
    [36, false, '2.4', false, false],
    [30, false, 'W2.4', false, true],
    [24, false, '2.4', false, true],
    [18, false, '2.4', false, true],
    [16, false, '', false, true],
    [60, true, 'W2.4', false, false],
    [43, true, '2.4', false, false],
  ])('with %i px (cairn: %s) shows “%s”', (width, hasCairn, number, hasTitle, isSmall) => {
    expect(stoneLabel('W2.4', width, hasCairn)).toEqual({ number, hasTitle, isSmall })
  })

  it('is never wider than the stone', () => {
    for (let width = 10; width < 200; width++) {
      const { number, isSmall } = stoneLabel('M10.12', width, false)
      expect(charsOf(number) * (isSmall ? 5.4 : 7.2)).toBeLessThanOrEqual(Math.max(0, width - 4))
    }
  })
})
