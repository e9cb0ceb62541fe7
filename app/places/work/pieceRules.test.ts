import { describe, expect, it } from 'vitest'
import { NO_WINDOW } from '#core/availability'
import { asId } from '#core/base'
import type { ClassId, PresetId, ResourceId } from '#core/base'
import { rulesOf } from '#core/work'
import type { Preset } from '#core/work'
import { PLAIN_WORK, rules } from '../../../tests/support/made'
import { PRESETS } from '~/shared/words/rules'
import type { DraftInWork } from './draft'
import { ruledForClass, rulesFor, withCard } from './pieceRules'
import type { StartingCard } from './pieceRules'

const card = (id: string, kind: StartingCard['kind'], bookLessonId: string | null = null): StartingCard => ({
  id: asId<ResourceId>(id),
  title: `Piece ${id}`,
  kind,
  revision: 3,
  bookLessonId,
  itemCount: kind === 'reading' ? 0 : 8,
})
const readyOf = (key: string) => PRESETS.find((p) => p.key === key)?.rules
const of = (before: readonly StartingCard[]) => ({ before, presets: [] })
/** Work for class A, with nothing to do yet. */
const nothing: DraftInWork = {
  ...PLAIN_WORK,
  pieces: [],
  title: 'Work',
  note: '',
  window: NO_WINDOW,
  rules: rulesFor('check', null, []),
  targets: [{ target: { kind: 'class', classId: asId<ClassId>('A') }, overrides: {} }],
  exceptIds: [],
}

describe('a piece that is added', () => {
  const practice = card('more', 'practice-set')
  const test = card('test', 'test')

  it('brings the rules of its kind, for the work or for itself', () => {
    const first = withCard(nothing, practice, of([]))
    expect(first.rules).toEqual(readyOf('practice'))
    expect(first.pieces[0]?.rules).toEqual({})
    const both = withCard(first, test, of([practice]))
    expect(both.rules).toEqual(readyOf('practice'))
    expect(both.pieces.map((p) => rulesOf(both, p))).toEqual([readyOf('practice'), readyOf('test')])
    const after = withCard(
      withCard(nothing, card('text', 'reading'), of([])),
      test,
      of([card('text', 'reading')]),
    )
    expect(after.rules).toEqual(readyOf('test'))
  })

  it('brings its own rules also where the first piece is no check', () => {
    const page = card('page', 'page')
    const both = withCard(withCard(nothing, page, of([])), test, of([page]))
    const more = card('second', 'check')
    const all = withCard(both, more, of([page, test]))
    expect(all.pieces.map((p) => rulesOf(all, p)).slice(1)).toEqual([readyOf('test'), readyOf('two')])
  })

  it('goes by what the teacher chose', () => {
    const chosen = { ...withCard(nothing, practice, of([])), rules: rules({ maxAttempts: 7 }) }
    const both = withCard(chosen, test, of([practice]))
    expect(both.pieces.map((p) => p.rules)).toEqual([{}, {}])
    expect(both.rules.maxAttempts).toBe(7)
  })
})

describe('the first class that is chosen', () => {
  const ofA: Preset = {
    id: asId<PresetId>('p'),
    name: 'Ours',
    rules: rules({ maxAttempts: 5 }),
    classId: asId<ClassId>('A'),
    kind: 'check',
  }
  const presets = [ofA]
  const cards = [card('check', 'check', 'b1'), card('more', 'practice-set', 'b1')]
  // a check and practice, begun for no class yet
  const begun = cards.reduce<DraftInWork>((d, c, i) => withCard(d, c, of(cards.slice(0, i))), {
    ...nothing,
    targets: [],
  })
  const inA = {
    ...begun,
    targets: [{ target: { kind: 'class' as const, classId: asId<ClassId>('A') }, overrides: {} }],
  }

  it('brings the teacher’s own rules for it, and nobody’s before', () => {
    expect(begun.rules).toEqual(readyOf('two'))
    const ruled = ruledForClass(inA, cards, { before: null, presets })
    expect(ruled.rules.maxAttempts).toBe(5)
    expect(rulesOf(ruled, ruled.pieces[1]!)).toEqual(readyOf('practice'))
  })

  it('leaves alone what was chosen', () => {
    const chosen = { ...inA, rules: rules({ maxAttempts: 7 }) }
    expect(ruledForClass(chosen, cards, { before: null, presets })).toBe(chosen)
  })
})

describe('the rules with which work begins', () => {
  const own: Preset = {
    id: asId<PresetId>('p'),
    name: 'Mine',
    rules: rules({ maxAttempts: 5 }),
    classId: asId<ClassId>('A'),
    kind: 'check',
  }
  it('are one’s own before the ready ones', () => {
    expect(rulesFor('check', asId<ClassId>('A'), [own]).maxAttempts).toBe(5)
    expect(rulesFor('check', asId<ClassId>('B'), [own]).maxAttempts).toBe(2)
    expect(rulesFor('practice-set', null, [own]).maxAttempts).toBeNull()
  })
})
