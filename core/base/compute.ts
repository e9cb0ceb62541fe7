/** Why a computation was given up: it took too long or too much memory, or too many wait for theirs. */
export type ComputeRefusal =
  { readonly code: 'compute/too-much'; readonly seconds: number } | { readonly code: 'compute/busy' }
