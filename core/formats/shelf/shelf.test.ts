import { strToU8, zipSync } from 'fflate'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyItem } from '../../../tests/support/anyItem'
import { aCheck, at, everyKind, single } from '../../../tests/support/made'
import { asId, mustBeOk } from '../../base'
import type { ItemId } from '../../base'
import { faultOf, rightInWords } from '../../library'
import type { Item, Standard } from '../../library'
import { printCase, printItems, printQtiPackage, readShelfFile } from './index'

const bytes = (text: string) => strToU8(text)
const read = (name: string, of: Uint8Array | string) =>
  mustBeOk(readShelfFile(name, typeof of === 'string' ? bytes(of) : of), name)
const codeOf = (name: string, of: Uint8Array | string) =>
  readShelfFile(name, typeof of === 'string' ? bytes(of) : of).error?.code
const standard = (code: string, parent: string | null, requires: readonly string[] = []): Standard => ({
  code,
  text: `Do “${code}”`,
  level: parent === null ? 'domain' : 'standard',
  parent,
  requires,
})

describe('CASE', () => {
  const framework = { id: 'f', title: 'Science', outsideId: null, creator: null }
  const list = [standard('D', null), standard('D.1', 'D'), standard('D.2', 'D', ['D.1'])]
  const printed = printCase(
    framework,
    list.map((s) => ({ standard: s, outsideId: null })),
    at('11-01T10:00'),
  )

  it('is read as it was written, with identifiers that stay', () => {
    const once = read('f.json', printed)
    expect(once.standards.map((s) => s.standard)).toEqual(list)
    const again = printCase({ ...framework, outsideId: once.outsideId }, once.standards, at('11-01T10:00'))
    expect(again).toBe(printed)
  })

  it('keeps any tree of standards', () => {
    const trees = fc.array(fc.nat({ max: 5 }), { minLength: 1, maxLength: 12 }).map((parents) =>
      parents.map((p, i): Standard => {
        const parent = i === 0 || p >= i ? null : `S.${p}`
        const level = 'standard'
        return { code: `S.${i}`, text: `Standard ${i}`, level, parent, requires: i > 1 ? [`S.${i - 1}`] : [] }
      }),
    )
    fc.assert(
      fc.property(trees, (tree) => {
        const text = printCase(
          framework,
          tree.map((s) => ({ standard: s, outsideId: null })),
          at('11-01T10:00'),
        )
        const back = read('f.json', text).standards.map((s) => s.standard)
        const byCode = (a: Standard, b: Standard) => a.code.localeCompare(b.code)
        expect([...back].sort(byCode)).toEqual([...tree].sort(byCode))
      }),
    )
  })

  it('gives all of one kind one level, and keeps who wrote it', () => {
    const item = (id: string, type: string) => ({
      identifier: id,
      humanCodingScheme: id,
      fullStatement: `On ${id}`,
      CFItemType: type,
    })
    const under = (id: string, parent: string) => ({
      associationType: 'isChildOf',
      originNodeURI: { identifier: id },
      destinationNodeURI: { identifier: parent },
    })
    const of = read(
      'f.json',
      JSON.stringify({
        CFDocument: { identifier: 'd', creator: 'State of X', title: 'T' },
        CFItems: [item('A', 'Strand'), item('B', 'Cluster'), item('C', 'Cluster'), item('S', 'Skill')],
        CFAssociations: [under('B', 'A'), under('C', 'A'), under('S', 'B')],
      }),
    )
    expect(of.standards.map((s) => [s.standard.code, s.standard.level])).toEqual([
      ['A', 'subject'],
      ['B', 'domain'],
      ['S', 'standard'],
      ['C', 'domain'],
    ])
    const again = printCase({ ...framework, creator: of.creator ?? null }, of.standards, at('11-01T10:00'))
    expect(read('f.json', again).creator).toBe('State of X')
  })

  // built by hand from the information model of CASE 1.0
  const outside = {
    CFDocument: {
      identifier: 'd-1',
      uri: 'urn:d-1',
      creator: 'X',
      title: 'Framework of X',
      lastChangeDateTime: '2024-01-01',
    },
    CFItems: [
      {
        identifier: 'i-2',
        fullStatement: 'Second',
        humanCodingScheme: 'X.2',
        uri: 'urn:i-2',
        lastChangeDateTime: '',
      },
      {
        identifier: 'i-1',
        fullStatement: 'First',
        humanCodingScheme: 'X.1',
        uri: 'urn:i-1',
        lastChangeDateTime: '',
      },
      { identifier: 'i-0-root', fullStatement: 'All of it', uri: 'urn:i-0', lastChangeDateTime: '' },
      {
        identifier: 'i-3',
        fullStatement: 'Twice',
        humanCodingScheme: 'x.1',
        uri: 'urn:i-3',
        lastChangeDateTime: '',
      },
      {
        identifier: 'i-4',
        fullStatement: '',
        humanCodingScheme: 'X.4',
        uri: 'urn:i-4',
        lastChangeDateTime: '',
      },
    ],
    CFAssociations: [
      {
        associationType: 'isChildOf',
        sequenceNumber: 2,
        originNodeURI: { identifier: 'i-2' },
        destinationNodeURI: { identifier: 'i-0-root' },
      },
      {
        associationType: 'isChildOf',
        sequenceNumber: 1,
        originNodeURI: { identifier: 'i-1' },
        destinationNodeURI: { identifier: 'i-0-root' },
      },
      {
        associationType: 'isChildOf',
        sequenceNumber: 1,
        originNodeURI: { identifier: 'i-0-root' },
        destinationNodeURI: { identifier: 'd-1' },
      },
      {
        associationType: 'precedes',
        originNodeURI: { identifier: 'i-1' },
        destinationNodeURI: { identifier: 'i-2' },
      },
      {
        associationType: 'isRelatedTo',
        originNodeURI: { identifier: 'i-1' },
        destinationNodeURI: { identifier: 'i-2' },
      },
    ],
  }

  it('of somebody else is read in the order it states, and what is not taken is named', () => {
    const { title, standards, rows } = read('x.json', JSON.stringify(outside))
    expect(title).toBe('Framework of X')
    expect(standards.map(({ standard: s }) => [s.code, s.level, s.parent, s.requires])).toEqual([
      ['i-0-root', 'domain', null, []],
      ['X.1', 'standard', 'i-0-root', []],
      ['X.2', 'standard', 'i-0-root', ['X.1']],
    ])
    expect(rows.filter((r) => r.outcome === 'refused').map((r) => r.because[0])).toEqual([
      { code: 'code-twice', name: 'x.1' },
      { code: 'no-text' },
      { code: 'relation-left-out', name: 'isRelatedTo', count: 1 },
    ])
  })

  it('that runs in a circle is refused by name', () => {
    const circle = structuredClone(outside)
    circle.CFAssociations.push({
      associationType: 'precedes',
      originNodeURI: { identifier: 'i-2' },
      destinationNodeURI: { identifier: 'i-1' },
    })
    expect(codeOf('x.json', JSON.stringify(circle))).toBe('formats/standards-in-circle')
    expect(codeOf('x.json', '{"CFItems": []}')).toBe('formats/no-framework')
    expect(codeOf('x.json', '{"CFDocument": {}, "CFItems": [')).toBe('formats/no-framework')
  })
})

describe('a bank of items as CSV', () => {
  it('is read as it was written, every kind', () => {
    const items = everyKind().map((item, i) => ({ ...item, id: asId<ItemId>(`q${i + 1}`), standard: 'A.1' }))
    expect(read('bank.csv', printItems(items)).pieces[0]?.items).toEqual(items)
  })

  it('is read as it was written, whatever stands in it', () => {
    fc.assert(
      fc.property(anyItem, (item) => {
        expect(read('bank.csv', printItems([item])).pieces[0]?.items).toEqual([item])
      }),
      { numRuns: 400 },
    )
  })

  it('names rows that cannot be taken by their line, and takes the others', () => {
    const text = [
      'kind;question;answers;right;points',
      'single;Which?;one | two;two;2',
      'single;Which?;one | two;three;1',
      'drawing;Draw it;;;1',
      'text;;;wave;1',
      'numeric;How many?;;zwölf;1',
    ].join('\n')
    const { pieces, rows } = read('bank.csv', text)
    expect(pieces[0]?.items).toMatchObject([{ kind: 'single', right: 'b', points: 2 }])
    expect(rows.map((r) => [r.where, r.outcome, r.because[0]?.code])).toEqual([
      ['line 2', 'taken', undefined],
      ['line 3', 'refused', 'cannot-be-answered'],
      ['line 4', 'refused', 'unknown-kind'],
      ['line 5', 'refused', 'no-text'],
      ['line 6', 'refused', 'cannot-be-answered'],
    ])
  })

  it('of somebody else has a column an answer, a key by letter or number, and kinds by other names', () => {
    const text = [
      'Question bank of the office',
      'Question,A,B,C,D,Correct answer,Points,Type',
      'Which is high?,Crest,Trough,Node,Beam,A,2,MC',
      'Which are low?,Crest,Trough,Dip,Beam,"B; 3",2,Multiple response',
      'Sound is a wave,,,,,TRUE,1,True/False',
      'How fast?,,,,,340,1,',
      'In order?,one,two,three,,"1,3,2",1,Order',
      'Why?,,,,,,3,Essay',
      'Which?,Crest,Trough,,,E,1,MC',
      'Total,,,,,,9,',
    ].join('\n')
    const { pieces, rows } = read('bank.csv', text)
    const [piece] = pieces
    expect(piece?.items).toMatchObject([
      { kind: 'single', right: 'a', points: 2 },
      { kind: 'multiple', right: ['b', 'c'] },
      { kind: 'single', options: [{ text: 'True' }, { text: 'False' }], right: 'a' },
      { kind: 'numeric', value: 340 },
      { kind: 'ordering' },
      { kind: 'extended', points: 3 },
    ])
    const order = piece?.items[4]
    expect(order && rightInWords(order)).toBe('one → three → two')
    expect(rows.filter((r) => r.outcome === 'refused').map((r) => [r.where, r.because[0]?.code])).toEqual([
      ['line 9', 'cannot-be-answered'],
      ['line 1', 'above-headings'],
      ['line 10', 'total'],
    ])
  })

  it('keeps kind, title and minutes of the piece', () => {
    const piece = aCheck(everyKind(), { title: 'Check: waves, again', kind: 'test', minutes: 35 })
    const [back] = read('x.csv', printItems(piece.items, piece)).pieces
    expect(back).toMatchObject({ title: 'Check: waves, again', kind: 'test', minutes: 35 })
    expect(back?.items).toHaveLength(piece.items.length)
  })

  it('comes in UTF-16, and is refused without headings', () => {
    const text = 'kind\tquestion\tright\ntext\tWas schwingt?\tdie Saite'
    const utf16 = new Uint8Array([
      0xff,
      0xfe,
      ...[...text].flatMap((c) => [c.charCodeAt(0) & 255, c.charCodeAt(0) >> 8]),
    ])
    expect(read('bank.csv', utf16).pieces[0]?.items[0]).toMatchObject({ accepted: ['die Saite'] })
    expect(codeOf('bank.csv', 'single,Which?,one | two,two')).toBe('formats/no-item-headings')
    expect(codeOf('bank.csv', '')).toBe('formats/empty')
    expect(codeOf('bank.csv', new Uint8Array([0x61, 0x00, 0xff, 0x62]))).toBe('formats/not-text')
  })
})

describe('QTI 3.0', () => {
  const piece = (items: readonly Item[]) => aCheck(items, { title: 'Check: “waves” & more', minutes: 25 })

  it('is read as it was written, every kind', () => {
    const items = everyKind().map((item, i) => ({
      ...item,
      standard: i % 2 ? 'TH.8.W.1' : null,
      difficulty: 1 + (i % 5),
    }))
    const reading = read('piece.zip', printQtiPackage(piece(items)))
    expect(reading.rows.map((r) => [r.where, r.outcome, r.because])).toEqual(
      items.map((item) => [`items/${item.id}.xml`, 'taken', []]),
    )
    expect(reading.pieces[0]?.items).toEqual(items)
    expect(reading.pieces[0]).toMatchObject({ title: 'Check: “waves” & more', kind: 'check', minutes: 25 })
  })

  it('is read as it was written, whatever stands in it', () => {
    fc.assert(
      fc.property(anyItem, (item) => {
        const { pieces, rows } = read('piece.zip', printQtiPackage(piece([item])))
        expect(rows[0]?.because).toEqual([])
        expect(pieces[0]?.items).toEqual([item])
      }),
      { numRuns: 400 },
    )
  })

  it('gives the same bytes for the same piece', () => {
    expect(printQtiPackage(piece([single('1')]))).toEqual(printQtiPackage(piece([single('1')])))
  })
})

/** Items as QTI 2.1 has them, written by hand from its text, not by our writer. */
const OF_2_1 = (body: string, declarations: string, processing = '') =>
  `<?xml version="1.0" encoding="UTF-8"?>
<assessmentItem xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="outside-1" title="Outside"
  adaptive="false" timeDependent="false">${declarations}
  <outcomeDeclaration identifier="SCORE" cardinality="single" baseType="float" normalMaximum="2"/>
  <itemBody>${body}</itemBody>${processing}</assessmentItem>`

describe('QTI 2.1 of somebody else', () => {
  const one = (body: string, declarations: string, processing?: string) =>
    read('item.xml', OF_2_1(body, declarations, processing))

  it('reads a choice, with formatted text', () => {
    const { pieces, rows } = one(
      `<p>Look at the <strong>rope</strong>.</p>
      <choiceInteraction responseIdentifier="RESPONSE" shuffle="true" maxChoices="1">
        <prompt>What moves <em>along</em>?</prompt>
        <simpleChoice identifier="ChoiceA">The rope</simpleChoice>
        <simpleChoice identifier="ChoiceB">The energy</simpleChoice>
      </choiceInteraction>`,
      `<responseDeclaration identifier="RESPONSE" cardinality="single" baseType="identifier">
        <correctResponse><value>ChoiceB</value></correctResponse></responseDeclaration>`,
    )
    expect(rows[0]).toMatchObject({ outcome: 'taken' })
    expect(pieces[0]?.items[0]).toMatchObject({
      id: 'outside-1',
      kind: 'single',
      stem: 'Look at the **rope**.\n\nWhat moves *along*?',
      points: 2,
      options: [
        { id: 'a', text: 'The rope' },
        { id: 'b', text: 'The energy' },
      ],
      right: 'b',
    })
  })

  it('reads a number with its tolerance, a word, and words within a text', () => {
    const declared = (type: string, right: string, mapping = '') =>
      `<responseDeclaration identifier="RESPONSE" cardinality="single" baseType="${type}">
        <correctResponse><value>${right}</value></correctResponse>${mapping}</responseDeclaration>`
    const entry = '<textEntryInteraction responseIdentifier="RESPONSE" expectedLength="10"/>'
    const equal = `<responseProcessing><responseCondition><responseIf>
      <equal toleranceMode="absolute" tolerance="0.5 0.5">
      <variable identifier="RESPONSE"/><correct identifier="RESPONSE"/></equal>
      <setOutcomeValue identifier="SCORE"><baseValue baseType="float">2</baseValue></setOutcomeValue>
      </responseIf></responseCondition></responseProcessing>`
    const number = one(`<p>How fast, in m/s?</p><p>${entry}</p>`, declared('float', '8.5'), equal)
    expect(number.pieces[0]?.items[0]).toMatchObject({ kind: 'numeric', value: 8.5, tolerance: 0.5 })
    const map = `<mapping defaultValue="0"><mapEntry mapKey="crest" mappedValue="2"/>
      <mapEntry mapKey="peak" mappedValue="1"/><mapEntry mapKey="no" mappedValue="0"/></mapping>`
    const word = one(`<p>The top of a wave?</p><div>${entry}</div>`, declared('string', 'crest', map))
    expect(word.pieces[0]?.items[0]).toMatchObject({ kind: 'text', accepted: ['crest', 'peak (½)'] })
    const within = one(
      `<p>Fill in.</p><p>The top is the ${entry} of a wave.</p>`,
      declared('string', 'crest'),
    )
    expect(within.pieces[0]?.items[0]).toMatchObject({
      kind: 'blanks',
      stem: 'Fill in.',
      passage: 'The top is the [1] of a wave.',
      accepted: { 1: ['crest'] },
    })
  })

  it('mixes an order that stands in its right order', () => {
    const { pieces } = one(
      `<orderInteraction responseIdentifier="RESPONSE"><prompt>In order?</prompt>
        <simpleChoice identifier="x">first</simpleChoice><simpleChoice identifier="y">second</simpleChoice>
        <simpleChoice identifier="z">third</simpleChoice></orderInteraction>`,
      `<responseDeclaration identifier="RESPONSE" cardinality="ordered" baseType="identifier"><correctResponse>
        <value>x</value><value>y</value><value>z</value></correctResponse></responseDeclaration>`,
    )
    const item = pieces[0]?.items[0]
    if (item?.kind !== 'ordering') throw new Error('another kind')
    expect(item.right.map((id) => item.options.find((o) => o.id === id)?.text)).toEqual([
      'first',
      'second',
      'third',
    ])
    expect(faultOf(item, 1)).toBeNull()
  })

  it('names what it cannot take, and takes no hostile markup', () => {
    const hotspot = one('<hotspotInteraction responseIdentifier="RESPONSE"/>', '')
    expect(hotspot.pieces).toEqual([])
    expect(hotspot.rows[0]).toMatchObject({
      outcome: 'refused',
      because: [{ code: 'unknown-kind', name: 'hotspotinteraction' }],
    })
    const hostile = one(
      `<p onclick="x()">Why?<script>alert(1)</script><svg onload="alert(2)"><text>boo</text></svg><img src="a.png"/></p>
      <extendedTextInteraction responseIdentifier="RESPONSE"/>`,
      '<responseDeclaration identifier="RESPONSE" cardinality="single" baseType="string"/>',
    )
    expect(hostile.pieces[0]?.items[0]?.stem).toBe('Why?')
    expect(hostile.rows[0]).toMatchObject({
      outcome: 'taken-in-part',
      because: [{ code: 'picture-left-out', count: 1 }],
    })
  })
})

describe('files that mean harm, or nothing', () => {
  it('are refused', () => {
    const entity =
      '<!DOCTYPE x [<!ENTITY a SYSTEM "file:///etc/passwd">]><assessmentItem>&a;</assessmentItem>'
    expect(codeOf('x.xml', entity)).toBe('formats/has-entities')
    expect(codeOf('x.xml', '<a><b></a>')).toBe('formats/not-xml')
    expect(codeOf('x.xml', '<html></html>')).toBe('formats/nothing-known')
    const away = zipSync({ '../../etc/cron.xml': bytes('<a/>') })
    expect(codeOf('x.zip', away)).toBe('formats/unsafe-package')
    expect(codeOf('x.zip', zipSync({ 'C:\\x.xml': bytes('<a/>') }))).toBe('formats/unsafe-package')
    const bomb = zipSync({ 'a.xml': new Uint8Array(11_000_000) })
    expect(bomb.length).toBeLessThan(50_000)
    expect(codeOf('x.zip', bomb)).toBe('formats/package-too-large')
    expect(codeOf('x.zip', bytes('PK but no package'))).toBe('formats/not-a-package')
    expect(codeOf('x.zip', zipSync({ 'a.txt': bytes('hello') }))).toBe('formats/nothing-known')
  })

  it('that are encrypted, damaged, or longer than they say are named', () => {
    const zip = zipSync(
      { 'a.xml': strToU8('<x>one</x>'), 'b.xml': strToU8('<x>two</x>'.repeat(50)) },
      { level: 6 },
    )
    const entries = [...zip.keys()].filter((i) => zip[i] === 0x50 && zip[i + 1] === 0x4b && zip[i + 2] === 1)
    const changed = (entry: number, at: number, by: number) => {
      const copy = Uint8Array.from(zip)
      copy[(entries[entry] ?? 0) + at] = (copy[(entries[entry] ?? 0) + at] ?? 0) ^ by
      return readShelfFile('x.zip', copy).error
    }
    expect(changed(1, 8, 1)).toMatchObject({
      code: 'formats/damaged-package',
      name: 'b.xml',
      why: 'encrypted',
    })
    expect(changed(0, 16, 0xff)).toMatchObject({
      code: 'formats/damaged-package',
      name: 'a.xml',
      why: 'checksum',
    })
    expect(changed(1, 24, 0x04)).toMatchObject({ code: 'formats/damaged-package', name: 'b.xml' })
  })

  it('are not trusted about their sizes', () => {
    const zip = zipSync({ 'a.xml': new Uint8Array(5_000_000) })
    // the stated size, in the directory at the end and at the file
    const at = (mark: readonly number[]) => zip.findIndex((_, i) => mark.every((b, j) => zip[i + j] === b))
    const central = at([0x50, 0x4b, 1, 2])
    zip.set([10, 0, 0, 0], central + 24)
    // no more is unpacked than was stated: what is left is not what its checksum says
    expect(readShelfFile('x.zip', zip).error).toMatchObject({
      code: 'formats/damaged-package',
      name: 'a.xml',
      why: 'checksum',
    })
  })
})

describe('what is read elsewhere', () => {
  it('says where: calendars with the year, rosters with their class', () => {
    const calendar = 'BEGIN:VCALENDAR\r\nEND:VCALENDAR'
    expect(readShelfFile('year.ics', bytes(calendar)).error).toMatchObject({
      code: 'formats/read-elsewhere',
      place: 'calendar',
    })
    const roster = 'Nr.;Name;Vorname;Klasse\n1;Ölmann;Zoë;8b'
    expect(readShelfFile('8b.csv', bytes(roster)).error).toMatchObject({ place: 'roster' })
    // a reading may begin with a tag or a bracket
    expect(read('x.md', '<p>Waves</p>').pieces[0]?.content).toBe('Waves')
    expect(read('x.md', '{ waves }').pieces[0]?.content).toBe('{ waves }')
  })
})

describe('a reading in Markdown', () => {
  it('has its first heading for a title, and keeps its text', () => {
    const { pieces } = read(
      'notes on waves.md',
      '# A push that travels\n\nA **pulse** runs.\n\n| a | b |\n|---|---|\n',
    )
    expect(pieces[0]).toMatchObject({
      title: 'A push that travels',
      kind: 'reading',
      content: 'A **pulse** runs.\n\n| a | b |\n|---|---|',
      items: [],
    })
    expect(read('notes on waves.md', 'Plain text.').title).toBe('notes on waves')
    expect(codeOf('x.md', 'x'.repeat(40_001))).toBe('formats/text-too-long')
  })

  it('says its title, minutes, language, grade and standards before it', () => {
    const text = [
      '---',
      'title: Wellen am Seil',
      'minutes: 25',
      'language: de-CH',
      'grade: 8',
      'standards: [TH.8.W.1, TH.8.W.2]',
      'author: A. Nother',
      '---',
      '# Wellen am Seil',
      '',
      'Ein **Puls** läuft.',
    ].join('\r\n')
    const { pieces, rows } = read('x.md', text)
    expect(pieces[0]).toMatchObject({
      title: 'Wellen am Seil',
      minutes: 25,
      language: 'de',
      grade: 8,
      standards: ['TH.8.W.1', 'TH.8.W.2'],
      content: 'Ein **Puls** läuft.',
    })
    expect(rows[0]).toMatchObject({
      outcome: 'taken-in-part',
      because: [{ code: 'not-here', name: 'author' }],
    })
    // a line across the text is none
    expect(read('x.md', '---\n\nA line above.').pieces[0]?.content).toBe('---\n\nA line above.')
    expect(read('x.md', '---\na: &a [*a]\n---\nText').pieces[0]?.content).toContain('Text')
  })

  it('has its HTML as Markdown, without what could run, and its code as it is', () => {
    const text = [
      'A <b>pulse</b> runs<br>on, x <y and z> w.',
      '<script>alert(1)</script><iframe src="https://example.org"></iframe>',
      '<table><tr><th>a</th></tr><tr><td>1</td></tr></table>',
      '<!-- a note --><p onclick="x()">See <a href="https://example.org">this</a>.</p>',
      'Write `<b>` for bold:',
      '```html',
      '<b>bold</b>',
      '```',
    ].join('\n')
    const { pieces, rows } = read('x.md', text)
    const content = pieces[0]?.content ?? ''
    expect(content).toContain('A **pulse** runs\non, x <y and z> w.')
    expect(content).toContain('| a |\n| --- |\n| 1 |')
    expect(content).toContain('See [this](https://example.org).')
    expect(content).toContain('Write `<b>` for bold:\n```html\n<b>bold</b>\n```')
    expect(content).not.toMatch(/script|alert|iframe|onclick|note/)
    expect(rows[0]?.because).toEqual([{ code: 'could-run', count: 2 }])
  })
})
