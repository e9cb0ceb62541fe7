import { z } from 'zod'
import type { ClassId } from '#core/base'
import type { Filing } from '#core/filing'
import { WIRE } from '../shapes/makers'
import { classWorkShapes } from '../shapes/classWork'
import { contract, id } from './define'

const { filing } = classWorkShapes(WIRE)
const ofClass = z.strictObject({ classId: id<ClassId>() })

/** A name under which work of a class is filed, whether the class lists it or not. */
export interface NameInUse {
  readonly name: string
  readonly count: number
}
export interface ClassFiling {
  readonly classId: ClassId
  readonly name: string
  /** 0: the class never had any. */
  readonly version: number
  readonly filing: Filing
  readonly mayChange: boolean
  readonly headings: readonly NameInUse[]
  readonly categories: readonly NameInUse[]
}
export const ShowFiling = contract<ClassFiling>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/filing',
  params: ofClass,
})
/** `renamed`: names that were changed, so that the class's work follows. */
export const KeepFiling = contract<{ readonly version: number; readonly works: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/classes/:classId/filing',
  params: ofClass,
  body: z.strictObject({
    version: WIRE.whole(0, 1_000_000),
    filing,
    renamed: WIRE.list(
      z.strictObject({ part: z.enum(['heading', 'category']), from: WIRE.line(60), to: WIRE.line(60) }),
      120,
    ),
  }),
})
