import { strToU8 } from 'fflate'
import { describe, expect, it } from 'vitest'
import { mustBeOk } from '../../../base'
import { readShelfFile } from '../index'

/** A question to be answered in a text, worth four points, with a guide for who scores it. */
const itemWith = (...lines: readonly string[]) =>
  strToU8(`<?xml version="1.0"?><qti-assessment-item xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0"
  identifier="x1" title="Waves"><qti-response-declaration identifier="R" cardinality="single" base-type="string"/>
  <qti-outcome-declaration identifier="SCORE" cardinality="single" base-type="float" normal-maximum="4"/>
  <qti-outcome-declaration identifier="MAXSCORE" cardinality="single" base-type="float">
  <qti-default-value><qti-value>4</qti-value></qti-default-value></qti-outcome-declaration>
  <qti-item-body><p>Why does light reach us, and sound not?</p><qti-extended-text-interaction response-identifier="R"/>
  <qti-rubric-block use="scoring" view="scorer"><qti-content-body>
  ${lines.map((line) => `<p>${line}</p>`).join('')}</qti-content-body></qti-rubric-block></qti-item-body>
  </qti-assessment-item>`)
const read = (...lines: readonly string[]) =>
  mustBeOk(readShelfFile('w.xml', itemWith(...lines)), 'read').pieces[0]

describe('a guide that lists points', () => {
  it('is criteria of a writing task, whichever way it names them', () => {
    const piece = read(
      'Look for:',
      'Names a medium for sound; air or water will do (2 points)',
      '2 pts: Light needs none',
    )
    expect([piece?.kind, piece?.items[0]?.points]).toEqual(['writing-task', 4])
    expect(piece?.material.rubric).toEqual([
      {
        name: 'Names a medium for sound',
        points: 2,
        about: 'Names a medium for sound; air or water will do',
      },
      { name: 'Light needs none', points: 2, about: 'Light needs none' },
    ])
    expect(piece?.items[0]).toMatchObject({ kind: 'extended' })
  })

  it.each([
    ['with other points than the question', ['Sound (2 points)', 'Light (3 points)']],
    ['with a line that says none', ['Sound (2 points)', 'Light (2 points)', 'Spelling does not count']],
    ['of one line', ['All of it (4 points)']],
    ['without points', ['Sound needs a medium', 'Light does not']],
  ])('%s stays a guide', (_, lines) => {
    const piece = read(...lines)
    expect(piece?.material.rubric).toEqual([])
    expect(piece?.items[0]).toMatchObject({ guide: lines.join('\n\n') })
  })
})
