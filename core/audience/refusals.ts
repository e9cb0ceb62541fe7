import type { GroupRulePart } from './groupRule'

/** Why an assignment cannot go to the chosen recipients. */
export type AudienceRefusal =
  | { readonly code: 'audience/nobody-chosen'; readonly field: 'targets' }
  | { readonly code: 'audience/same-target-twice'; readonly field: 'targets'; readonly id: string }
  | { readonly code: 'audience/nobody-reached'; readonly field: 'targets' }
  | { readonly code: 'audience/bad-group-rule'; readonly field: 'rule'; readonly part: GroupRulePart }
  /** Nobody can be put in by hand, or taken out: its rule says who is in it. */
  | { readonly code: 'audience/group-by-rule'; readonly field: 'groupId' }
  | { readonly code: 'audience/bad-exception'; readonly field: 'exceptIds'; readonly id: string }
  | { readonly code: 'audience/unknown-target'; readonly field: 'targets' | 'teams'; readonly id: string }
  | { readonly code: 'audience/not-in-class'; readonly field: 'learnerIds'; readonly id: string }
  | { readonly code: 'audience/bad-rows'; readonly field: 'text'; readonly lines: readonly number[] }
  | {
      readonly code: 'audience/sign-in-taken'
      readonly field: 'text'
      readonly line: number
      readonly signIn: string
    }
