/** The outcome of an act that may be refused: never thrown, always looked at. */
export type Result<T, E> =
  | { readonly ok: true; readonly value: T; readonly error?: never }
  | { readonly ok: false; readonly error: E; readonly value?: never }

/** A success carrying its value. */
export function ok<T>(value: T): { readonly ok: true; readonly value: T; readonly error?: never } {
  return { ok: true, value }
}

/** A refusal carrying what was wrong; the act was not done, not even partly. */
export function refuse<E>(error: E): { readonly ok: false; readonly error: E; readonly value?: never } {
  return { ok: false, error }
}

/**
 * Unwraps a result that cannot be a refusal here; a refusal is then a defect and thrown with its facts as
 * cause.
 */
export function mustBeOk<R extends Result<unknown, unknown>>(
  result: R,
  what: string,
): Extract<R, { readonly ok: true }>['value'] {
  if (result.ok) return result.value as Extract<R, { readonly ok: true }>['value']
  throw new Error(`${what}: ${JSON.stringify(result.error)}`, { cause: result.error })
}
