/**
 * The database takes no writes just now: its disk is full, it may only be read, or another process holds it. Reading
 * goes on.
 */
export class CannotWrite extends Error {
  readonly code = 'store/cannot-write'
  /** What the database or its file system said, such as `SQLITE_FULL`: no more than the kind of it. */
  readonly why: string
  constructor(cause: unknown) {
    super('the database cannot be written', { cause })
    this.why = kindOf(cause)
  }
}

const UNWRITABLE =
  /SQLITE_(FULL|READONLY|IOERR|CANTOPEN|PERM|AUTH)|ConnectionFailed|ENOSPC|EROFS|EACCES|EDQUOT|EFBIG/

/** The code of the deepest cause that has one; messages hold parameters, and stay out of the log. */
function kindOf(error: unknown): string {
  const codes: string[] = []
  for (let e: unknown = error; e instanceof Error; e = e.cause) {
    const { code } = e as { code?: unknown }
    if (typeof code === 'string') codes.push(code)
  }
  return codes.at(-1) ?? 'unknown'
}

/** Whether anything in the chain of causes says that a file cannot be written. */
export function saysCannotWrite(error: unknown): boolean {
  for (let e: unknown = error; e instanceof Error; e = e.cause)
    if (UNWRITABLE.test(String((e as { code?: unknown }).code ?? '')) || UNWRITABLE.test(e.message))
      return true
  return false
}
