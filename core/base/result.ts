/** The outcome of an act that may be refused: never thrown, always looked at. */
export type Result<T, E> =
  | { readonly ok: true, readonly value: T, readonly error?: never }
  | { readonly ok: false, readonly error: E, readonly value?: never }

/** A success carrying its value. */
export function ok<T>(value: T): { readonly ok: true, readonly value: T } {
  return { ok: true, value }
}

/** A refusal carrying what was wrong; the act was not done, not even partly. */
export function refuse<E>(error: E): { readonly ok: false, readonly error: E } {
  return { ok: false, error }
}

/** Unwraps a result that cannot be a refusal here; a refusal is then a defect and thrown with its facts as cause. */
export function mustBeOk<T, E>(result: Result<T, E>, what: string): T {
  if (result.ok) return result.value
  throw new Error(`${what}: ${JSON.stringify(result.error)}`, { cause: result.error })
}
