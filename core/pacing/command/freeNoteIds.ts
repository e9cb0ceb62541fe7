import { same } from '../../base'
import type { DayNote } from '../../calendar'
import { singlesOf } from './command'
import type { NoteCommand, PacingCommand, SingleCommand } from './types'

/**
 * The act with ids for its new notes that no other note of the year has: nobody can keep a note from being set
 * by taking its id first. A note that stands there already, word for word, keeps its id, so that an act that
 * arrives twice is known.
 */
export function withFreeNoteIds(
  command: PacingCommand,
  notes: readonly DayNote[],
  freshId: () => string,
): PacingCommand {
  const now = new Map(notes.map((n) => [n.id, n]))
  const renamed = new Map<string, string>()
  const commands = singlesOf(command).map((one): SingleCommand => {
    if (one.kind !== 'note') return one
    const isNew = one.from === null && one.to !== null
    const standing = one.to === null ? undefined : now.get(one.to.id)
    if (isNew && standing && !same(standing, one.to)) renamed.set(standing.id, freshId())
    const free = { ...one, from: under(one.from, renamed), to: under(one.to, renamed) } satisfies NoteCommand
    if (free.from !== null) now.delete(free.from.id)
    if (free.to !== null) now.set(free.to.id, free.to)
    return free
  })
  if (renamed.size === 0) return command
  return command.kind === 'together' ? { ...command, commands } : (commands[0] as SingleCommand)
}

function under(note: DayNote | null, renamed: ReadonlyMap<string, string>): DayNote | null {
  const id = note === null ? undefined : renamed.get(note.id)
  return note === null || id === undefined ? note : { ...note, id }
}
