import { describe, expect, it } from 'vitest'
import { CARTRIDGE, EPUB, OPF, xhtmlPage, zip } from '../../../../tests/support/bookFiles'
import { mustBeOk } from '../../../base'
import { readShelfFile } from '../index'

const read = (name: string, files: Readonly<Record<string, string>>) =>
  mustBeOk(readShelfFile(name, zip(files)), name)
/** The second chapter of the book, with other words. */
const bookWith = (body: string, more: Readonly<Record<string, string>> = {}) =>
  read('snow.epub', { ...EPUB, 'OPS/text/two.xhtml': xhtmlPage(body), ...more })
const wordsOf = (body: string) => bookWith(body).pieces.at(-1)?.content
const deep = '<div>'.repeat(20_000) + 'x' + '</div>'.repeat(20_000)

describe('a page of a book', () => {
  it('leads to the other pages that were taken with it, by file and by place', () => {
    const { pieces } = bookWith(
      `<p><a href="one.xhtml">first</a>, <a href="one.xhtml#lies">how it <em>lies</em></a>,
       <a href="one%20more.xhtml">goes on</a>, <a href="../cover.xhtml#x">cover</a>,
       <a href="#x">here</a>, <a href="https://x.example/one.xhtml">out</a></p>`,
    )
    // a file that goes on with the text before it is no piece of its own
    expect(pieces.at(-1)?.content).toBe(
      '[first](taken:0), [how it *lies*](taken:1), goes on, cover, [here](taken:2), [out](https://x.example/one.xhtml)',
    )
  })

  it('keeps the caption of a table, and cells over rows and columns', () => {
    expect(
      wordsOf(
        `<table><caption>Ice by <b>month</b></caption>
         <tr><th>Month</th><th colspan="2">Depth</th></tr>
         <tr><td rowspan="2">Jan</td><td>north</td><td>12 cm</td></tr>
         <tr><td>south</td><td>4 | 5 cm</td></tr></table>`,
      ),
    ).toBe(
      [
        'Ice by **month**',
        '',
        '| Month | Depth |  |',
        '| --- | --- | --- |',
        '| Jan | north | 12 cm |',
        '| Jan | south | 4 \\| 5 cm |',
      ].join('\n'),
    )
  })

  it('names pictures where they stand, with their caption; ornaments are none', () => {
    expect(
      wordsOf(
        `<figure><img src="a.png" alt="A drift"/><figcaption>Fig. 1: a drift</figcaption></figure>
         <p>See <img src="b.png"/> and <img src="line.png" alt=""/><svg><title>Six arms</title><path d=""/></svg>.</p>`,
      ),
    ).toBe('(picture: A drift)\n\nFig. 1: a drift\n\nSee (picture) and (picture: Six arms).')
  })

  it('keeps formulas as TeX, by their own note where they have one', () => {
    expect(
      wordsOf(
        `<p>Area <math><msup><mi>a</mi><mn>2</mn></msup></math>, speed <math><semantics><mrow><mi>v</mi></mrow>
         <annotation encoding="application/x-tex">v=\\frac{s}{t}</annotation></semantics></math>.</p>`,
      ),
    ).toBe('Area $a^{2}$, speed $v=\\frac{s}{t}$.')
  })

  it('says what of it could run', () => {
    const { rows } = bookWith('<p>Ice</p><script>x()</script><iframe src="https://x.example"></iframe>')
    expect(rows.find((r) => r.what === 'Ice')?.because).toEqual([{ code: 'could-run', count: 2 }])
  })

  it('does not say its title twice, and is left out where it says nothing else', () => {
    expect(wordsOf('<h1>ICE</h1><p>Cold.</p>')).toBe('Cold.')
    expect(wordsOf('<h1>Ice, again</h1><p>Cold.</p>')).toBe('# Ice, again\n\nCold.')
    const { pieces, rows } = bookWith('<h1>Ice</h1>')
    expect(pieces).toHaveLength(2)
    expect(rows.find((r) => r.what === 'Ice')?.because).toEqual([{ code: 'no-text' }])
  })

  it('that is too deep, or missing, is left out alone', () => {
    const { pieces, rows } = bookWith(deep)
    expect(pieces).toHaveLength(2)
    const ice = rows.find((r) => r.what === 'Ice')
    expect([ice?.outcome, ice?.because]).toEqual([
      'taken-in-part',
      [{ code: 'not-readable', problem: 'OPS/text/two.xhtml' }],
    ])
    const { 'OPS/text/two.xhtml': _, ...without } = EPUB
    expect(read('s.epub', without).rows.find((r) => r.what === 'Ice')?.because).toEqual([
      { code: 'file-missing', problem: 'OPS/text/two.xhtml' },
    ])
  })
})

describe('a book', () => {
  it('names who wrote it', () => {
    const by = '</dc:title><dc:creator>Ada Finch</dc:creator><dc:creator>Jo Reed</dc:creator>'
    const found = read('s.epub', { ...EPUB, 'OPS/book.opf': OPF.replace('</dc:title>', by) })
    expect(found.book?.title).toBe('Snow and Ice (Ada Finch, Jo Reed)')
  })
})

describe('a zip of readings', () => {
  it('keeps links from one to another; of other files the words stay', () => {
    const found = read('ice.zip', {
      'b/two.md':
        '---\ntitle: Second\nminutes: 7\n---\nBack to [the first](../a%20one.md#top), [itself](#x).',
      'a one.md':
        '# First\n\nOn to [the *second*](b/two.md), a [sheet](b/s.pdf), [out](https://x.example/two.md).',
      'empty.md': ' ',
    })
    expect(found.pieces.map((p) => [p.title, p.content])).toEqual([
      ['First', 'On to [the *second*](taken:1), a sheet, [out](https://x.example/two.md).'],
      ['Second', 'Back to [the first](taken:0), [itself](taken:1).'],
    ])
    expect(found.pieces[1]?.minutes).toBe(7)
    expect(found.rows.map((r) => [r.where, r.outcome])).toEqual([
      ['a one.md', 'taken'],
      ['b/two.md', 'taken'],
      ['empty.md', 'refused'],
    ])
  })
})

/** The cartridge with other resources beside its own. */
function cartridgeWith(
  resources: string,
  items: string,
  files: Readonly<Record<string, string>>,
): Readonly<Record<string, string>> {
  const manifest = CARTRIDGE['imsmanifest.xml']
    .replace('</resources>', `${resources}</resources>`)
    .replace('<item identifier="p5"', `${items}<item identifier="p5"`)
  return { ...CARTRIDGE, 'imsmanifest.xml': manifest, ...files }
}
const itemOf = (id: string, title: string) =>
  `<item identifier="i-${id}" identifierref="${id}"><title>${title}</title></item>`
const ofPage = (id: string, within = '') =>
  `<resource identifier="${id}" type="webcontent" href="pages/${id}.html"><file href="pages/${id}.html"/>
  ${within}</resource>`

describe('a resource of a cartridge', () => {
  it('has the standards that it names', () => {
    const standards = `<metadata><csm:curriculumStandardsMetadataSet xmlns:csm="http://x.example/csm">
      <csm:curriculumStandardsMetadata providerId="p"><csm:setOfGUIDs region="r" version="1">
      <csm:labelledGUID><csm:label>PS-8.1</csm:label><csm:GUID>0a1b</csm:GUID></csm:labelledGUID>
      <csm:labelledGUID><csm:GUID>0a1c</csm:GUID></csm:labelledGUID>
      </csm:setOfGUIDs></csm:curriculumStandardsMetadata></csm:curriculumStandardsMetadataSet></metadata>`
    const found = read(
      'ice.imscc',
      cartridgeWith(ofPage('S1', standards), itemOf('S1', 'Frost'), { 'pages/S1.html': '<p>Frost</p>' }),
    )
    const frost = found.pieces.findIndex((p) => p.title === 'Frost')
    expect([found.pieces[frost]?.standards, found.lessonOf[frost]]).toEqual([['PS-8.1'], '1.4'])
    expect(found.rows.find((r) => r.what === 'Frost')?.because).toEqual([
      { code: 'not-here', name: 'standard without a code' },
    ])
  })

  it('for teachers stays out of the book that learners practise with', () => {
    const role = `<metadata><lom><educational><intendedEndUserRole><source>IMSGLC_CC_Rolesv1p2</source>
      <value>Instructor</value></intendedEndUserRole></educational></lom></metadata>`
    const found = read(
      'ice.imscc',
      cartridgeWith(ofPage('T1', role), itemOf('T1', 'Answers'), { 'pages/T1.html': '<p>42</p>' }),
    )
    const answers = found.pieces.findIndex((p) => p.title === 'Answers')
    expect(found.lessonOf[answers]).toBe(null)
    expect(found.rows.find((r) => r.what === 'Answers')?.because).toEqual([{ code: 'for-teachers' }])
  })

  it('that is an assignment is a text or a project, also in place of its page', () => {
    const xml = (formats: string) => `<assignment xmlns="http://x.example/assignment"><title>Report</title>
      <text texttype="text/html">&lt;p&gt;Write on &lt;b&gt;hail&lt;/b&gt;.&lt;/p&gt;</text>
      <instructor_text texttype="text/plain">Look for sizes.</instructor_text>
      <gradable points_possible="10">true</gradable>
      <submission_formats>${formats}</submission_formats></assignment>`
    const ofXml = (id: string) =>
      `<resource identifier="${id}" type="assignment_xmlv1p0"><file href="${id}.xml"/></resource>`
    const instead = ofPage(
      'P1',
      '<cp:variant xmlns:cp="http://x.example/cp" identifier="v" identifierref="A1"/>',
    )
    const found = read(
      'ice.imscc',
      cartridgeWith(instead + ofXml('A1') + ofXml('A2'), itemOf('P1', 'On hail') + itemOf('A2', 'A model'), {
        'pages/P1.html': '<p>Only a page</p>',
        'A1.xml': xml('<format type="text"/><format type="file"/>'),
        'A2.xml': xml('<format type="file"/>'),
      }),
    )
    const of = (title: string) => found.pieces.find((p) => p.title === title)
    expect([of('On hail')?.kind, of('On hail')?.content]).toEqual(['writing-task', 'Write on **hail**.'])
    expect(of('On hail')?.items).toMatchObject([{ kind: 'extended', points: 10, guide: 'Look for sizes.' }])
    expect([of('A model')?.kind, of('A model')?.items[0]?.stem]).toEqual(['project', 'Hand in your work.'])
    expect(found.rows.filter((r) => /^On|^A model/.test(r.what)).map((r) => r.outcome)).toEqual([
      'taken',
      'taken',
    ])
  })

  it('leads to others by the name of the package, too; a page that is too deep or missing is left out alone', () => {
    const found = read(
      'ice.imscc',
      cartridgeWith(
        ofPage('L1') + ofPage('D1') + ofPage('M1'),
        itemOf('L1', 'Links') + itemOf('D1', 'Deep') + itemOf('M1', 'Missing'),
        {
          'pages/L1.html': `<p><a href="hail.html">one</a>, <a href="$IMS-CC-FILEBASE$/pages/hail.html">same</a>,
             <a href="D1.html">no</a></p>`,
          'pages/D1.html': deep,
        },
      ),
    )
    const links = found.pieces.find((p) => p.title === 'Links')
    expect(links?.content).toBe('[one](taken:0), [same](taken:0), no')
    expect(
      found.rows.filter((r) => /Deep|Missing/.test(r.what)).map((r) => [r.outcome, r.because[0]?.code]),
    ).toEqual([
      ['refused', 'not-readable'],
      ['refused', 'file-missing'],
    ])
    expect(found.pieces.some((p) => p.title === 'About hail')).toBe(true)
  })
})
