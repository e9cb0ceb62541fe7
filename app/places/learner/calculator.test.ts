import { describe, expect, it } from 'vitest'
import { CLEARED, pressed } from './calculator'

const after = (keys: string) => [...keys].reduce(pressed, CLEARED).shown

describe('the calculator', () => {
  it('works from left to right', () => {
    expect(after('12+3=')).toBe('15')
    expect(after('2+3×4=')).toBe('20')
    expect(after('340÷0.5=')).toBe('680')
    expect(after('9−12=')).toBe('-3')
  })

  it('takes another operator in place of the last, and goes on with what came out', () => {
    expect(after('8+×2=')).toBe('16')
    expect(after('6×7=+1=')).toBe('43')
    expect(after('6×7=5')).toBe('5')
  })

  it('has no rounding that a learner would wonder about', () => {
    expect(after('0.1+0.2=')).toBe('0.3')
    expect(after('1÷3=')).toBe('0.3333333333')
  })

  it('types points, zeros and signs as expected', () => {
    expect(after('.5')).toBe('0.5')
    expect(after('1.2.3')).toBe('1.23')
    expect(after('007')).toBe('7')
    expect(after('5±')).toBe('-5')
    expect(after('123⌫')).toBe('12')
    expect(after('1⌫')).toBe('0')
    expect(after('16√')).toBe('4')
  })

  it('says Error where there is no number, and goes on after that', () => {
    expect(after('1÷0=')).toBe('Error')
    expect(after('4±√')).toBe('Error')
    expect(after('1÷0=+3')).toBe('3')
    expect(after('1÷0=C7')).toBe('7')
  })
})
