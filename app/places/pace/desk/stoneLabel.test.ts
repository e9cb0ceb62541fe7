import { describe, expect, it } from 'vitest'
import { charsOf, leastHalf, stoneLabel } from './stoneLabel'

describe('stoneLabel', () => {
  it.each([
    [120, false, 'W2.4', true, false],
    [60, false, 'W2.4', false, false],
    [38, false, '2.4', false, false],
    [26, false, '2.4', false, true],
    [23, false, '', false, true],
    [60, true, 'W2.4', false, false],
    [45, true, '2.4', false, false],
  ])('with %i px (cairn: %s) shows “%s”', (width, hasCairn, number, hasTitle, isTight) => {
    expect(stoneLabel('W2.4', width, hasCairn)).toEqual({ number, hasTitle, isTight })
  })

  it('is never wider than the stone', () => {
    for (let width = 10; width < 200; width++) {
      const { number, isTight } = stoneLabel('M10.12', width, false)
      expect(charsOf(number) * (isTight ? 7.6 : 8.2)).toBeLessThanOrEqual(Math.max(0, width - 4))
    }
  })

  it('knows how wide half a meeting has to be for the longest number', () => {
    expect(leastHalf(['W2.4', 'W2.5'])).toBe(26)
    const width = leastHalf(['W2.4', 'W2.10'])
    expect(width).toBeGreaterThan(26)
    expect(stoneLabel('W2.10', width, false).number).toBe('2.10')
    expect(stoneLabel('W2.10', width - 1, false).number).toBe('')
  })
})
