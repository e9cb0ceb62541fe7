import { placeOf, folderOf } from '../books/path'
import type { Shortfall } from '../types'
import { allOf, firstOf, isElement } from '../xml'
import type { Xml } from '../xml'
import { markdownOf } from './text'

/** A question as a test names it. */
export interface TestRef {
  readonly path: string
  /** By what its points are multiplied. */
  readonly weight: number
}
export interface TestReading {
  readonly title: string
  /** Instructions and the titles of sections, as the test gives them. */
  readonly content: string
  readonly minutes: number | null
  readonly refs: readonly TestRef[]
  readonly short: readonly Shortfall[]
}

/** Reads a test: its questions in order with their weights, what is said before them, and how it is to be worked. */
export function readTest(test: Xml, path: string): TestReading {
  const refs = allOf(test, 'assessmentitemref').map((ref) => ({
    path: placeOf(folderOf(path), ref.attributes.href ?? '').path,
    weight: weightOf(ref),
  }))
  const seconds = Number(
    test.children.filter(isElement).find((c) => c.name === 'timelimits')?.attributes.maxtime,
  )
  const minutes = seconds > 0 ? Math.min(300, Math.max(1, Math.ceil(seconds / 60))) : null
  const tries = Number(firstOf(test, 'itemsessioncontrol')?.attributes.maxattempts)
  const drawn = allOf(test, 'selection').map((s) => Number(s.attributes.select))
  const short: Shortfall[] = []
  if (minutes !== null) short.push({ code: 'set-when-assigned', what: 'minutes', count: minutes })
  if (tries > 0) short.push({ code: 'set-when-assigned', what: 'tries', count: tries })
  const count = drawn.filter((n) => n > 0).reduce((a, b) => a + b, 0)
  if (count > 0) short.push({ code: 'set-when-assigned', what: 'questions', count })
  return { title: test.attributes.title ?? '', content: contentOf(test), minutes, refs, short }
}

/** One weight, or the first that is stated: how several are used stands in rules that are not read. */
function weightOf(ref: Xml): number {
  const value = Number(firstOf(ref, 'weight')?.attributes.value)
  return value > 0 && value <= 100 ? value : 1
}

function contentOf(test: Xml): string {
  const sections = allOf(test, 'assessmentsection')
  const isOne = sections.length <= 1
  const ownBlocks = (of: Xml) => of.children.filter(isElement).filter(isForLearners)
  const parts = allOf(test, 'testpart')
  const before = [test, ...parts].flatMap(ownBlocks).map(markdownOf)
  const said = sections.flatMap((section) => {
    const { title = '', visible } = section.attributes
    const heading = isOne || visible === 'false' || title === '' ? [] : [`## ${title}`]
    const blocks = ownBlocks(section).map(markdownOf)
    return [...heading, ...blocks]
  })
  return [...before, ...said].filter((text) => text !== '').join('\n\n')
}

function isForLearners({ name, attributes }: Xml): boolean {
  return name === 'rubricblock' && (attributes.view ?? 'candidate').split(/\s+/).includes('candidate')
}
