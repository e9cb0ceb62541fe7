/** Why an assignment is not changed. */
export type WorkRefusal =
  | { readonly code: 'work/already-begun'; readonly field: 'resourceId' }
  | { readonly code: 'work/withdrawn'; readonly field: 'state' }
