import { expect, it } from 'vitest'
import { bandOf } from './band'

it('is low below 60 %, and high from 85 % on, by the whole per cent that is shown', () => {
  expect([0, 0.594, 0.596, 0.844, 0.846, 1].map(bandOf)).toEqual([
    'low',
    'low',
    'middle',
    'middle',
    'high',
    'high',
  ])
})
