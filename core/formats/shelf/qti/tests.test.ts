import { strToU8, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { mustBeOk } from '../../../base'
import { readShelfFile } from '../index'

const read = (name: string, bytes: Uint8Array) => mustBeOk(readShelfFile(name, bytes), name)
const zip = (files: Readonly<Record<string, string>>) =>
  zipSync(Object.fromEntries(Object.entries(files).map(([path, text]) => [path, strToU8(text)])))
const item = (id: string, title: string) =>
  `<assessmentItem xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="${id}" title="${title}"
   xml:lang="de-CH">
   <responseDeclaration identifier="R" cardinality="single" baseType="identifier"><correctResponse>
      <value>B</value></correctResponse></responseDeclaration>
   <itemBody><p>Look at <math xmlns="http://www.w3.org/1998/Math/MathML"><mfrac><mi>v</mi><mi>f</mi></mfrac>
      </math>.</p>
   <choiceInteraction responseIdentifier="R" maxChoices="1"><prompt>${title}?</prompt>
   <simpleChoice identifier="A">One<feedbackInline outcomeIdentifier="F"
   identifier="A" showHide="show">Too few.</feedbackInline></simpleChoice>
   <simpleChoice identifier="B" fixed="true">Two</simpleChoice></choiceInteraction></itemBody>
   <modalFeedback outcomeIdentifier="F" identifier="all" showHide="show">Think of echoes.</modalFeedback>
   <modalFeedback outcomeIdentifier="F" identifier="incorrect" showHide="show">Read it again.</modalFeedback>
   </assessmentItem>`
const TEST = `<assessmentTest xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="t" title="Wellen">
  <timeLimits maxTime="2700"/>
  <testPart identifier="p" navigationMode="linear" submissionMode="individual"><itemSessionControl maxAttempts="2"/>
  <assessmentSection identifier="s1" title="Warm up" visible="true"><rubricBlock view="candidate">
      <p>No <strong>calculator</strong>.</p></rubricBlock>
    <assessmentItemRef identifier="r2" href="../items/two.xml"><weight identifier="W" value="3"/>
      </assessmentItemRef></assessmentSection>
  <assessmentSection identifier="s2" title="The rest" visible="true">
    <rubricBlock view="tutor"><p>For teachers.</p></rubricBlock>
    <assessmentItemRef identifier="r1" href="../items/one.xml"/>
      <assessmentItemRef identifier="r9" href="../items/gone.xml"/></assessmentSection></testPart></assessmentTest>`
const MANIFEST = `<manifest xmlns="http://www.imsglobal.org/xsd/imscp_v1p1" identifier="m"><organizations/><resources>
  <resource identifier="t" type="imsqti_test_xmlv2p1" href="tests/t.xml"/></resources></manifest>`

describe('a test of somebody else', () => {
  const reading = read(
    'pack.zip',
    zip({
      'imsmanifest.xml': MANIFEST,
      'tests/t.xml': TEST,
      'items/one.xml': item('one', 'Erste'),
      'items/two.xml': item('two', 'Zweite'),
      'items/zero.xml': item('zero', 'Keine'),
    }),
  )
  const [test, others] = reading.pieces

  it('has its questions in its own order, with their weights, and those of no test apart', () => {
    expect(test?.items.map((i) => [i.id, i.points])).toEqual([
      ['two', 3],
      ['one', 1],
    ])
    expect(others?.items.map((i) => i.id)).toEqual(['zero'])
  })

  it('keeps its instructions, sections, minutes and language', () => {
    expect(test).toMatchObject({ title: 'Wellen', minutes: 45, language: 'de' })
    expect(test?.content).toBe('## Warm up\n\nNo **calculator**.\n\n## The rest')
  })

  it('has text, formulas and feedback, each where it belongs', () => {
    const [first] = test?.items ?? []
    expect(first?.stem).toBe('Look at $\\frac{v}{f}$.\n\nZweite?')
    expect(first?.feedback).toBe('Think of echoes.\n\n**Not right:** Read it again.\n\n**One:** Too few.')
    expect(first).toMatchObject({ options: [{ text: 'One' }, { text: 'Two' }], right: 'b' })
  })

  it('says what is chosen when it is assigned, and names what is not there', () => {
    const said = reading.rows.filter((r) => r.outcome !== 'taken').map((r) => [r.where, r.because])
    expect(said).toEqual([
      ['items/gone.xml', [{ code: 'file-missing', problem: 'items/gone.xml' }]],
      [
        'Wellen',
        [
          { code: 'set-when-assigned', what: 'minutes', count: 45 },
          { code: 'set-when-assigned', what: 'tries', count: 2 },
        ],
      ],
    ])
  })
})

describe('a test of which nothing can be taken', () => {
  it('gives no piece without questions, and says why', () => {
    const broken = item('one', 'Erste').replace('<value>B</value>', '<value>none</value>')
    const files = { 'imsmanifest.xml': MANIFEST, 'tests/t.xml': TEST, 'items/one.xml': broken }
    const { pieces, rows } = read('pack.zip', zip(files))
    expect(pieces).toEqual([])
    expect(rows.find((r) => r.where === 'items/one.xml')).toMatchObject({
      outcome: 'refused',
      what: expect.stringContaining('Erste'),
      because: [{ code: 'no-key' }],
    })
  })
})

const OLDER = `<questestinterop><assessment ident="a" title="Ice"><qtimetadata>
  <qtimetadatafield><fieldlabel>qmd_timelimit</fieldlabel><fieldentry>30</fieldentry></qtimetadatafield>
  <qtimetadatafield><fieldlabel>cc_maxattempts</fieldlabel><fieldentry>2</fieldentry></qtimetadatafield></qtimetadata>
  <rubric><material><mattext texttype="text/plain">Work alone.</mattext></material></rubric><section ident="s">
  <item ident="i1"><presentation><material><mattext>How cold?</mattext></material>
    <response_num ident="N"><render_fib fibtype="Decimal"><response_label ident="x"/></render_fib>
      </response_num></presentation>
    <resprocessing><outcomes><decvar varname="SCORE" vartype="Integer" maxvalue="4"/></outcomes>
    <respcondition><conditionvar><vargte respident="N">-1</vargte><varlte respident="N">1</varlte>
      </conditionvar><setvar action="Set" varname="SCORE">4</setvar></respcondition></resprocessing></item>
  <item ident="i2"><presentation><material>
      <mattext texttype="text/html">&lt;p&gt;Does it &lt;b&gt;float&lt;/b&gt;?&lt;/p&gt;</mattext></material>
    <response_lid ident="L" rcardinality="Single"><render_choice><response_label ident="y"><material>
      <mattext>Yes</mattext></material></response_label>
    <response_label ident="n"><material><mattext>No</mattext></material></response_label></render_choice>
      </response_lid></presentation>
    <resprocessing><respcondition><conditionvar><not><varequal respident="L">n</varequal></not><not>
      <unanswered respident="L"/></not></conditionvar><setvar varname="SCORE">2</setvar></respcondition>
    <respcondition><conditionvar><varequal respident="L">n</varequal></conditionvar>
      <displayfeedback linkrefid="fn"/></respcondition></resprocessing>
    <itemfeedback ident="fn"><material><mattext>It is lighter than water.</mattext></material></itemfeedback></item>
  <item ident="i3"><presentation><material><mattext>Two of them?</mattext></material>
    <response_str ident="A"><render_fib/></response_str><response_str ident="B"><render_fib/></response_str>
      </presentation></item>
  <item ident="i5"><presentation><material><mattext>Where?</mattext></material>
    <response_grp ident="G"><render_choice/></response_grp></presentation>
    <resprocessing><respcondition><conditionvar><varequal respident="G">A,B</varequal></conditionvar>
    <setvar>1</setvar></respcondition></resprocessing></item>
  <item ident="i4"><presentation><material><mattext>How long?</mattext></material><response_str ident="S">
      <render_fib/></response_str></presentation>
    <resprocessing><respcondition><conditionvar><durequal respident="S">3</durequal></conditionvar>
      <setvar>1</setvar></respcondition></resprocessing></item>
  </section></assessment></questestinterop>`

describe('QTI 1.2, alone and in a package', () => {
  const files = {
    alone: read('ice.xml', strToU8(OLDER)),
    'in a zip': read('ice.zip', zip({ 'a/ice.xml': OLDER })),
  }

  it.each(Object.entries(files))(
    '%s: keys, points, feedback, minutes and instructions as they stand',
    (_, { pieces, rows }) => {
      expect(pieces[0]).toMatchObject({ title: 'Ice', kind: 'check', minutes: 30, content: 'Work alone.' })
      expect(pieces[0]?.items).toMatchObject([
        { kind: 'numeric', value: 0, tolerance: 1, points: 4 },
        {
          kind: 'single',
          stem: 'Does it **float**?',
          right: 'a',
          points: 2,
          feedback: '**No:** It is lighter than water.',
        },
      ])
      expect(rows.flatMap((r) => r.because.map((b) => b.code))).toEqual([
        'several-kinds',
        'unknown-kind',
        'rules-not-read',
        'set-when-assigned',
        'set-when-assigned',
      ])
    },
  )
})
