import type { ShelfFormat, Shortfall } from '#core/formats'
import type { LibraryRefusal } from '#core/library'
import { count } from '~/shared/words/numbers'
import { sayRefusal } from '~/shared/words/refusals'

export const FORMAT_WORDS: Record<ShelfFormat, string> = {
  case: 'a framework of standards (CASE)',
  qti: 'questions (QTI)',
  'items-csv': 'a table of questions',
  markdown: 'a reading',
  cartridge: 'a textbook (Common Cartridge)',
  epub: 'a textbook (EPUB)',
  outline: 'the outline of a textbook',
}

/** Why a part of a file is not, or not wholly, taken over. */
export function sayShortfall(short: Shortfall): string {
  switch (short.code) {
    case 'unknown-kind':
      return `There is no such kind of question here: ${short.name || 'none is named'}.`
    case 'no-key':
      return 'It does not say what is right.'
    case 'cannot-be-answered':
      // the number of the question stands in its own column
      return sayRefusal({ code: short.why, item: 0 } as unknown as LibraryRefusal).replace('Question 0: ', '')
    case 'no-text':
      return 'It has no text.'
    case 'not-readable':
      return 'It cannot be read.'
    case 'code-twice':
      return `“${short.name}” is there already.`
    case 'code-too-long':
      return `The code “${short.name}” is longer than 40 characters.`
    case 'unknown-parent':
      return `It belongs under “${short.name}”, which is not there.`
    case 'relation-left-out':
      return `${count(short.count, 'relation')} of this kind say nothing here.`
    case 'picture-left-out':
      return `${count(short.count, 'picture')} left out.`
    case 'scored-otherwise':
      return 'It is scored a little otherwise there.'
    case 'question-left-out':
      return `“${short.what || 'A question'}” is left out: ${sayShortfall(short.because)}`
    case 'outside-navigation':
      return 'The table of contents does not lead there.'
    case 'no-https':
      return `“${short.address || 'no address'}” is no address that begins with https://.`
    case 'not-meetings':
      return `“${short.text}” is no number of meetings: whole or half ones, from 0.5 to 40.`
    case 'not-here':
      return `There is no “${short.name}” here.`
  }
}
