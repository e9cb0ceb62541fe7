import { describe, expect, it } from 'vitest'
import { stoneLabel } from './stoneLabel'

describe('stoneLabel', () => {
  it.each([
    [120, false, 'W2.4', true, false],
    [60, false, 'W2.4', false, false],
    [36, false, '2.4', false, false],
    [30, false, 'W2.4', false, true],
    [24, false, '2.4', false, true],
    [18, false, '', false, true],
    [60, true, 'W2.4', false, false],
    [41, true, 'W2.4', false, true],
  ])('with %i px (cairn: %s) shows “%s”', (width, hasCairn, number, hasTitle, isSmall) => {
    expect(stoneLabel('W2.4', width, hasCairn)).toEqual({ number, hasTitle, isSmall })
  })

  it('is never wider than the stone', () => {
    for (let width = 10; width < 200; width++) {
      const { number, isSmall } = stoneLabel('M10.12', width, false)
      expect(number.length * (isSmall ? 5.6 : 7.2)).toBeLessThanOrEqual(Math.max(0, width - 6))
    }
  })
})
