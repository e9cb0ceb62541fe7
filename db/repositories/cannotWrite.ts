/** The database takes no writes just now: its disk is full, or it may only be read. Reading goes on. */
export class CannotWrite extends Error {
  readonly code = 'store/cannot-write'
  constructor(cause: unknown) {
    super('the database cannot be written', { cause })
  }
}

const UNWRITABLE =
  /SQLITE_(FULL|READONLY|IOERR|CANTOPEN|PERM|AUTH)|ConnectionFailed|ENOSPC|EROFS|EACCES|EDQUOT|EFBIG/

/** Whether anything in the chain of causes says that a file cannot be written. */
export function saysCannotWrite(error: unknown): boolean {
  for (let e: unknown = error; e instanceof Error; e = e.cause)
    if (UNWRITABLE.test(String((e as { code?: unknown }).code ?? '')) || UNWRITABLE.test(e.message))
      return true
  return false
}
