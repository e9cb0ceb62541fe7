import { RegExpParser } from '@eslint-community/regexpp'
import type { AST } from '@eslint-community/regexpp'

/** Whether the rest matches from a position; counts as it goes. */
type Step = (at: number) => boolean
/** How far into the text a matching got, and where each group stood. */
interface Run {
  readonly text: string
  steps: number
  readonly groups: Map<AST.CapturingGroup, string>
}

/**
 * The steps that a backtracking matcher takes to find all matches of a pattern in a text, as `replace` and `matchAll`
 * with the flag `g` do: every element looked at is a step.
 */
export function stepsOf(pattern: RegExp, text: string): number {
  const { pattern: root } = new RegExpParser().parseLiteral(String(pattern))
  const run: Run = { text, steps: 0, groups: new Map() }
  let end = 0
  const match = oneOf(run, pattern.flags, root.alternatives, (at) => {
    end = at
    return true
  })
  for (let at = 0; at <= text.length;) at = match(at) ? Math.max(end, at + 1) : at + 1
  return run.steps
}

function oneOf(run: Run, flags: string, alternatives: readonly AST.Alternative[], next: Step): Step {
  const ways = alternatives.map(({ elements }) =>
    elements.reduceRight((then, element) => stepFor(run, flags, element, then), next),
  )
  return (at) => ways.some((way) => way(at))
}

function stepFor(run: Run, flags: string, element: AST.Element, next: Step): Step {
  const counted: Step = (at) => {
    run.steps++
    return step(at)
  }
  const step = plainStep(run, flags, element, next)
  return counted
}

function plainStep(run: Run, flags: string, element: AST.Element, next: Step): Step {
  switch (element.type) {
    case 'Character':
    case 'CharacterSet':
    case 'CharacterClass': {
      const isIt = letterTest(element.raw, flags)
      return (at) => at < run.text.length && isIt(run.text.charAt(at)) && next(at + 1)
    }
    case 'Group':
      return oneOf(run, flags, element.alternatives, next)
    case 'CapturingGroup':
      return groupStep(run, flags, element, next)
    case 'Backreference':
      return (at) => {
        const group = [element.resolved].flat()[0]
        const was = (group && run.groups.get(group)) ?? ''
        return run.text.startsWith(was, at) && next(at + was.length)
      }
    case 'Quantifier':
      return quantified(run, flags, element, next)
    case 'Assertion':
      return assertion(run, flags, element, next)
    case 'ExpressionCharacterClass':
      throw new Error('no pattern here has sets of letters in each other')
  }
}

function groupStep(run: Run, flags: string, group: AST.CapturingGroup, next: Step): Step {
  let begin = 0
  const within = oneOf(run, flags, group.alternatives, (at) => {
    run.groups.set(group, run.text.slice(begin, at))
    return next(at)
  })
  return (at) => {
    begin = at
    return within(at)
  }
}

function quantified(
  run: Run,
  flags: string,
  { element, min, max, greedy }: AST.Quantifier,
  next: Step,
): Step {
  const isLetter =
    element.type === 'Character' || element.type === 'CharacterSet' || element.type === 'CharacterClass'
  if (isLetter) {
    const isIt = letterTest(element.raw, flags)
    return greedy ? greedyLetters(run, isIt, min, max, next) : lazyLetters(run, isIt, min, max, next)
  }
  const again = (count: number): Step => {
    const once = (at: number): Step =>
      stepFor(run, flags, element as AST.Element, (end) => (end > at || count < min) && again(count + 1)(end))
    return (at) => {
      const more = () => count < max && once(at)(at)
      if (count < min) return more()
      return greedy ? more() || next(at) : next(at) || more()
    }
  }
  return again(0)
}

function greedyLetters(
  run: Run,
  isIt: (letter: string) => boolean,
  min: number,
  max: number,
  next: Step,
): Step {
  return (from) => {
    let at = from
    while (at < run.text.length && at - from < max && isIt(run.text.charAt(at))) {
      run.steps++
      at++
    }
    for (; at - from >= min; at--) {
      run.steps++
      if (next(at)) return true
    }
    return false
  }
}

function lazyLetters(
  run: Run,
  isIt: (letter: string) => boolean,
  min: number,
  max: number,
  next: Step,
): Step {
  return (from) => {
    for (let at = from; at - from <= max; at++) {
      run.steps++
      if (at - from >= min && next(at)) return true
      if (at >= run.text.length || !isIt(run.text.charAt(at))) return false
    }
    return false
  }
}

function assertion(run: Run, flags: string, of: AST.Assertion, next: Step): Step {
  if (of.kind === 'start')
    return (at) => (at === 0 || (flags.includes('m') && run.text.charAt(at - 1) === '\n')) && next(at)
  if (of.kind === 'end')
    return (at) =>
      (at === run.text.length || (flags.includes('m') && run.text.charAt(at) === '\n')) && next(at)
  if (of.kind === 'word') {
    const isWord = (at: number) => /\w/.test(run.text.charAt(at))
    return (at) => (isWord(at - 1) !== isWord(at)) !== of.negate && next(at)
  }
  if (of.kind === 'lookahead') {
    const within = oneOf(run, flags, of.alternatives, () => true)
    return (at) => within(at) !== of.negate && next(at)
  }
  // looked at as a whole, from as far back as it may reach
  const behind = new RegExp(`${of.raw}`, flags.replace(/[gy]/g, '') + 'y')
  return (at) => {
    behind.lastIndex = at
    return behind.test(run.text) && next(at)
  }
}

const tests = new Map<string, (letter: string) => boolean>()
function letterTest(raw: string, flags: string): (letter: string) => boolean {
  const key = `${flags}/${raw}`
  const known = tests.get(key)
  if (known) return known
  const pattern = new RegExp(`^${raw}$`, flags.replace(/[gym]/g, ''))
  const answers = new Map<string, boolean>()
  const test = (letter: string) => {
    const answer = answers.get(letter) ?? pattern.test(letter)
    answers.set(letter, answer)
    return answer
  }
  tests.set(key, test)
  return test
}

/** Short texts in the shape of a pattern: a letter for each element, as often as is asked at least, or once. */
export function shapesOf(pattern: RegExp): readonly string[] {
  const { pattern: root } = new RegExpParser().parseLiteral(String(pattern))
  const letters = [...'![](*a_`x1 ,."\'-<>:/\\$#|=;+%&\n\t{}^~@é']
  const letterFor = (raw: string) => letters.filter(letterTest(raw, pattern.flags))
  const shapes = new Set<string>()
  const walk = (alternative: AST.Alternative, before: string): string =>
    alternative.elements.reduce((text, element) => {
      const more = shapeOf(element)
      if (more !== '') shapes.add(text + more)
      return text + more
    }, before)
  const shapeOf = (element: AST.Element): string => {
    if (element.type === 'Quantifier') return shapeOf(element.element).repeat(Math.max(1, element.min))
    if (element.type === 'Group' || element.type === 'CapturingGroup') {
      const [first] = element.alternatives.map((alternative) => walk(alternative, ''))
      return first ?? ''
    }
    if (element.type === 'Character')
      return element.raw.length === 1 ? element.raw : (letterFor(element.raw)[0] ?? '')
    if (element.type === 'CharacterSet' || element.type === 'CharacterClass')
      return letterFor(element.raw).find((letter) => /[a1 ]/.test(letter)) ?? letterFor(element.raw)[0] ?? ''
    return ''
  }
  for (const alternative of root.alternatives) walk(alternative, '')
  return [...shapes]
}
