import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { ClassId, Result } from '#core/base'
import type { Consequence, PacingCommand, Way } from '#core/pacing'
import type { ClassRipple, WayShown } from '#shared/contracts/pacing'
import type { Refusal } from '#shared/contracts/refusal'
import { ids } from '../../../../tests/support/made'
import { useRipple } from './ripple'

type Answer = Result<unknown, Refusal>
const asked: ((answer: Answer) => void)[] = []
vi.mock('~/shared/wire/call', () => ({
  call: () => new Promise<Answer>((resolve) => asked.push(resolve)),
}))
/** The desk, as far as a ripple touches it. */
const desk = {
  tried: null as unknown,
  after: (command: PacingCommand) => ({ command }),
  act: vi.fn(() => Promise.resolve({ ok: true, value: {} })),
}
vi.mock('./desk', () => ({ useDesk: () => desk }))

const [a, b] = [ids.class('a'), ids.class('b')]
const longer = (classId: ClassId, id: string): PacingCommand => ({
  kind: 'length',
  classId,
  lessonId: ids.lesson(id),
  from: null,
  to: 4,
})
const change = longer(a, '1')
const way = (name: Way, ...commands: PacingCommand[]): WayShown =>
  ({ way: name, commands, consequence: { moved: [] } as unknown as Consequence }) as unknown as WayShown
const rippleOf = (classId: ClassId): ClassRipple =>
  ({
    classId,
    ways: [way('use-slack'), way('let-go', longer(classId, '2'))],
  }) as unknown as ClassRipple
const answer = (...classes: ClassRipple[]) => asked.shift()?.({ ok: true, value: { classes } })

describe('a ripple', () => {
  beforeEach(() => {
    asked.length = 0
    desk.tried = null
    desk.act.mockClear()
    setActivePinia(createPinia())
  })

  it('shows the bare change at once and the ways when they come', async () => {
    const ripple = useRipple()
    const opened = ripple.open(change, 'One longer')
    expect(desk.tried).toEqual({ command: change })
    expect(ripple.waiting).toBe(true)
    answer(rippleOf(a), rippleOf(b))
    await opened
    expect(ripple.classes.map((c) => c.classId)).toEqual([a, b])
    expect(ripple.waiting).toBe(false)
  })

  it('takes no notice of an answer to a change that is no longer looked at', async () => {
    const ripple = useRipple()
    const first = ripple.open(change, 'First')
    const second = ripple.open(longer(b, '1'), 'Second')
    answer(rippleOf(a))
    answer(rippleOf(b))
    await Promise.all([first, second])
    expect(ripple.classes.map((c) => c.classId)).toEqual([b])
    expect(ripple.cause).toBe('Second')
  })

  it('makes the change and the chosen ways one act, and shows that before', async () => {
    const ripple = useRipple()
    const opened = ripple.open(change, 'One longer')
    answer(rippleOf(a), rippleOf(b))
    await opened
    ripple.choose('let-go', b)
    const whole = {
      kind: 'together',
      purpose: { code: 'ripple', way: 'use-slack', cause: 'One longer' },
      commands: [change, longer(b, '2')],
    }
    expect(desk.tried).toEqual({ command: whole })
    await ripple.apply()
    expect(desk.act).toHaveBeenCalledWith(whole)
    expect(ripple.isOpen).toBe(false)
    expect(desk.tried).toBeNull()
  })

  it('waits with making until the ways are there', async () => {
    const ripple = useRipple()
    const opened = ripple.open(change, 'One longer')
    const made = ripple.apply()
    expect(desk.act).not.toHaveBeenCalled()
    answer(rippleOf(a))
    await Promise.all([opened, made])
    expect(desk.act).toHaveBeenCalledOnce()
  })

  it('makes nothing of a change that was refused', async () => {
    const ripple = useRipple()
    const opened = ripple.open(change, 'One longer')
    asked.shift()?.({ ok: false, error: { code: 'wire/lost' } })
    await opened
    expect(ripple.problem).toEqual({ code: 'wire/lost' })
    expect(await ripple.apply()).toBeNull()
    expect(desk.act).not.toHaveBeenCalled()
  })
})
