import { describe, expect, it } from 'vitest'
import { mustBeOk } from '#core/base'
import type { Teacher } from '#core/access'
import type { SearchOrder, ShelfFilter } from '#core/library'
import { openStore } from '#db/client'
import { changePiece } from '#usecases/library/changePiece'
import { dropPiece, sharePiece } from '#usecases/library/ownPieces'
import { searchShelf } from '#usecases/library/searchShelf'
import { lookInside, makePiece } from '#usecases/library/shelf'
import { PLAIN_PIECE, piecesOf, single } from '../support/made'
import { MIGRATIONS, aColleague, aSchool, publish } from '../support/world'
import type { TestSchool } from '../support/world'

const piece = (part: { readonly title: string; readonly content?: string; readonly code?: string }) =>
  ({ ...PLAIN_PIECE, kind: 'check', role: 'core', minutes: 10, grade: 8, code: '', ...part }) as const
const make = async (
  school: TestSchool,
  part: Parameters<typeof piece>[0],
  stem = 'Which?',
  standard = 'TH.8.W.3',
) =>
  mustBeOk(
    await makePiece(school.deps, school.teacher, {
      ...piece(part),
      items: [{ ...single('1'), stem, standard }],
    }),
    'make',
  ).resourceId

const search = async (
  school: TestSchool,
  text: string,
  { filter = {}, order = 'fit', who = school.teacher }: Asked = {},
) => mustBeOk(await searchShelf(school.deps, who, { text, filter, order }), 'search')
interface Asked {
  readonly filter?: ShelfFilter
  readonly order?: SearchOrder
  readonly who?: Teacher
}
const titles = async (school: TestSchool, text: string, asked: Asked = {}) =>
  (await search(school, text, asked)).pieces.map((p) => p.piece.title)

describe('a search of the shelf', () => {
  it('puts a whole code before codes that begin with it', async () => {
    const school = await aSchool()
    await make(school, { title: 'Ten tens' }, 'TH.8.W.10?', 'TH.8.W.10')
    await make(school, { title: 'One' }, 'Which?', 'TH.8.W.1')
    expect(await titles(school, '8.W.1')).toEqual(['One', 'Ten tens'])
    expect(await titles(school, 'TH.8.W.10')).toEqual(['Ten tens'])
    expect(await titles(school, '8.W.1 -"')).toEqual(['One', 'Ten tens'])
  })

  it('finds beginnings of words in title, text, questions, code and standard, without accents', async () => {
    const school = await aSchool()
    await make(school, {
      title: 'Émissions of a star',
      content: 'How far **starlight** goes.',
      code: 'sta101',
    })
    await make(school, { title: 'Pendulum' }, 'What is the amplitude of this swing?', 'TH.8.M.1')
    expect(await titles(school, 'emission')).toEqual(['Émissions of a star'])
    expect(await titles(school, 'STARL')).toEqual(['Émissions of a star'])
    expect(await titles(school, 'ampli')).toEqual(['Pendulum'])
    expect(await titles(school, 'sta10')).toEqual(['Émissions of a star'])
    expect(await titles(school, '8.M')).toEqual(['Pendulum'])
    expect(await titles(school, 'TH.8.W')).toEqual(['Émissions of a star'])
    // all words, each somewhere
    expect(await titles(school, 'star 8.w far')).toEqual(['Émissions of a star'])
    expect(await titles(school, 'star pendulum')).toEqual([])
  })

  it('puts a hit in the title before one in the text, or goes by title, or by length', async () => {
    const school = await aSchool()
    await make(school, { title: 'Zones', content: 'A quartz clock.' })
    await make(school, { title: 'Quartz' })
    expect(await titles(school, 'quartz')).toEqual(['Quartz', 'Zones'])
    expect(await titles(school, 'quartz', { order: 'title' })).toEqual(['Quartz', 'Zones'])
    expect((await search(school, '', { order: 'shortest' })).total).toBeGreaterThanOrEqual(2)
  })

  it('puts the piece first whose whole short code was typed', async () => {
    const school = await aSchool()
    await make(school, { title: 'A first one', code: 'sta101b' })
    await make(school, { title: 'The one itself', code: 'sta101' })
    expect(await titles(school, 'STA101')).toEqual(['The one itself', 'A first one'])
    expect(await titles(school, 'sta101', { order: 'title' })).toEqual(['A first one', 'The one itself'])
  })

  it('takes signs that mean something to the database as words or as nothing', async () => {
    const school = await aSchool()
    await make(school, { title: 'Near and far' })
    for (const text of [
      '"near',
      'near*',
      "near'",
      'near -- ',
      'near)',
      'NEAR(',
      'title:near',
      '^near',
      'near OR',
    ])
      expect((await search(school, text)).total, text).toBeLessThanOrEqual(1)
    expect(await titles(school, '"near" "far"')).toEqual(['Near and far'])
    expect((await search(school, '*** " ( )')).total).toBe((await search(school, '')).total)
  })

  it('counts what can narrow it, and narrows', async () => {
    const school = await aSchool()
    await make(school, { title: 'Quartz one' })
    await make(school, { title: 'Quartz two' })
    const all = await search(school, 'quartz')
    expect(all.facets.kind).toEqual([{ value: 'check', count: 2 }])
    expect(all.facets.source).toEqual([{ value: 'own', count: 2 }])
    expect((await search(school, 'quartz', { filter: { grade: ['7'] } })).total).toBe(0)
    expect((await search(school, 'quartz', { filter: { grade: ['8'], length: ['to-10'] } })).total).toBe(2)
    // a value that there is not finds nothing, and is no fault
    expect((await search(school, 'quartz', { filter: { kind: ['nothing'] } })).total).toBe(0)
  })

  it('follows a piece that is changed, and says which classes had it', async () => {
    const school = await aSchool()
    const id = await make(school, { title: 'Quartz' })
    await publish(school, { pieces: piecesOf(id) })
    const [found] = (await search(school, 'quartz')).pieces
    expect(found?.hadBy).toHaveLength(2)
    const { resource, revision } = mustBeOk(await lookInside(school.deps, school.teacher, id), 'inside')
    const { id: _, ...written } = resource
    mustBeOk(
      await changePiece(school.deps, school.teacher, {
        resourceId: id,
        revision,
        piece: { ...written, title: 'Felspar' },
      }),
      'change',
    )
    expect([await titles(school, 'quartz'), await titles(school, 'fels')]).toEqual([[], ['Felspar']])
  })

  it('shows own pieces to their school once they are shared, and nothing to learners', async () => {
    const school = await aSchool()
    const resourceId = await make(school, { title: 'Quartz' })
    const who = await aColleague(school)
    expect(await titles(school, 'quartz', { who })).toEqual([])
    const share = (isShared: boolean) => sharePiece(school.deps, school.teacher, { resourceId, isShared })
    mustBeOk(await share(true), 'share')
    expect(await titles(school, 'quartz', { who })).toEqual(['Quartz'])
    expect((await search(school, 'quartz', { who })).facets.source).toEqual([{ value: 'school', count: 1 }])
    mustBeOk(await share(false), 'take back')
    expect(await titles(school, 'quartz', { who })).toEqual([])
    mustBeOk(await share(true), 'share')
    expect(await titles(school, 'quartz', { who: school.stranger })).toEqual([])
  })
})

describe('what another server has changed', () => {
  it('is found at once, in its new form and no other, and gone when it is gone', async () => {
    const school = await aSchool()
    const { deps, teacher } = school
    const id = await make(school, { title: 'Tides' })
    const store = await openStore({ url: school.file, migrationsFolder: MIGRATIONS })
    const other = { ...school, deps: { ...deps, store } }
    expect(await titles(school, 'tid')).toEqual(['Tides'])
    expect(await titles(other, 'tid')).toEqual(['Tides'])
    const { revision, resource } = mustBeOk(await lookInside(deps, teacher, id), 'look')
    mustBeOk(
      await changePiece(other.deps, teacher, {
        resourceId: id,
        revision,
        piece: { ...resource, title: 'Ebb and flood' },
      }),
      'change',
    )
    await make(other, { title: 'Tidal pools' })
    expect(await titles(school, 'tid')).toEqual(['Tidal pools'])
    expect(await titles(school, 'ebb')).toEqual(['Ebb and flood'])
    mustBeOk(await dropPiece(other.deps, teacher, id), 'drop')
    expect(await titles(school, 'ebb')).toEqual([])
    expect((await search(school, '')).total).toBe((await search(other, '')).total)
    store.close()
  })
})
