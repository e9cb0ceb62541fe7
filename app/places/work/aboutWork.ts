import { DRAFT_PARTS } from '#core/work'
import type { Draft } from '#core/work'
import { ShowWork } from '#shared/contracts/work'
import type { WorkPage } from '#shared/contracts/work'
import { call } from '~/shared/wire/call'
import { draftWords } from '~/shared/words/draftParts'
import type { DraftNames } from '~/shared/words/draftParts'

/** Work as it was opened, how it stands now, and how its parts are said. */
export function aboutWork(known: WorkPage, names: DraftNames) {
  return {
    what: 'this work',
    parts: DRAFT_PARTS,
    words: draftWords(names),
    seen: { value: known.draft as Draft, version: known.version },
    current: async () => {
      const reply = await call(ShowWork, { params: { assignmentId: known.id } })
      return reply.ok ? { value: reply.value.draft, version: reply.value.version } : null
    },
  }
}
