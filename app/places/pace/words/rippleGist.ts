import type { LessonId } from '#core/base'
import type { WayShown } from '#shared/contracts/pacing'
import type { DeskColumn } from '../stores/deskColumn'
import { count, meetingsOf } from '~/shared/words/numbers'
import { sayDate } from '~/shared/words/times'

/** One short line about a way out in one class. */
export interface GistLine {
  readonly text: string
  readonly tone: 'needs' | 'care' | 'plain' | 'quiet'
}

/** The consequence of a way out for one class, in as few words as it takes: what is lost first. */
export function gist(way: WayShown, column: DeskColumn | undefined): GistLine[] {
  const { consequence: c, work } = way
  const name = (id: LessonId) => column?.lessons.get(id)?.number || column?.lessons.get(id)?.title || 'lesson'
  const lines: GistLine[] = []
  const put = (tone: GistLine['tone'], text: string) => lines.push({ tone, text })
  if (c.notFitting.length > 0)
    put(
      'needs',
      c.notFitting.length <= 2
        ? `${c.notFitting.map(name).join(', ')} no longer fit${c.notFitting.length === 1 ? 's' : ''}`
        : `${c.notFitting.length} lessons no longer fit`,
    )
  for (const f of c.fixedMoved.slice(0, 2))
    put(
      'needs',
      f.toOn
        ? `${name(f.lessonId)} fixed ${sayDate(f.fromOn)} → ${sayDate(f.toOn)}`
        : `${name(f.lessonId)} loses its date`,
    )
  const [left, shorter] = [c.cuts.filter((x) => x.to === 0), c.cuts.filter((x) => x.to > 0)]
  const how = left[0]?.left === 'not-covered' ? 'not covered' : 'left out'
  if (left.length > 0)
    put(
      'care',
      left.length <= 2
        ? `${left.map((x) => name(x.lessonId)).join(', ')} ${how}`
        : `${left.length} lessons left out`,
    )
  if (shorter.length > 0)
    put(
      'care',
      shorter.length === 1 && shorter[0]
        ? `${name(shorter[0].lessonId)} ${meetingsOf(shorter[0].from)} → ${meetingsOf(shorter[0].to)}`
        : `${shorter.length} lessons shorter`,
    )
  if (c.badDays.length > 0) put('care', `${count(c.badDays.length, 'bad day')}`)
  const movers = [
    ...(c.moved.length > 0 ? [count(c.moved.length, 'lesson')] : []),
    ...(work.length > 0 ? [`${count(work.length, 'piece')} of work`] : []),
  ]
  if (movers.length > 0)
    put('plain', `${movers.join(', ')} move${c.moved.length + work.length === 1 ? 's' : ''}`)
  if (lines.length === 0) put('quiet', 'stays as it is')
  return lines
}
