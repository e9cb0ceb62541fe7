import type { FormatRefusal } from '#core/formats'
import type { LibraryRefusal } from '#core/library'
import type { Refusal } from '#shared/contracts/refusal'

const CODES = [
  'library/unknown-file',
  'library/too-many-files',
  'formats/other-file',
  'formats/read-elsewhere',
] as const
type FileRefusal = Extract<LibraryRefusal | FormatRefusal, { code: (typeof CODES)[number] }>

/** Why a file is not taken, and what to do. */
export function sayFileRefusal(r: FileRefusal): string {
  switch (r.code) {
    case 'library/too-many-files':
      return `There are ${r.most} files already. Take one out first.`
    case 'library/unknown-file':
      return (
        `“${r.name}” is not kept: pictures (PNG, JPEG, GIF, WebP), PDF, office documents, plain text, ` +
        'sound and film are. What a file is, is told by its content.'
      )
    case 'formats/read-elsewhere':
      return r.place === 'calendar'
        ? 'This is a calendar: it is read where the school year is planned.'
        : 'This is a list of learners: it is read on the page of their class.'
    case 'formats/other-file':
      return sayOther(r.named, r.is)
  }
}

const SORTS: readonly (readonly [words: string, endings: readonly string[]])[] = [
  ['a PDF', ['pdf']],
  ['a spreadsheet', ['xlsx', 'xls', 'ods']],
  ['an office document', ['docx', 'doc', 'odt', 'rtf', 'pptx', 'odp', 'cfb']],
  ['a picture', ['png', 'jpg', 'jpeg', 'gif', 'webp', 'avif', 'tif', 'bmp', 'heic']],
  ['a recording or a film', ['mp3', 'm4a', 'wav', 'ogg', 'flac', 'mp4', 'mov', 'webm', 'mkv']],
  ['a package', ['zip', 'epub', 'imscc']],
  ['a plain text', ['text', 'txt', 'md', 'markdown']],
  ['a table', ['csv', 'tsv']],
]
const sortOf = (ending: string) => SORTS.find(([, endings]) => endings.includes(ending))?.[0]

/** What a file is, where its name says something else, and what to do. */
function sayOther(named: string, is: string): string {
  const sort = sortOf(is) ?? `a file of the sort “${is}”`
  const isAsNamed = named === '' || named === is || sortOf(named) === sort
  const what = isAsNamed
    ? `This is ${sort}, which is not read here.`
    : `The name ends in “.${named}”, but it is ${sort}.`
  const next = sort === 'a spreadsheet' ? 'Save it as CSV' : 'Save or export it as what can be read'
  return `${what} ${next}, and choose that.`
}

/** Whether it is a file that is refused. */
export function isFileRefusal(refusal: Refusal): refusal is FileRefusal {
  return CODES.some((code) => code === refusal.code)
}
