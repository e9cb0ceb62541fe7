import { assertNever } from '#core/base'
import type { LibraryRefusal } from '#core/library'
import { sayFileRefusal } from './fileRefusals'
import { count } from './numbers'

/** Why a piece, a question or a file is not accepted, and what to do. */
export function sayLibraryRefusal(r: LibraryRefusal): string {
  switch (r.code) {
    case 'library/bad-code':
      return r.value === ''
        ? 'Short code: give 2 to 16 letters and digits.'
        : `Short code: “${r.value}” is taken or is not 2 to 16 letters and digits.`
    case 'library/no-items':
      return 'Add at least one question.'
    case 'library/same-item-twice':
      return `Question ${r.item} stands there twice. Take one of the two out.`
    case 'library/too-few-options':
      return `Question ${r.item}: give at least two answers, none of them empty.`
    case 'library/same-option-twice':
      return `Question ${r.item}: two answers are the same.`
    case 'library/no-right-answer':
      return `Question ${r.item}: say which answer is right.`
    case 'library/right-answer-twice':
      return `Question ${r.item}: the same answer is marked as right twice.`
    case 'library/bad-tolerance':
      return `Question ${r.item}: the tolerance has to be 0 or more.`
    case 'library/order-tells-answer':
      return `Question ${r.item}: what learners see stands in the right order already. Mix it.`
    case 'library/bad-word-range':
      return `Question ${r.item}: words at most are fewer than words at least. Give more, or 0 for no limit.`
    case 'library/no-blank':
      return `Question ${r.item}: write the missing words in square brackets, such as [energy].`
    case 'library/items-not-asked':
      return 'A piece of this kind has no questions. Take them out, or choose another kind.'
    case 'library/bad-link':
      return 'Address: give a whole one that begins with https://, without a name or password in it.'
    case 'library/no-file':
      return 'Files: choose at least one.'
    case 'library/silent-picture':
      return 'Text: say in the square brackets of each picture what it shows, for who cannot see it.'
    case 'library/unknown-file':
    case 'library/too-many-files':
      return sayFileRefusal(r)
    case 'library/no-words':
      return 'Words: give at least one.'
    case 'library/same-word-twice':
      return `Words: “${r.word}” stands there twice.`
    case 'library/piece-in-use':
      return `This piece is in ${count(r.works, 'assignment')}. Take it out of them first, or leave it on the shelf.`
    case 'library/book-in-use':
      return `The textbook “${r.title}” is used by a plan or a class. Take it out there first.`
    case 'library/bad-points':
      return `Question ${r.item}: points have to be above 0 and at most 100.`
    default:
      return assertNever(r)
  }
}
