import { element } from '../xml'

/** Sets what is earned. */
export function setScore(expression: string): string {
  return element('qti-set-outcome-value', { identifier: 'SCORE' }, expression)
}
/** So many points more than there are. */
export function moreScore(points: number): string {
  const variable = element('qti-variable', { identifier: 'SCORE' })
  return setScore(
    element('qti-sum', {}, variable, element('qti-base-value', { 'base-type': 'float' }, String(points))),
  )
}
/** Does something when a number is as near as it has to be to what is right. */
export function whenNear(id: string, tolerance: number, then: string, otherwise = ''): string {
  const of = { 'tolerance-mode': 'absolute', tolerance: `${tolerance} ${tolerance}` }
  const [given, right] = [
    element('qti-variable', { identifier: id }),
    element('qti-correct', { identifier: id }),
  ]
  const when = element('qti-response-if', {}, element('qti-equal', of, given, right), then)
  return element(
    'qti-response-condition',
    {},
    when,
    otherwise === '' ? '' : element('qti-response-else', {}, otherwise),
  )
}

/** Each pair of steps that follow one another as they should earns its part, wherever the pair stands. */
export function byNeighbours(right: readonly string[], points: number): string {
  const share = points / (right.length - 1)
  const isAt = (place: number, id: string) =>
    element(
      'qti-match',
      {},
      element('qti-index', { n: place }, element('qti-variable', { identifier: 'RESPONSE' })),
      element('qti-base-value', { 'base-type': 'identifier' }, id),
    )
  const more = moreScore(share)
  const conditions = right.slice(1).map((next, i) => {
    const places = right
      .slice(1)
      .map((_, at) => element('qti-and', {}, isAt(at + 1, right[i] ?? ''), isAt(at + 2, next)))
    return element(
      'qti-response-condition',
      {},
      element('qti-response-if', {}, element('qti-or', {}, ...places), more),
    )
  })
  return element('qti-response-processing', {}, ...conditions)
}

export function withinTolerance(tolerance: number, points: number): string {
  const score = (of: number) => setScore(element('qti-base-value', { 'base-type': 'float' }, String(of)))
  return element('qti-response-processing', {}, whenNear('RESPONSE', tolerance, score(points), score(0)))
}
