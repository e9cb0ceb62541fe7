import retextEnglish from 'retext-english'
import retextIndefiniteArticle from 'retext-indefinite-article'
import retextRepeatedWords from 'retext-repeated-words'
import retextSpell from 'retext-spell'
import { unified } from 'unified'
import { VFile } from 'vfile'
import type { Finding } from './proofing.protocol'

/** The two parts of a dictionary, as text. */
export interface Dictionary {
  readonly aff: string
  readonly dic: string
}
// it asks for bytes, and makes text of them in a way that only Node's have
interface AsBytes {
  readonly aff: Uint8Array
  readonly dic: Uint8Array
}

const KINDS: Readonly<Record<string, Finding['kind']>> = {
  'retext-spell': 'spelling',
  'retext-repeated-words': 'twice',
  'retext-indefinite-article': 'article',
}
const MOST_INSTEAD = 4

/**
 * Looks through an English text: words that no dictionary knows, words twice in a row, 'a' where it is 'an'.
 * @param known texts whose words are right whatever the dictionary says: the task, and what is expected.
 */
export async function proofread(
  text: string,
  known: readonly string[],
  dictionary: Dictionary,
): Promise<readonly Finding[]> {
  const personal = known.flatMap((text) => text.match(/[\p{L}'’-]+/gu) ?? []).join('\n')
  const looks = unified()
    .use(retextEnglish)
    .use(retextSpell, { dictionary: dictionary as unknown as AsBytes, max: 60, personal })
    .use(retextRepeatedWords)
    .use(retextIndefiniteArticle)
  const file = new VFile(text)
  await looks.run(looks.parse(file), file)
  return file.messages
    .flatMap((message): readonly Finding[] => {
      const kind = KINDS[message.source ?? '']
      const { place, expected } = message
      if (!kind || !place || !('start' in place)) return []
      const [start, end] = [place.start.offset, place.end.offset]
      if (start === undefined || end === undefined) return []
      return [{ start, end, kind, instead: (expected ?? []).slice(0, MOST_INSTEAD) }]
    })
    .sort((a, b) => a.start - b.start)
}
