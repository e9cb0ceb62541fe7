import { z } from 'zod'
import type { ClassId, GroupId, UserId } from '#core/base'
import { WIRE } from '../shapes/makers'
import { contract, id, line } from './define'

/** Keeps a class as it was split: all of the groups or none. Learners may be in several. */
export const KeepGroups = contract<{ readonly groupIds: readonly GroupId[] }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/split',
  params: z.strictObject({ classId: id<ClassId>() }),
  body: z.strictObject({
    groups: z
      .array(
        z.strictObject({
          name: line(40).refine((name) => name !== '', 'is empty'),
          learnerIds: WIRE.list(id<UserId>(), 400),
        }),
      )
      .min(1)
      .max(20),
  }),
})
