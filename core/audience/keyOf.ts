import type { Target } from './types'

/** A key that names a target, such as `class 8a`. */
export function keyOf(target: Target): string {
  switch (target.kind) {
    case 'class':
      return `class ${target.classId}`
    case 'group':
      return `group ${target.groupId}`
    case 'learner':
      return `learner ${target.learnerId}`
  }
}
