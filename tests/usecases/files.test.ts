import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import type { FileId } from '#core/base'
import type { Learner } from '#core/access'
import { MOST_FILES, NO_MATERIAL, addressOf } from '#core/library'
import type { KeptFile, Resource } from '#core/library'
import { showItems } from '#usecases/evidence/evidence'
import { handFile, takeFileBack } from '#usecases/learning/handFiles'
import { showMyPiece } from '#usecases/learning/myPiece'
import { changePiece } from '#usecases/library/changePiece'
import { keepFile, showFile } from '#usecases/library/files'
import { lookInside, makePiece } from '#usecases/library/shelf'
import { A_DOCUMENT, A_PICTURE, sent } from '../support/keptFiles'
import { P1, aCheck, at, piecesOf } from '../support/made'
import { aColleague, aLearner, aSchool, publish, through } from '../support/world'
import type { TestSchool } from '../support/world'

const DOT = { name: 'dot.png', base64: A_PICTURE }
const PDF = sent('sheet.pdf', '%PDF-1.7\n%%EOF')

async function ownPiece({ deps, teacher }: TestSchool, part: Partial<Resource> & Pick<Resource, 'kind'>) {
  return makePiece(deps, teacher, { ...aCheck([]), code: '', ...part })
}
const kept = async ({ deps, teacher }: TestSchool, file = DOT): Promise<KeptFile> =>
  mustBeOk(await keepFile(deps, teacher, file), 'keep')

describe('a file that is kept', () => {
  it('is told by its content, not by its name', async () => {
    const { deps, teacher } = await aSchool()
    const sortOf = async (file: typeof DOT) => {
      const reply = await keepFile(deps, teacher, file)
      return reply.ok ? `${reply.value.sort} ${reply.value.type}` : reply.error.code
    }
    const asked = [
      DOT,
      { ...DOT, name: 'C:\\pictures\\dot.pdf' },
      PDF,
      sent('plan.odt', A_DOCUMENT),
      sent('notes.txt', 'Naïve notes'),
      sent('page.png', '<html><script>steal()</script>'),
      sent('drawing.svg', '<svg xmlns="http://www.w3.org/2000/svg"><script>steal()</script></svg>'),
      sent('run.txt', Uint8Array.of(0x4d, 0x5a, 0x90, 0, 3, 0)),
      sent('empty.txt', ''),
    ]
    expect(await Promise.all(asked.map(sortOf))).toEqual([
      'picture image/png',
      'picture image/png',
      'document application/pdf',
      'document application/vnd.oasis.opendocument.text',
      'text text/plain; charset=utf-8',
      'library/unknown-file',
      'library/unknown-file',
      'library/unknown-file',
      'library/unknown-file',
    ])
    expect((await kept(await aSchool(), { ...DOT, name: '../../a"b.png' })).name).toBe('ab.png')
  })

  it('is seen by its school and by nobody else', async () => {
    const school = await aSchool()
    const { deps, ann, stranger } = school
    const file = await kept(school)
    const colleague = await aColleague(school)
    // whoever knows the id of what is part of nothing yet has guessed it, or was told
    for (const who of [colleague, ann, stranger])
      expect((await showFile(deps, who, file.id)).error?.code).toBe('access/not-found')
    expect((await showFile(deps, school.teacher, file.id)).ok).toBe(true)
    const theirs = { kind: 'file' as const, material: { ...NO_MATERIAL, files: [file] } }
    expect((await ownPiece({ ...school, teacher: colleague }, theirs)).error?.code).toBe(
      'library/unknown-file',
    )
    mustBeOk(await ownPiece(school, theirs), 'made')
    for (const who of [school.teacher, colleague, ann])
      expect(mustBeOk(await showFile(deps, who, file.id), 'see').bytes).toHaveLength(file.size)
    expect((await showFile(deps, stranger, file.id)).error?.code).toBe('access/not-found')
  })

  it('belongs to pieces, as it is kept and not as it was said to be', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    expect((await ownPiece(school, { kind: 'file' })).error?.code).toBe('library/no-file')
    const file = await kept(school, PDF)
    const said = { ...file, name: 'other.exe', type: 'text/html', size: 1 }
    const made = await ownPiece(school, { kind: 'file', material: { ...NO_MATERIAL, files: [said] } })
    const { resourceId } = mustBeOk(made, 'make')
    const inside = mustBeOk(await lookInside(deps, teacher, resourceId), 'look')
    expect(inside.resource.material.files).toEqual([file])
    const unknown = { ...file, id: 'nobody' as FileId }
    const change = await changePiece(deps, teacher, {
      resourceId,
      revision: inside.revision,
      piece: { ...inside.resource, material: { ...NO_MATERIAL, files: [unknown] } },
    })
    expect(change.error).toMatchObject({ code: 'library/unknown-file', name: 'sheet.pdf' })
  })

  it('is a picture in a text only with words, and only if it is one', async () => {
    const school = await aSchool()
    const picture = addressOf((await kept(school)).id)
    const sheet = addressOf((await kept(school, PDF)).id)
    const codeOf = async (content: string) =>
      (await ownPiece(school, { kind: 'reading', content })).error?.code
    expect(await codeOf(`![a dot](${picture})`)).toBeUndefined()
    expect(await codeOf(`![ ](${picture})`)).toBe('library/silent-picture')
    expect(await codeOf(`![a sheet](${sheet})`)).toBe('library/unknown-file')
    expect(await codeOf(`![nothing](${addressOf('none' as FileId)})`)).toBe('library/unknown-file')
  })
})

/** A project of the class that is open until 30 September; Ann and Ben work at it together. */
async function aProject(isTogether = false) {
  const school = await aSchool()
  const { resourceId } = mustBeOk(await ownPiece(school, { kind: 'project', content: 'Build it.' }), 'make')
  const handIn = isTogether ? ('together' as const) : ('alone' as const)
  const id = await publish(school, {
    pieces: piecesOf(resourceId).map((p) => ({ ...p, handIn })),
    ...(isTogether ? { teams: [[school.ann.userId, school.ben.userId]] } : {}),
    window: {
      listed: null,
      opens: null,
      due: through('2026-09-30'),
      closes: through('2026-09-30'),
      putAway: null,
    },
  })
  const of = { assignmentId: id, pieceId: P1 }
  const files = async (who: Learner) => mustBeOk(await showMyPiece(school.deps, who, of), 'piece').files
  return { school, of, files }
}

describe('a file that is handed in', () => {
  it('is the learner’s to take back, and the teacher’s to see, and nobody else’s', async () => {
    const { school, of, files } = await aProject()
    const { deps, ann, ben, teacher, stranger, a } = school
    expect(await files(ann)).toEqual([])
    const handed = mustBeOk(await handFile(deps, ann, { ...of, ...DOT }), 'hand').files
    expect(handed).toMatchObject([{ name: 'dot.png', sort: 'picture', by: null }])
    expect(await files(ben)).toEqual([])
    const id = handed[0]?.id as FileId
    const seen = mustBeOk(await showItems(deps, teacher, { ...of, classId: a.classId }), 'items').files
    expect(seen).toMatchObject([{ id, name: 'dot.png', learnerId: ann.userId, learnerName: 'Ann Ash' }])
    const ofOther = mustBeOk(await showItems(deps, teacher, { ...of, classId: school.b.classId }), 'items')
    expect(ofOther.files).toEqual([])
    const codes = await Promise.all(
      [ann, teacher, ben, await aColleague(school), stranger].map(
        async (who) => (await showFile(deps, who, id)).error?.code ?? 'seen',
      ),
    )
    expect(codes).toEqual(['seen', 'seen', 'access/not-found', 'access/not-found', 'access/not-found'])
    // nor does anybody make it part of a piece, where the whole school would see it
    const content = `![a dot](${addressOf(id)})`
    for (const material of [NO_MATERIAL, { ...NO_MATERIAL, files: handed }])
      expect(
        (await ownPiece(school, { kind: 'file', content, material: material as never })).error?.code,
      ).toMatch(/unknown-file|no-file/)
    expect((await ownPiece(school, { kind: 'reading', content })).error?.code).toBe('library/unknown-file')
    expect((await takeFileBack(deps, ben, { ...of, fileId: id })).error?.code).toBe('access/not-found')
    mustBeOk(await takeFileBack(deps, ann, { ...of, fileId: id }), 'back')
    expect(await files(ann)).toEqual([])
    expect((await showFile(deps, teacher, id)).error?.code).toBe('access/not-found')
  })

  it('of a team is seen by all of them', async () => {
    const { school, of, files } = await aProject(true)
    const { deps, ann, ben } = school
    const dora = await aLearner(school, school.a.joinCode, 'Dora Dell')
    const [file] = mustBeOk(await handFile(deps, ann, { ...of, ...PDF }), 'hand').files
    expect(await files(ben)).toMatchObject([{ name: 'sheet.pdf', by: 'Ann Ash' }])
    expect((await showFile(deps, ben, file?.id as FileId)).ok).toBe(true)
    expect((await showFile(deps, dora, file?.id as FileId)).ok).toBe(false)
  })

  it('comes neither late, nor for work that takes none, nor without end', async () => {
    const { school, of } = await aProject()
    const { deps, ann, check } = school
    const other = { assignmentId: await publish(school, { pieces: piecesOf(check) }), pieceId: P1 }
    expect((await handFile(deps, ann, { ...other, ...DOT })).error?.code).toBe('access/not-found')
    for (let i = 0; i < MOST_FILES; i++) mustBeOk(await handFile(deps, ann, { ...of, ...DOT }), 'hand')
    expect((await handFile(deps, ann, { ...of, ...DOT })).error?.code).toBe('library/too-many-files')
    school.clock.set(at('10-02T08:00'))
    expect((await handFile(deps, ann, { ...of, ...DOT })).error?.code).toBe('attempts/closed')
  })
})
