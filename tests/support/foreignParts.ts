/** Parts of items of QTI 3.0, written by hand from the text of the standard. */
export const V3 = (body: string, declarations: string, processing = '') =>
  `<?xml version="1.0" encoding="UTF-8"?>
<qti-assessment-item xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0" identifier="x1" title="X" xml:lang="de">
${declarations}<qti-outcome-declaration identifier="SCORE" cardinality="single" base-type="float"/>
<qti-item-body>${body}</qti-item-body>${processing}</qti-assessment-item>`
export const response = (
  type: string,
  correct: readonly string[],
  mapping = '',
  of = 'single',
  id = 'RESPONSE',
) =>
  `<qti-response-declaration identifier="${id}" cardinality="${of}" base-type="${type}">${
    correct.length === 0
      ? ''
      : `<qti-correct-response>${correct.map((v) => `<qti-value>${v}</qti-value>`).join('')}</qti-correct-response>`
  }${mapping}</qti-response-declaration>`
export const map = (entries: Readonly<Record<string, number>>, about = '', isExact = false) =>
  `<qti-mapping ${about}>${Object.entries(entries)
    .map(([key, v]) => `<qti-map-entry map-key="${key}" mapped-value="${v}" case-sensitive="${isExact}"/>`)
    .join('')}</qti-mapping>`
export const TEMPLATE = (name: string) =>
  `<qti-response-processing template="https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/${name}.xml"/>`
export const score = (points: number) =>
  `<qti-set-outcome-value identifier="SCORE"><qti-base-value base-type="float">${points}</qti-base-value>
      </qti-set-outcome-value>`
export const when = (condition: string, points: number, otherwise = '') =>
  `<qti-response-processing><qti-response-condition>
      <qti-response-if>${condition}${score(points)}</qti-response-if>${otherwise}</qti-response-condition>
      </qti-response-processing>`
export const given = (id = 'RESPONSE') => `<qti-variable identifier="${id}"/>`
export const base = (value: string, type = 'identifier') =>
  `<qti-base-value base-type="${type}">${value}</qti-base-value>`
export const word = (text: string, how = '') =>
  `<qti-string-match case-sensitive="false" ${how}>${given()}${base(text, 'string')}</qti-string-match>`
export const options = (words: readonly string[]) =>
  words.map((w, i) => `<qti-simple-choice identifier="C${i + 1}">${w}</qti-simple-choice>`).join('')
export const choice = (words: readonly string[], most = 1) =>
  `<qti-choice-interaction response-identifier="RESPONSE" max-choices="${most}">
      <qti-prompt>Which?</qti-prompt>${options(words)}</qti-choice-interaction>`
export const entry = (id = 'RESPONSE') => `<qti-text-entry-interaction response-identifier="${id}"/>`
export const near = (mode: string, tolerance: string, id = 'RESPONSE') =>
  `<qti-equal tolerance-mode="${mode}" tolerance="${tolerance}">${given(id)}<qti-correct identifier="${id}"/>
      </qti-equal>`
