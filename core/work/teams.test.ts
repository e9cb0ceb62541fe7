import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ids } from '../../tests/support/made'
import { faultInTeams, madeTeams, teamMates } from './teams'

const people = (n: number) => Array.from({ length: n }, (_, i) => ids.user(`l${i}`))
const sizes = (n: number, size: number) =>
  madeTeams(people(n), size, 1)
    .map((t) => t.length)
    .sort((a, b) => a - b)

describe('teams', () => {
  it('make threes of pairs rather than leave somebody alone', () => {
    expect(sizes(8, 2)).toEqual([2, 2, 2, 2])
    expect(sizes(7, 2)).toEqual([2, 2, 3])
    expect(sizes(1, 2)).toEqual([1])
  })

  it('go to the nearer number of teams', () => {
    expect(sizes(8, 3)).toEqual([2, 3, 3])
    expect(sizes(10, 4)).toEqual([3, 3, 4])
    expect(sizes(3, 2)).toEqual([3])
  })

  it('mix by standing, so that no team has all who are strong', () => {
    const [a, b, c, d] = people(4)
    const standing = new Map([
      [a!, 0.9],
      [b!, 0.8],
      [c!, 0.3],
      [d!, 0.2],
    ])
    const teams = madeTeams(people(4), 2, 7, { mixing: 'by-standing', standing }).map((t) => [...t].sort())
    expect(teams).toEqual([
      [a, d],
      [b, c],
    ])
  })

  it('hold everybody once, nobody alone, in sizes that differ by one at most; the same seed, the same teams', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 40 }),
        fc.integer({ min: 2, max: 6 }),
        fc.integer(),
        (n, size, seed) => {
          const teams = madeTeams(people(n), size, seed)
          expect(teams.flat().sort()).toEqual(people(n).sort())
          const lengths = teams.map((t) => t.length)
          expect(Math.min(...lengths)).toBeGreaterThanOrEqual(2)
          expect(Math.max(...lengths) - Math.min(...lengths)).toBeLessThanOrEqual(1)
          expect(madeTeams(people(n), size, seed)).toEqual(teams)
        },
      ),
    )
  })

  it('name the others of a team, and nobody who is in none', () => {
    const [a, b, c] = people(3)
    expect(teamMates([[a!, b!]], a!)).toEqual([b])
    expect(teamMates([[a!, b!]], c!)).toEqual([])
  })

  it('have nobody twice', () => {
    const [a, b, c] = people(3)
    expect(faultInTeams([[a!, b!], [c!]])).toBeNull()
    expect(
      faultInTeams([
        [a!, b!],
        [b!, c!],
      ]),
    ).toEqual({
      code: 'work/in-two-teams',
      field: 'teams',
      learnerId: b,
    })
  })
})
