import type { Item } from '../../../library'
import { element } from '../xml'
import { partsOf, rubric, value } from './printParts'
import { identifierOf, paragraph } from './text'

const SCHEMA = 'http://www.imsglobal.org/xsd/imsqtiasi_v3p0'

/**
 * An item as QTI 3.0 (an assessment item in XML). What the format has no place for (feedback whatever was answered,
 * a hint, a guide for who scores) stands where it comes nearest: modal feedback and rubric blocks.
 */
export function printQtiItem(item: Item): string {
  const { responses, body, scoring } = partsOf(item)
  const hint = item.hint === '' ? '' : rubric('candidate', 'hint', item.hint)
  const feedback =
    item.feedback === ''
      ? ''
      : element(
          'qti-modal-feedback',
          { 'outcome-identifier': 'FEEDBACK', identifier: 'general', 'show-hide': 'show' },
          element('qti-content-body', {}, paragraph(item.feedback)),
        )
  return `<?xml version="1.0" encoding="UTF-8"?>\n${element(
    'qti-assessment-item',
    {
      xmlns: SCHEMA,
      identifier: identifierOf(item.id),
      title: item.id,
      adaptive: 'false',
      'time-dependent': 'false',
      'xml:lang': 'en',
    },
    responses,
    outcome(item),
    item.feedback === '' ? '' : feedbackOutcome(),
    element('qti-item-body', {}, hint, body),
    scoring,
    feedback,
  )}\n`
}

function outcome(item: Item): string {
  return element('qti-outcome-declaration', {
    identifier: 'SCORE',
    cardinality: 'single',
    'base-type': 'float',
    'normal-maximum': item.points,
    'external-scored': item.kind === 'extended' ? 'human' : null,
  })
}

function feedbackOutcome(): string {
  return element(
    'qti-outcome-declaration',
    { identifier: 'FEEDBACK', cardinality: 'single', 'base-type': 'identifier' },
    element('qti-default-value', {}, value('general')),
  )
}
