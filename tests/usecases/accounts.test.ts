import { sql } from 'drizzle-orm'
import { describe, expect, it, vi } from 'vitest'
import { addMinutes, mustBeOk } from '#core/base'
import type { UserId } from '#core/base'
import { addRoster } from '#usecases/teaching/roster'
import { actorOf, signOut, whoAmI } from '#usecases/accounts/session'
import { signIn } from '#usecases/accounts/signIn'
import { joinAnother, joinClass } from '#usecases/accounts/joinClass'
import { changePassword, endOtherSessions } from '#usecases/accounts/ownPassword'
import { signUp } from '#usecases/accounts/signUp'
import type { NewSchool } from '#usecases/accounts/signUp'
import { resetPassword } from '#usecases/teaching/resetPassword'
import { aBench, aLearner, aSchool, aTeacher, rosterOf } from '../support/world'
import type { Bench } from '../support/world'

const PASSWORD = 'long enough'
const from = (address: string) => ({ address, browser: null })
const aNewSchool = (over: Partial<NewSchool>): NewSchool => ({
  school: 'X',
  name: 'Other',
  signIn: 'other',
  password: PASSWORD,
  invitation: '',
  origin: from('elsewhere'),
  ...over,
})

describe('signing up and in', () => {
  it('gives a new teacher an empty school of their own', async () => {
    const bench = await aBench()
    const teacher = await aTeacher(bench, 'Tess')
    expect(teacher).toMatchObject({ role: 'teacher', office: true })
    const asked = { signIn: 'tess', password: PASSWORD, origin: from('1') }
    const ticket = mustBeOk(await signIn(bench.deps, asked), 'in').ticket
    const tess = mustBeOk(await actorOf(bench.deps, ticket), 'tess')
    expect(whoAmI(bench.deps, tess).value.schoolName).toBe("Tess's school")
    expect((await signUp(bench.deps, aNewSchool({ signIn: 'tess' }))).error).toEqual({
      code: 'access/sign-in-taken',
      field: 'signIn',
    })
  })

  it('opens a session that lasts 14 days and can be ended', async () => {
    const bench = await aBench()
    await aTeacher(bench, 'Tess')
    const session =
      (await signIn(bench.deps, { signIn: 'tess', password: PASSWORD, origin: from('1') })).value?.ticket ??
      ''
    expect((await actorOf(bench.deps, session)).ok).toBe(true)
    bench.clock.set(addMinutes(bench.clock.now(), 14 * 24 * 60))
    expect((await actorOf(bench.deps, session)).error?.code).toBe('access/not-signed-in')
    const again =
      (await signIn(bench.deps, { signIn: 'tess', password: PASSWORD, origin: from('1') })).value?.ticket ??
      ''
    await signOut(bench.deps, again)
    expect((await actorOf(bench.deps, again)).ok).toBe(false)
    expect((await actorOf(bench.deps, null)).ok).toBe(false)
  })

  it('answers a wrong name like a wrong password', async () => {
    const bench = await aBench()
    await aTeacher(bench, 'Tess')
    const wrong = (name: string) =>
      signIn(bench.deps, { signIn: name, password: 'wrong one', origin: from('1') })
    expect((await wrong('nobody')).error).toEqual((await wrong('tess')).error)
  })
})

describe('tries at the door', () => {
  const tries = (bench: Bench, count: number, of: (i: number) => Partial<Parameters<typeof signIn>[1]>) =>
    Promise.all(
      Array.from({ length: count }, (_, i) =>
        signIn(bench.deps, { signIn: 'tess', password: 'wrong one', origin: from('1'), ...of(i) }),
      ),
    )
  const refused = (results: readonly { readonly error?: { readonly code: string } }[]) =>
    results.filter((r) => r.error?.code === 'access/too-many-tries').length

  it('are counted before they are examined, fifty at once too', async () => {
    const bench = await aBench()
    await aTeacher(bench, 'Tess')
    const examined = vi.spyOn(bench.deps.passwords, 'matches')
    expect(refused(await tries(bench, 50, () => ({})))).toBe(42)
    expect(examined).toHaveBeenCalledTimes(8)
  })

  it('wait longer each time instead of being shut out, and begin anew after an hour', async () => {
    const bench = await aBench()
    await aTeacher(bench, 'Tess')
    const start = bench.clock.now()
    await tries(bench, 8, () => ({}))
    const waits: number[] = []
    for (let i = 0; i < 4; i++) {
      const [again] = await tries(bench, 1, () => ({}))
      const until = again?.error?.code === 'access/too-many-tries' ? again.error.until : bench.clock.now()
      waits.push((until - bench.clock.now()) / 1000)
      bench.clock.set(until)
      await tries(bench, 1, () => ({}))
    }
    expect(waits).toEqual([4, 8, 16, 32])
    bench.clock.set(addMinutes(start, 90))
    expect((await tries(bench, 1, () => ({ password: PASSWORD })))[0]?.ok).toBe(true)
  })

  it('of a stranger never lock out the owner where they signed in before, by address or by browser', async () => {
    const bench = await aBench()
    await aTeacher(bench, 'Tess')
    const home = { address: 'home', browser: 'tess’s browser' }
    await tries(bench, 1, () => ({ password: PASSWORD, origin: home }))
    await tries(bench, 40, (i) => ({ origin: from(`bot ${i}`) }))
    const [elsewhere] = await tries(bench, 1, () => ({ password: PASSWORD, origin: from('new') }))
    expect(elsewhere?.error?.code).toBe('access/too-many-tries')
    // the browser is known wherever it is carried
    const carried = { address: 'new', browser: 'tess’s browser' }
    expect((await tries(bench, 1, () => ({ password: PASSWORD, origin: carried })))[0]?.ok).toBe(true)
    expect((await tries(bench, 1, () => ({ password: PASSWORD, origin: home })))[0]?.ok).toBe(true)
  })

  it('behind the school’s address never keep what is right out for more than seconds', async () => {
    const bench = await aBench()
    await aTeacher(bench, 'Tess')
    const school = from('school')
    await tries(bench, 1, () => ({ password: PASSWORD, origin: { ...school, browser: 'hers' } }))
    for (let i = 0; i < 40; i++) {
      await tries(bench, 5, () => ({ origin: school }))
      bench.clock.set(addMinutes(bench.clock.now(), 5 / 60))
    }
    await tries(bench, 100, (i) => ({ signIn: `name${i}`, origin: school }))
    const right = () => tries(bench, 1, () => ({ password: PASSWORD, origin: school }))
    const [first] = await right()
    const wait = first?.error?.code === 'access/too-many-tries' ? first.error.waitSeconds : 0
    expect(wait).toBeLessThanOrEqual(4)
    bench.clock.set(addMinutes(bench.clock.now(), wait / 60))
    expect((await right())[0]?.ok).toBe(true)
  })

  it('behind the school’s address are so many an hour, whatever is tried', async () => {
    const bench = await aBench()
    await aTeacher(bench, 'Tess')
    const school = from('school')
    await tries(bench, 1, () => ({ password: PASSWORD, origin: { ...school, browser: 'hers' } }))
    const examined = vi.spyOn(bench.deps.passwords, 'matches')
    for (let second = 0; second < 600; second++) {
      await tries(bench, 2, () => ({ origin: school }))
      bench.clock.set(addMinutes(bench.clock.now(), 1 / 60))
    }
    // 8 at once, then one each four seconds
    expect(examined.mock.calls.length).toBeGreaterThan(140)
    expect(examined.mock.calls.length).toBeLessThanOrEqual(8 + 150)
  })

  it('with one password on a hundred names meet the limit of their address', async () => {
    const bench = await aBench()
    expect(refused(await tries(bench, 100, (i) => ({ signIn: `name${i}` })))).toBe(40)
    const others = await tries(bench, 1, () => ({ signIn: 'name101', origin: from('2') }))
    expect(others[0]?.error?.code).toBe('access/wrong-sign-in')
  })

  it('that were right are given back: a class signs in at once behind one address', async () => {
    const bench = await aBench()
    await aTeacher(bench, 'Tess')
    for (let i = 0; i < 90; i++)
      expect((await tries(bench, 1, () => ({ password: PASSWORD, origin: from('school') })))[0]?.ok).toBe(
        true,
      )
  })

  it('are forgotten: no row outlives its time', async () => {
    const bench = await aBench()
    await tries(bench, 30, (i) => ({ signIn: `name${i}`, origin: from(`${i}`) }))
    bench.clock.set(addMinutes(bench.clock.now(), 24 * 60))
    await tries(bench, 1, () => ({}))
    const rows = await bench.deps.store.read.all(sql`select key from throttles`)
    expect(rows).toHaveLength(3)
    // neither names nor addresses stand in them
    expect(JSON.stringify(rows)).not.toContain('tess')
  })

  it('to make schools from one address are few; sign-up may be closed or by invitation', async () => {
    const bench = await aBench()
    const all = await Promise.all(
      Array.from({ length: 60 }, (_, i) =>
        signUp(bench.deps, aNewSchool({ signIn: `head${i}`, origin: from('one') })),
      ),
    )
    expect(all.filter((r) => r.ok)).toHaveLength(5)
    const closed = { ...bench.deps, signUp: { kind: 'closed' as const } }
    expect((await signUp(closed, aNewSchool({ signIn: 'late' }))).error?.code).toBe('access/sign-up-closed')
    const invited = { ...bench.deps, signUp: { kind: 'invitation' as const, code: 'river stones' } }
    const wrong = aNewSchool({ signIn: 'late', invitation: 'river stone' })
    expect((await signUp(invited, wrong)).error).toEqual({
      code: 'access/wrong-invitation',
      field: 'invitation',
    })
    expect((await signUp(invited, { ...wrong, invitation: 'river stones' })).ok).toBe(true)
  })
})

describe('passwords', () => {
  const signedIn = async ({ deps }: Bench, name: string, password = PASSWORD) =>
    mustBeOk(await signIn(deps, { signIn: name, password, origin: from('1') }), name).ticket

  it('are changed by their owner, which ends every other session', async () => {
    const bench = await aBench()
    const tess = await aTeacher(bench, 'Tess')
    const [here, elsewhere] = [await signedIn(bench, 'tess'), await signedIn(bench, 'tess')]
    const change = (current: string, next: string) =>
      changePassword(bench.deps, tess, { current, next, ticket: here })
    expect((await change('not mine', 'a new long one')).error?.code).toBe('access/wrong-password')
    expect((await change(PASSWORD, PASSWORD)).error?.code).toBe('access/same-password')
    expect((await change(PASSWORD, 'a new long one')).ok).toBe(true)
    expect((await actorOf(bench.deps, here)).ok).toBe(true)
    expect((await actorOf(bench.deps, elsewhere)).error?.code).toBe('access/not-signed-in')
    expect(await signedIn(bench, 'tess', 'a new long one')).toBeTruthy()
  })

  it('cannot be guessed through the change either', async () => {
    const bench = await aBench()
    const tess = await aTeacher(bench, 'Tess')
    const guesses = await Promise.all(
      Array.from({ length: 30 }, (_, i) =>
        changePassword(bench.deps, tess, { current: `guess ${i}`, next: 'a new long one', ticket: null }),
      ),
    )
    expect(guesses.filter((g) => g.error?.code === 'access/wrong-password')).toHaveLength(8)
  })

  it('of a learner are reset by the class’s teacher, and must then be changed', async () => {
    const school = await aSchool()
    const before = await signedIn(school, 'ann.ash')
    const of = { classId: school.a.classId, learnerId: school.ann.userId }
    expect((await resetPassword(school.deps, school.stranger, of)).error?.code).toBe('access/not-found')
    const cleo = { ...of, learnerId: school.cleo.userId }
    expect((await resetPassword(school.deps, school.teacher, cleo)).error?.code).toBe('audience/not-in-class')
    const card = mustBeOk(await resetPassword(school.deps, school.teacher, of), 'card')
    expect(card).toMatchObject({ name: 'Ann Ash', signIn: 'ann.ash' })
    expect((await actorOf(school.deps, before)).ok).toBe(false)
    const after = await signedIn(school, 'ann.ash', card.password)
    expect((await actorOf(school.deps, after)).value?.mustChangePassword).toBe(true)
    const chosen = { current: card.password, next: 'my very own one', ticket: after }
    expect((await changePassword(school.deps, school.ann, chosen)).ok).toBe(true)
    expect((await actorOf(school.deps, after)).value?.mustChangePassword).toBe(false)
  })

  it('are given to one who only stands in the roster, together with a sign-in', async () => {
    const school = await aSchool()
    const { classId } = school.a
    await addRoster(school.deps, school.teacher, { classId, text: 'Dora Dill', skipBad: false })
    const dora = (await rosterOf(school, classId)).find((l) => l.name === 'Dora Dill')
    const of = { classId, learnerId: dora?.id as UserId }
    const card = mustBeOk(await resetPassword(school.deps, school.teacher, of), 'card')
    expect(await signedIn(school, card.signIn, card.password)).toBeTruthy()
  })

  it('do not keep sessions that were ended from elsewhere', async () => {
    const bench = await aBench()
    const tess = await aTeacher(bench, 'Tess')
    const [here, elsewhere] = [await signedIn(bench, 'tess'), await signedIn(bench, 'tess')]
    await endOtherSessions(bench.deps, tess, here)
    expect((await actorOf(bench.deps, here)).ok).toBe(true)
    expect((await actorOf(bench.deps, elsewhere)).ok).toBe(false)
  })
})

describe('joining a class', () => {
  it('gives a learner the place in the roster that bears their name, once', async () => {
    const school = await aSchool()
    await addRoster(school.deps, school.teacher, {
      classId: school.a.classId,
      text: 'Dora Dill\nEve Elm',
      skipBad: false,
    })
    const before = (await rosterOf(school, school.a.classId)).length
    const dora = await aLearner(school, school.a.joinCode, 'Dora  Dill')
    expect((await rosterOf(school, school.a.classId)).length).toBe(before)
    expect((await rosterOf(school, school.a.classId)).find((l) => l.id === dora.userId)?.joined).toBe(true)
    // somebody of the same name gets an account of their own, never Dora's
    const second = await joinClass(school.deps, {
      code: school.a.joinCode,
      name: 'Dora Dill',
      signIn: 'dora2',
      password: PASSWORD,
      origin: from('x'),
    })
    expect(second.value?.user.id).not.toBe(dora.userId)
  })

  it('refuses an unknown code, and a sign-in that is taken', async () => {
    const school = await aSchool()
    const join = (code: string, signInName: string) =>
      joinClass(school.deps, { code, name: 'Zoe', signIn: signInName, password: PASSWORD, origin: from('y') })
    expect((await join('nothere', 'zoe')).error).toEqual({ code: 'access/unknown-code', field: 'code' })
    expect((await join(school.a.joinCode, 'tess')).error?.code).toBe('access/sign-in-taken')
  })

  it('throttles guessing of codes by address', async () => {
    const school = await aSchool()
    const guess = (i: number) =>
      joinClass(school.deps, {
        code: `guess${i}`,
        name: 'Zoe',
        signIn: 'zoe',
        password: PASSWORD,
        origin: from('z'),
      })
    const guesses = await Promise.all(Array.from({ length: 60 }, (_, i) => guess(i)))
    expect(guesses.filter((g) => g.error?.code === 'access/unknown-code')).toHaveLength(40)
    expect((await guess(61)).error?.code).toBe('access/too-many-tries')
  })

  it('lets a right code in within seconds behind the school’s address, however many were wrong', async () => {
    const school = await aSchool()
    const origin = from('school')
    mustBeOk(await signIn(school.deps, { signIn: 'tess', password: PASSWORD, origin }), 'in')
    const join = (code: string) =>
      joinClass(school.deps, { code, name: 'Zoe', signIn: 'zoe.z', password: PASSWORD, origin })
    for (let i = 0; i < 100; i++) {
      await join(`guess${i}`)
      school.clock.set(addMinutes(school.clock.now(), 1 / 60))
    }
    const first = await join(school.a.joinCode)
    const wait = first.error?.code === 'access/too-many-tries' ? first.error.waitSeconds : 0
    expect(wait).toBeLessThanOrEqual(2)
    school.clock.set(addMinutes(school.clock.now(), wait / 60))
    expect(first.ok || (await join(school.a.joinCode)).ok).toBe(true)
  })

  it('lets a learner join one more class of the same school only', async () => {
    const school = await aSchool()
    expect((await joinAnother(school.deps, school.ann, school.b.joinCode)).value).toEqual({
      className: 'Class B',
    })
    expect((await rosterOf(school, school.b.classId)).map((l) => l.name)).toEqual(['Ann Ash', 'Cleo Cedar'])
    expect(
      (
        await joinAnother(
          school.deps,
          { ...school.ann, schoolId: school.stranger.schoolId },
          school.b.joinCode,
        )
      ).error?.code,
    ).toBe('access/unknown-code')
  })
})
