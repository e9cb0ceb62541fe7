import { expect, it } from 'vitest'
import { bandOf } from './band'

it('is low below 60 %, and high from 85 % on', () => {
  expect([0, 0.599, 0.6, 0.849, 0.85, 1].map(bandOf)).toEqual([
    'low',
    'low',
    'middle',
    'middle',
    'high',
    'high',
  ])
})
