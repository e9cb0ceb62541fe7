/** What one case cost: median and spread of its runs, in milliseconds. */
export interface Measured {
  readonly name: string
  readonly medianMs: number
  readonly p95Ms: number
  readonly runs: number
}

/** Runs a case for about `budgetMs` after warming up for a third of that; at least five times. */
export function measure(name: string, act: () => unknown, budgetMs = 600): Measured {
  for (let i = 0, warm = performance.now() + budgetMs / 3; i < 3 || performance.now() < warm; i++) act()
  const times: number[] = []
  const until = performance.now() + budgetMs
  while (times.length < 5 || (performance.now() < until && times.length < 20_000)) {
    const start = performance.now()
    act()
    times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  const atShare = (share: number) =>
    times[Math.min(times.length - 1, Math.floor(times.length * share))] as number
  return { name, medianMs: atShare(0.5), p95Ms: atShare(0.95), runs: times.length }
}

/** One line of the report. */
export interface Line {
  readonly what: string
  readonly medianMs: number
  readonly bar: string
  readonly note: string
}

/** Prints lines as a table. */
export function print(title: string, lines: readonly Line[]): void {
  const rows = [
    ['what', 'median', 'bar', 'note'],
    ...lines.map((l) => [
      l.what,
      `${l.medianMs < 0.1 ? l.medianMs.toFixed(4) : l.medianMs.toFixed(2)} ms`,
      l.bar,
      l.note,
    ]),
  ]
  const widths = [0, 1, 2, 3].map((c) => Math.max(...rows.map((r) => (r[c] ?? '').length)))
  process.stdout.write(
    `\n${title}\n${rows
      .map(
        (r) =>
          `  ${r
            .map((cell, c) => cell.padEnd(widths[c] ?? 0))
            .join('  ')
            .trimEnd()}`,
      )
      .join('\n')}\n`,
  )
}
