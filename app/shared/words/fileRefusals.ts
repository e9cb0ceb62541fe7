import type { LibraryRefusal } from '#core/library'
import type { Refusal } from '#shared/contracts/refusal'

type FileRefusal = Extract<LibraryRefusal, { code: 'library/unknown-file' | 'library/too-many-files' }>

/** Why a file is not taken, and what to do. */
export function sayFileRefusal(r: FileRefusal): string {
  if (r.code === 'library/too-many-files') return `There are ${r.most} files already. Take one out first.`
  return (
    `“${r.name}” is not kept: pictures (PNG, JPEG, GIF, WebP), PDF, office documents, plain text, ` +
    'sound and film are. What a file is, is told by its content.'
  )
}

/** Whether it is a file that is refused. */
export function isFileRefusal(refusal: Refusal): refusal is FileRefusal {
  return refusal.code === 'library/unknown-file' || refusal.code === 'library/too-many-files'
}
