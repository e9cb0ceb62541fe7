import { strToU8, zipSync } from 'fflate'

/** Files in a zip package. */
export const zip = (files: Readonly<Record<string, string>>) =>
  zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])))

// built by hand from EPUB 3.3 and OCF: container, package document, navigation document, XHTML chapters
const CONTAINER = `<?xml version="1.0"?>
  <container version="1.0" xmlns="urn:oasis:names:tc:opendocument:xmlns:container">
  <rootfiles><rootfile full-path="OPS/book.opf" media-type="application/oebps-package+xml"/></rootfiles>
  </container>`
export const OPF = `<?xml version="1.0"?>
  <package xmlns="http://www.idpf.org/2007/opf" version="3.0" unique-identifier="id">
  <metadata xmlns:dc="http://purl.org/dc/elements/1.1/"><dc:identifier id="id">urn:x</dc:identifier>
  <dc:title>Snow and Ice</dc:title><dc:language>de-AT</dc:language></metadata>
  <manifest><item id="nav" href="nav.xhtml" media-type="application/xhtml+xml" properties="nav"/>
  <item id="cover" href="cover.xhtml" media-type="application/xhtml+xml"/>
  <item id="a" href="text/one.xhtml" media-type="application/xhtml+xml"/>
  <item id="b" href="text/one%20more.xhtml" media-type="application/xhtml+xml"/>
  <item id="c" href="text/two.xhtml" media-type="application/xhtml+xml"/></manifest>
  <spine><itemref idref="cover"/><itemref idref="a"/><itemref idref="b"/><itemref idref="c"/></spine></package>`
const NAV = `<?xml version="1.0"?><!DOCTYPE html><html xmlns="http://www.w3.org/1999/xhtml"
  xmlns:epub="http://www.idpf.org/2007/ops"><head><title/></head><body>
  <nav epub:type="landmarks"><ol><li><a href="cover.xhtml">Cover</a></li></ol></nav>
  <nav epub:type="toc"><h1>Contents</h1><ol>
  <li><span>Snow</span><ol><li><a href="text/one.xhtml">How it <em>falls</em></a></li>
  <li><a href="text/one.xhtml#lies">How it lies</a></li></ol></li>
  <li><a href="text/two.xhtml">Ice</a></li></ol></nav></body></html>`
/** A chapter. */
export const xhtmlPage = (body: string) =>
  `<?xml version="1.0"?><!DOCTYPE html><html xmlns="http://www.w3.org/1999/xhtml"><head><title/></head>
  <body>${body}</body></html>`
const CHAPTERS = {
  'OPS/cover.xhtml': xhtmlPage('<p>By nobody</p>'),
  'OPS/text/one.xhtml': xhtmlPage(
    `<h1>Falling</h1><p>Flakes <b>grow</b> for 5$.</p><img src="f.png" alt="a flake"/><script>steal()</script>
     <section id="lies"><a id="x"/><p onclick="steal()">It <a href="javascript:steal()">lies</a>.</p></section>`,
  ),
  'OPS/text/one more.xhtml': xhtmlPage(
    '<p>It goes on, see <a href="https://snow.example/deep">this</a>.</p>',
  ),
  'OPS/text/two.xhtml': xhtmlPage(
    '<table><thead><tr><th>t</th></tr></thead><tbody><tr><td>0 °C</td></tr></tbody></table>',
  ),
}
/** A book of three chapters under two headings. */
export const EPUB = {
  mimetype: 'application/epub+zip',
  'META-INF/container.xml': CONTAINER,
  'OPS/book.opf': OPF,
  'OPS/nav.xhtml': NAV,
  ...CHAPTERS,
}

// built by hand from the implementation guide of Common Cartridge 1.3 and its profile of QTI 1.2.1
const item = (profile: string, within: string) => `<item ident="${profile}"><itemmetadata><qtimetadata>
  <qtimetadatafield><fieldlabel>cc_profile</fieldlabel><fieldentry>${profile}</fieldentry></qtimetadatafield>
  </qtimetadata></itemmetadata>${within}</item>`
const label = (id: string, text: string) =>
  `<response_label ident="${id}"><material><mattext texttype="text/plain">${text}</mattext></material>
  </response_label>`
const ask = (text: string) =>
  `<material><mattext texttype="text/html">&lt;p&gt;${text}&lt;/p&gt;</mattext></material>`
const earns = (
  condition: string,
) => `<resprocessing><outcomes><decvar maxvalue="100" minvalue="0" varname="SCORE"/>
  </outcomes><respcondition><conditionvar>${condition}</conditionvar>
  <setvar action="Set" varname="SCORE">100</setvar>
  </respcondition></resprocessing>`
/** A question with a choice, or with something to write. */
const choose = (profile: string, text: string, many: boolean, labels: string, right: string) => {
  const how = many ? 'Multiple' : 'Single'
  const response = `<response_lid ident="r" rcardinality="${how}"><render_choice>${labels}</render_choice>`
  return item(profile, `<presentation>${ask(text)}${response}</response_lid></presentation>${earns(right)}`)
}
const write = (profile: string, text: string, right: string) => {
  const response = '<response_str ident="r" rcardinality="Single"><render_fib/></response_str>'
  return item(profile, `<presentation>${ask(text)}${response}</presentation>${right}`)
}
const is = (value: string) => `<varequal respident="r">${value}</varequal>`
const yesNo = label('a', 'yes') + label('b', 'no')
const forms = label('a', 'hail') + label('b', 'mist') + label('c', 'rime')
const QTI = `<?xml version="1.0"?><questestinterop xmlns="http://www.imsglobal.org/xsd/ims_qtiasiv1p2">
  <assessment ident="t" title="On ice"><section ident="root">
  ${choose('cc.multiple_choice.v0p1', 'Ice &lt;b&gt;floats&lt;/b&gt;?', false, yesNo, is('a'))}
  ${choose(
    'cc.multiple_response.v0p1',
    'Which are ice?',
    true,
    forms,
    `<and>${is('a')}<not>${is('b')}</not>${is('c')}</and>`,
  )}
  ${write('cc.fib.v0p1', 'Water freezes at … °C', earns(is('0')))}
  ${write('cc.essay.v0p1', 'Why?', '')}
  ${write('cc.fib.v0p1', 'Without a key', '')}
  </section></assessment></questestinterop>`
const MANIFEST = `<?xml version="1.0"?><manifest identifier="m"
  xmlns="http://www.imsglobal.org/xsd/imsccv1p3/imscp_v1p1"
  xmlns:lomimscc="http://ltsc.ieee.org/xsd/imsccv1p3/LOM/manifest">
  <metadata><schema>IMS Common Cartridge</schema><schemaversion>1.3.0</schemaversion><lomimscc:lom>
  <lomimscc:general>
  <lomimscc:title><lomimscc:string language="en">Ice</lomimscc:string></lomimscc:title></lomimscc:general>
  </lomimscc:lom></metadata>
  <organizations><organization identifier="o" structure="rooted-hierarchy"><item identifier="root">
  <item identifier="u1"><title>Forms of ice</title>
    <item identifier="l1"><title>Hail</title><item identifier="p1" identifierref="R1"><title>About hail</title>
  </item>
      <item identifier="p2" identifierref="R2"><title>Pictures of hail</title></item></item>
    <item identifier="p3" identifierref="R3"><title>Check on ice</title></item>
    <item identifier="p4" identifierref="R4"><title>Talk about it</title></item>
    <item identifier="p5" identifierref="R5"><title>A sheet</title></item></item>
  </item></organization></organizations>
  <resources><resource identifier="R1" type="webcontent" href="pages/hail.html"><file href="pages/hail.html"/>
  </resource>
  <resource identifier="R2" type="imswl_xmlv1p3"><file href="links/R2.xml"/></resource>
  <resource identifier="R3" type="imsqti_xmlv1p2/imscc_xmlv1p3/assessment"><file href="quiz/R3.xml"/></resource>
  <resource identifier="R4" type="imsdt_xmlv1p3"><file href="talk/R4.xml"/></resource>
  <resource identifier="R5" type="webcontent" href="sheet.pdf"><file href="sheet.pdf"/></resource>
  <resource identifier="R6" type="imsqti_xmlv1p2/imscc_xmlv1p3/question-bank"><file href="bank.xml"/>
  </resource></resources></manifest>`
/** A cartridge with a page, a link, an assessment, a bank, a discussion and a file. */
export const CARTRIDGE = {
  'imsmanifest.xml': MANIFEST,
  'pages/hail.html': '<html><body><p>Hail is <i>hard</i>.<script>steal()</script></p></body></html>',
  'links/R2.xml':
    '<webLink xmlns="http://www.imsglobal.org/xsd/imsccv1p3/imswl_v1p3"><title>P</title>' +
    '<url href="https://ice.example/hail"/></webLink>',
  'quiz/R3.xml': QTI,
  'talk/R4.xml': '<topic/>',
  'sheet.pdf': '%PDF',
  'bank.xml': QTI.replace(/<assessment[^>]*>/, '<objectbank ident="b">').replace(
    '</assessment>',
    '</objectbank>',
  ),
}
