import { describe, expect, it } from 'vitest'
import { addMinutes } from '#core/base'
import { addRoster } from '#usecases/teaching/roster'
import { actorOf, signOut, whoAmI } from '#usecases/accounts/session'
import { signIn } from '#usecases/accounts/signIn'
import { joinAnother, joinClass, signUp } from '#usecases/accounts/signUp'
import { aBench, aLearner, aSchool, aTeacher, rosterOf } from '../support/world'

const PASSWORD = 'long enough'

describe('signing up and in', () => {
  it('gives a new teacher an empty school of their own', async () => {
    const bench = await aBench()
    const teacher = await aTeacher(bench, 'Tess')
    expect(teacher).toMatchObject({ role: 'teacher', office: true })
    expect((await whoAmI(bench.deps, { ...teacher, name: 'Tess' })).value.schoolName).toBe("Tess's school")
    expect(
      (await signUp(bench.deps, { school: 'X', name: 'Other', signIn: 'tess', password: PASSWORD })).error,
    ).toEqual({ code: 'access/sign-in-taken', field: 'signIn' })
  })

  it('opens a session that lasts 14 days and can be ended', async () => {
    const bench = await aBench()
    await aTeacher(bench, 'Tess')
    const session =
      (await signIn(bench.deps, { signIn: 'tess', password: PASSWORD, address: '1' })).value?.ticket ?? ''
    expect((await actorOf(bench.deps, session)).ok).toBe(true)
    bench.clock.set(addMinutes(bench.clock.now(), 14 * 24 * 60))
    expect((await actorOf(bench.deps, session)).error?.code).toBe('access/not-signed-in')
    const again =
      (await signIn(bench.deps, { signIn: 'tess', password: PASSWORD, address: '1' })).value?.ticket ?? ''
    await signOut(bench.deps, again)
    expect((await actorOf(bench.deps, again)).ok).toBe(false)
    expect((await actorOf(bench.deps, null)).ok).toBe(false)
  })

  it('answers a wrong name like a wrong password, and pauses after eight tries', async () => {
    const bench = await aBench()
    await aTeacher(bench, 'Tess')
    const wrong = (name: string) => signIn(bench.deps, { signIn: name, password: 'wrong one', address: '1' })
    expect((await wrong('nobody')).error).toEqual((await wrong('tess')).error)
    for (let i = 0; i < 7; i++) await wrong('tess')
    expect((await signIn(bench.deps, { signIn: 'tess', password: PASSWORD, address: '1' })).error?.code).toBe(
      'access/too-many-tries',
    )
    expect((await signIn(bench.deps, { signIn: 'tess', password: PASSWORD, address: '2' })).ok).toBe(true)
    bench.clock.set(addMinutes(bench.clock.now(), 16))
    expect((await signIn(bench.deps, { signIn: 'tess', password: PASSWORD, address: '1' })).ok).toBe(true)
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
      address: 'x',
    })
    expect(second.value?.user.id).not.toBe(dora.userId)
  })

  it('refuses an unknown code, and a sign-in that is taken', async () => {
    const school = await aSchool()
    const join = (code: string, signInName: string) =>
      joinClass(school.deps, { code, name: 'Zoe', signIn: signInName, password: PASSWORD, address: 'y' })
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
        address: 'z',
      })
    for (let i = 0; i < 8; i++) await guess(i)
    expect((await guess(9)).error?.code).toBe('access/too-many-tries')
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
    expect((await joinAnother(school.deps, school.teacher, school.b.joinCode)).error?.code).toBe(
      'access/denied',
    )
  })
})
