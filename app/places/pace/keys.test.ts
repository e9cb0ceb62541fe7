import { describe, expect, it } from 'vitest'
import { DESK_KEYS, FRAME_KEYS, RIPPLE_KEYS, actOf, keyNameOf } from './keys'

const pressed = (key: string, held: Partial<Record<'shiftKey' | 'ctrlKey' | 'metaKey', boolean>> = {}) =>
  keyNameOf({ key, shiftKey: false, ctrlKey: false, metaKey: false, ...held })

describe('the keys of the desk', () => {
  it.each([
    ['ArrowDown', {}, 'later'],
    ['ArrowDown', { shiftKey: true }, 'move-later'],
    ['+', { shiftKey: true }, 'longer'],
    ['?', { shiftKey: true }, 'sheet'],
    ['C', {}, 'covered'],
    ['C', { shiftKey: true }, 'covered'],
    ['g', {}, 'next-ground'],
    ['G', { shiftKey: true }, 'ground-before'],
    ['q', {}, null],
  ])('%s with %o does %s', (key, held, act) => {
    expect(actOf(DESK_KEYS, pressed(key, held))).toBe(act)
  })

  it('leaves undo, redo and search to the frame, by Ctrl or Cmd', () => {
    expect(actOf(FRAME_KEYS, pressed('z', { ctrlKey: true }))).toBe('undo')
    expect(actOf(FRAME_KEYS, pressed('Z', { metaKey: true, shiftKey: true }))).toBe('redo')
    expect(actOf(FRAME_KEYS, pressed('y', { ctrlKey: true }))).toBe('redo')
    expect(actOf(DESK_KEYS, pressed('x', { ctrlKey: true }))).toBeNull()
  })

  it.each([
    ['desk', DESK_KEYS],
    ['ripple', RIPPLE_KEYS],
    ['frame', FRAME_KEYS],
  ])('means one thing by each key (%s), and shows every act', (_, bindings) => {
    const keys = bindings.flatMap((b) => b.keys)
    expect(new Set(keys).size).toBe(keys.length)
    for (const b of bindings) expect(b.does).toHaveLength(b.keys.length)
  })
})
