import type { ChildProcess } from 'node:child_process'

export function freePort(wanted: number, told?: boolean): Promise<number>
export function keptSecret(): string
export function serve(options: {
  readonly port: number
  readonly env: Readonly<Record<string, string>>
  readonly quiet?: boolean
}): Promise<{ readonly child: ChildProcess; readonly address: string; readonly errors: () => string }>
export function staysWith(child: ChildProcess): void
