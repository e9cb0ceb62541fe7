import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { asId, isoDay, mustBeOk } from '#core/base'
import type { ClassId, PageId, PieceId } from '#core/base'
import type { Learner } from '#core/access'
import { MADE, NO_MATERIAL, addressOf } from '#core/library'
import { NO_WINDOW } from '#core/availability'
import { NO_ABOUT } from '#core/work'
import { learnersOf } from '#db/repositories'
import type { Deps } from '#usecases/ground/deps'
import { handFile } from '#usecases/learning/handFiles'
import { handIn, startTry } from '#usecases/learning/tries'
import { keepFile } from '#usecases/library/files'
import { makePiece } from '#usecases/library/shelf'
import { mailNotices } from '#usecases/notices/mailNotices'
import { assign } from '#usecases/work/assign'
import { READY_RULES } from '#core/attempts'
import type { DemoSchool } from './demo'

const picture = (name: string) => ({
  name,
  base64: readFileSync(fileURLToPath(new URL(`./content/pictures/${name}`, import.meta.url))).toString(
    'base64',
  ),
})
const notes = (name: string, text: string) => ({ name, base64: Buffer.from(text).toString('base64') })

const WHAT_IT_SHOWS = 'A boat with six blocks in a tank: its weight pulls it down, the water pushes it up'

/** What learners of 7 E have handed in so far, by their place on the roster. */
const HANDED = [
  [2, picture('boat-first.png')],
  [2, notes('boat-first.txt', '3 blocks. Then water came in at the left corner.\n')],
  [5, picture('boat-second.png')],
  [9, notes('trials.csv', 'trial,blocks\n1,5\n2,7\n3,8\n')],
] as const
/** Who has said that it is finished, and what they wrote of it; the second leaves it to the picture. */
const FINISHED = [
  [2, 'My boat carried three blocks. I made the sides higher, since water came in at the left corner.'],
  [5, ''],
] as const

/** A project of the teacher's own with a picture, given to one class, and the first files that came back. */
export async function buildBoats(deps: Deps, { teacher, classes }: DemoSchool): Promise<void> {
  const figure = mustBeOk(await keepFile(deps, teacher, picture('boat.png')), 'picture')
  const { resourceId } = mustBeOk(
    await makePiece(deps, teacher, {
      title: 'A boat of foil',
      code: 'ourboat',
      kind: 'project',
      role: 'core',
      minutes: 45,
      grade: 7,
      language: 'en',
      readingLevel: 6,
      standards: ['TH.7.M.2', 'TH.P.1'],
      material: {
        ...NO_MATERIAL,
        rubric: [
          { name: 'The boat', points: 4, about: 'It carries at least eight blocks for a minute.' },
          { name: 'Trials', points: 4, about: 'One thing is changed from trial to trial, and noted.' },
        ],
      },
      content:
        'Build a boat from one sheet of foil. How many blocks does it carry before it sinks?\n\n' +
        `![${WHAT_IT_SHOWS}](${addressOf(figure.id)})\n\n` +
        'Change one thing at a time. Hand in a photograph of your best boat and what you noted.',
      items: [],
    }),
    'project',
  )
  const classId = classes.get('7E') as ClassId
  const pieceId = asId<PieceId>('p1')
  const { assignmentId } = mustBeOk(
    await assign(deps, teacher, {
      draft: {
        pieces: [
          {
            id: pieceId,
            resourceId,
            revision: 1,
            when: 'in',
            handIn: 'alone',
            leastMinutes: 0,
            window: {},
            rules: {},
          },
        ],
        title: 'A boat of foil',
        note: '',
        about: { ...NO_ABOUT, category: 'Projects' },
        isFirst: false,
        inTurn: false,
        newcomers: true,
        teams: [],
        window: { ...NO_WINDOW, due: { kind: 'day', on: isoDay('2026-11-06') } },
        rules: READY_RULES.text,
        targets: [{ target: { kind: 'class', classId }, overrides: {} }],
        exceptIds: [],
        overCeiling: [],
      },
      publish: true,
    }),
    'boats',
  )
  const learners = (await learnersOf(deps.store.read, [classId])).get(classId) ?? []
  for (const [at, file] of HANDED) {
    const learner = learners[at]
    if (!learner) throw new Error('the class is too small')
    const { schoolId } = teacher
    const actor: Learner = { userId: learner.id, schoolId, role: 'learner', office: false }
    mustBeOk(await handFile(deps, actor, { assignmentId, pieceId, ...file }), file.name)
  }
  for (const [at, text] of FINISHED) {
    const { schoolId } = teacher
    const userId = (learners[at] as (typeof learners)[number]).id
    const actor: Learner = { userId, schoolId, role: 'learner', office: false }
    const { attemptId } = mustBeOk(await startTry(deps, actor, { assignmentId, pieceId }), 'start')
    const answer = { kind: 'extended' as const, text }
    const saves =
      text === '' ? [] : [{ itemId: MADE, answer, from: 0, writer: asId<PageId>('demo'), edit: 1 }]
    mustBeOk(await handIn(deps, actor, { attemptId, saves }), 'hand in')
  }
  // they were told at once: a server that starts has nothing to catch up on
  while ((await mailNotices(deps)) > 0);
}
