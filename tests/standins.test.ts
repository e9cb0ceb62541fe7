import { describe, expect, it } from 'vitest'
import { instant } from '#core/base'
import { checkResource, scoreItem } from '#core/library'
import { clockAt, clockFrom } from '#standins/clock'
import { randomIds, seededIds } from '#standins/ids'
import { inTurn } from '#standins/inTurn'
import { chanceRight, simulatedAnswers, simulatedLearner } from '#standins/learners'
import { scryptPasswords } from '#standins/passwords'
import { sessionTickets } from '#standins/tickets'
import { HEAT, PIECES, STANDARDS, WAVES } from '../demo/content'
import { inventNames } from '../demo/people'
import { multiple, numeric, single, text } from './support/made'

describe('stand-ins', () => {
  it('runs a demo clock on from its start, and lets a test clock stand', () => {
    let ms = 1000
    const clock = clockFrom(instant(5_000_000), () => ms)
    ms += 2500.7
    expect(clock.now()).toBe(5_002_500)
    const still = clockAt(instant(7))
    still.set(instant(9))
    expect(still.now()).toBe(9)
  })

  it('makes unguessable ids, and the same ones for the same seed', () => {
    const ids = randomIds()
    expect(new Set(Array.from({ length: 500 }, () => ids.newId())).size).toBe(500)
    expect(ids.newJoinCode()).toMatch(/^[abcdefghjkmnpqrstuvwxyz2-9]{7}$/)
    expect(seededIds(1).newId()).toBe(seededIds(1).newId())
    expect(seededIds(1).newId()).not.toBe(seededIds(2).newId())
  })

  it('hashes passwords with a salt, and matches only the right one', async () => {
    const passwords = scryptPasswords(1024)
    const one = (await passwords.hash('tarn hollow')).value ?? ''
    expect(one).not.toBe((await passwords.hash('tarn hollow')).value)
    expect([
      (await passwords.matches('tarn hollow', one)).value,
      (await passwords.matches('Tarn hollow', one)).value,
      (await passwords.matches('x', 'no hash')).value,
    ]).toEqual([true, false, false])
  })

  it('makes tickets of which only ids are kept, and reads nothing else', () => {
    const tickets = sessionTickets('a secret of more than 32 characters')
    const { ticket, id } = tickets.make()
    expect(ticket).toMatch(/^[\w-]{43}$/)
    expect(tickets.idOf(ticket)).toBe(id)
    expect(id).not.toContain(ticket.slice(0, 8))
    expect(sessionTickets('another secret of 32 characters and more').idOf(ticket)).not.toBe(id)
    for (const none of ['', 'short', `${ticket}x`, 'a'.repeat(5000)]) expect(tickets.idOf(none)).toBeNull()
  })

  it('takes slow works in turn, a few at once, and refuses when too many wait', async () => {
    const { take } = inTurn({ atOnce: 2, waiting: 3 })
    const ends: (() => void)[] = []
    let most = 0
    let running = 0
    const work = async () => {
      running++
      most = Math.max(most, running)
      await new Promise<void>((end) => ends.push(end))
      running--
      return 'done'
    }
    const asked = Array.from({ length: 7 }, () => take(work))
    // two run and three wait: the sixth and seventh are told at once
    expect((await Promise.all(asked.slice(5))).map((r) => r.error?.code)).toEqual([
      'access/busy',
      'access/busy',
    ])
    const all = Promise.all(asked.slice(0, 5))
    for (let ended = 0; ended < 5; ended++) {
      while (ends.length === 0) await Promise.resolve()
      ends.shift()?.()
    }
    expect((await all).map((r) => r.value)).toEqual(Array.from({ length: 5 }, () => 'done'))
    expect(most).toBe(2)
    // a work that fails gives its turn on
    await expect(take(() => Promise.reject(new Error('broken')))).rejects.toThrow('broken')
    expect((await take(() => Promise.resolve(1))).value).toBe(1)
  })

  it('answers better with ability, worse with difficulty, and the same for the same seed', () => {
    expect(chanceRight({ ability: 1 }, 2)).toBeGreaterThan(chanceRight({ ability: -1 }, 2))
    expect(chanceRight({ ability: 0 }, 5)).toBeLessThan(chanceRight({ ability: 0 }, 1))
    const items = [single('1'), multiple('2'), numeric('3'), text('4')]
    const points = (ability: number) => {
      let sum = 0
      for (let seed = 0; seed < 200; seed++) {
        const answers = simulatedAnswers({ ...simulatedLearner(seed), ability }, items)
        for (const item of items) sum += scoreItem(item, answers.get(item.id))
      }
      return sum
    }
    expect(points(1.5)).toBeGreaterThan(points(-1.5) * 1.3)
    expect([...simulatedAnswers(simulatedLearner(7), items)]).toEqual([
      ...simulatedAnswers(simulatedLearner(7), items),
    ])
  })
})

describe('the demo’s textbooks', () => {
  it('has only pieces that the shelf would accept, with codes used once', () => {
    for (const { resource } of PIECES) expect(checkResource(resource).error, resource.code).toBeUndefined()
    expect(new Set(PIECES.map((p) => p.resource.code)).size).toBe(PIECES.length)
  })

  it('has at least six lessons of each book with checks of eight items and more', () => {
    for (const book of [WAVES, HEAT]) {
      const lessons = new Set(
        PIECES.filter(
          (p) => p.bookId === book.id && p.resource.kind === 'check' && p.resource.items.length >= 8,
        ).map((p) => p.lesson),
      )
      expect(lessons.size).toBeGreaterThanOrEqual(6)
      const known = new Set(book.units.flatMap((u) => u.lessons.map((l) => l.id)))
      const tests = new Set(book.benchmarks.map((b) => b.resourceId))
      for (const { lesson, resource } of PIECES.filter((p) => p.bookId === book.id))
        if (lesson === null) expect(tests.delete(resource.id), resource.code).toBe(true)
        else expect(known.has(lesson), lesson).toBe(true)
      expect([...tests]).toEqual([])
      expect(book.units.length).toBe(8)
      for (const unit of book.units) expect(unit.lessons.length).toBeGreaterThanOrEqual(5)
    }
  })

  it('puts every standard into words', () => {
    const codes = new Set(STANDARDS.map((s) => s.code))
    for (const { resource } of PIECES)
      for (const code of resource.standards) expect(codes.has(code), code).toBe(true)
  })

  it('does not always put the right answer first', () => {
    const firsts = PIECES.flatMap((p) => p.resource.items).flatMap((i) =>
      i.kind === 'single' ? [i.options.findIndex((o) => o.id === i.right)] : [],
    )
    for (const place of [0, 1, 2, 3])
      expect(firsts.filter((f) => f === place).length / firsts.length).toBeGreaterThan(0.15)
  })

  it('invents no name twice', () => {
    const names = inventNames(135, 1)
    expect(new Set(names).size).toBe(135)
    expect(inventNames(135, 1)).toEqual(names)
  })
})
