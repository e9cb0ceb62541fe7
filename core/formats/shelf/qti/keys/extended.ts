import { allOf } from '../../xml'
import type { Xml } from '../../xml'
import { markdownOf } from '../text'
import { reading } from './keyReading'
import type { Asked, KeyReading } from './keyReading'

function countIn(text: string | undefined, most: number): number {
  return Math.min(most, Math.max(0, Math.round(Number(text) || 0)))
}

/** A text that a person scores, with all that is said to whoever does. */
export function extended(interaction: Xml, { body }: Asked): KeyReading {
  const guide = allOf(body, 'rubricblock')
    .filter((block) => block.attributes.view?.split(/\s+/).includes('scorer'))
    .map(markdownOf)
    .join('\n\n')
  const { dataleastwords, datamostwords, dataleastparagraphs } = interaction.attributes
  const of = {
    kind: 'extended',
    leastWords: countIn(dataleastwords, 5000),
    mostWords: countIn(datamostwords, 5000),
    leastParagraphs: countIn(dataleastparagraphs, 50),
    guide: guide.slice(0, 2000),
  }
  return reading(of, null, [])
}
