/** One structured line; facts hold no personal data and no answers. */
export function log(what: string, facts: Readonly<Record<string, string | number | null>> = {}): void {
  process.stderr.write(`${JSON.stringify({ at: new Date().toISOString(), what, ...facts })}\n`)
}

/** A defect by its kind and place only: messages of the database hold parameters, so they are left out. */
export function logDefect(requestId: string, error: unknown): void {
  const cause = error instanceof Error ? error : new Error(String(error))
  const where =
    cause.stack
      ?.split('\n')
      .find((l) => l.trim().startsWith('at '))
      ?.trim() ?? null
  const code = [cause, cause.cause]
    .map((e) => (e as { code?: unknown } | undefined)?.code)
    .find((c) => typeof c === 'string') as string | undefined
  log('defect', {
    requestId,
    name: cause.name,
    code: code ?? null,
    where,
  })
}
