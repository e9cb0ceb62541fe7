import { expect, it } from 'vitest'
import { asId } from '../base'
import type { SchoolId, UserId } from '../base'
import { isFor } from '.'
import type { Role, WhoFor } from '.'

const who = (role: Role) => ({
  userId: asId<UserId>('u'),
  schoolId: asId<SchoolId>('s'),
  role,
  office: false,
})
const letIn = (whom: WhoFor) => (['teacher', 'lead', 'learner'] as const).filter((r) => isFor(whom, who(r)))

it.each([
  ['anybody', ['teacher', 'lead', 'learner']],
  ['newcomer', ['teacher', 'lead', 'learner']],
  ['signed-in', ['teacher', 'lead', 'learner']],
  ['learner', ['learner']],
  ['teacher', ['teacher', 'lead']],
] as const)('what is for %s lets in %j', (whom, roles) => {
  expect(letIn(whom)).toEqual(roles)
})
