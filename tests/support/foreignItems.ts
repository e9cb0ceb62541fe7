import {
  V3,
  response,
  map,
  TEMPLATE,
  score,
  when,
  given,
  base,
  word,
  options,
  choice,
  entry,
  near,
} from './foreignParts'

export interface Foreign {
  readonly xml: string
  /** What it becomes; null: it is refused. */
  readonly is: Readonly<Record<string, unknown>> | null
  /** The codes of what is said of it. */
  readonly said: readonly string[]
  /** Words and numbers that learners may type. */
  readonly words?: readonly string[]
}

const WAVES = ['Crest', 'Trough', 'Node', 'Beam'] as const

/** Items as other programs write them; none came out of the printer here. */
export const FOREIGN: Readonly<Record<string, Foreign>> = {
  'a number with words on its line keeps its tolerance': {
    xml: V3(
      `<p>A circle of 5 cm.</p><p>It is ${entry()} cm around.</p>`,
      response('float', ['15.71']),
      when(near('absolute', '0.02 0.02'), 2),
    ),
    is: { kind: 'blanks', passage: 'It is [1] cm around.', accepted: { 1: ['15.71 ± 0.02'] }, points: 2 },
    said: [],
    words: ['15.7', '15.70', '15.71', '15.73', '15.69', '15.68', '15.74', '16'],
  },
  'a tolerance in per cent is one in numbers': {
    xml: V3(
      `<p>How much?</p><p>${entry()}</p>`,
      response('float', ['200']),
      when(near('relative', '2 2'), 1),
    ),
    is: { kind: 'numeric', value: 200, tolerance: 4, points: 1 },
    said: [],
    words: ['200', '201.06', '204', '196', '195.9', '204.1', '2'],
  },
  'a tolerance that is wider on one side is said': {
    xml: V3(`<p>How much?</p><p>${entry()}</p>`, response('float', ['10']), when(near('absolute', '1 3'), 1)),
    is: { kind: 'numeric', value: 10, tolerance: 1 },
    said: ['scored-otherwise'],
    words: ['9', '10', '12', '13', '14'],
  },
  'bounds by at least and at most': {
    xml: V3(
      `<p>How much?</p><p>${entry()}</p>`,
      response('float', []),
      when(
        `<qti-and><qti-gte>${given()}${base('4', 'float')}</qti-gte>
      <qti-lte>${given()}${base('6', 'float')}</qti-lte></qti-and>`,
        3,
      ),
    ),
    is: { kind: 'numeric', value: 5, tolerance: 1, points: 3 },
    said: [],
    words: ['3.9', '4', '5', '6', '6.1'],
  },
  'a right choice that stands in the rules only': {
    xml: V3(
      choice(WAVES),
      response('identifier', []),
      when(`<qti-match>${given()}${base('C2')}</qti-match>`, 2),
    ),
    is: { kind: 'single', right: 'b', points: 2 },
    said: [],
  },
  'a choice that is mapped, without a maximum': {
    xml: V3(choice(WAVES), response('identifier', [], map({ C3: 3, C1: 0 })), TEMPLATE('map_response')),
    is: { kind: 'single', right: 'c', points: 3 },
    said: [],
  },
  'a choice that earns a part is said': {
    xml: V3(choice(WAVES), response('identifier', ['C1'], map({ C1: 2, C2: 1 })), TEMPLATE('map_response')),
    is: { kind: 'single', right: 'a', points: 2 },
    said: ['scored-otherwise'],
  },
  'two choices that earn all are refused': {
    xml: V3(
      choice(WAVES),
      response('identifier', []),
      when(
        `<qti-or><qti-match>${given()}${base('C1')}</qti-match><qti-match>${given()}${base('C2')}</qti-match>
      </qti-or>`,
        1,
      ),
    ),
    is: null,
    said: ['several-right'],
  },
  'several choices, wrong ones cost as much': {
    xml: V3(
      choice(WAVES, 0),
      response(
        'identifier',
        ['C1', 'C2'],
        map({ C1: 1, C2: 1, C3: -1, C4: -1 }, 'lower-bound="0" default-value="0"'),
        'multiple',
      ),
      TEMPLATE('map_response'),
    ),
    is: { kind: 'multiple', right: ['a', 'b'], points: 2 },
    said: [],
  },
  'several choices without a penalty are said': {
    xml: V3(
      choice(WAVES, 0),
      response('identifier', ['C1', 'C2'], map({ C1: 1, C2: 1 }), 'multiple'),
      TEMPLATE('map_response'),
    ),
    is: { kind: 'multiple', right: ['a', 'b'], points: 2 },
    said: ['scored-otherwise'],
  },
  'several choices, all or nothing, are said': {
    xml: V3(
      choice(WAVES, 0),
      response('identifier', ['C2', 'C4'], '', 'multiple'),
      TEMPLATE('match_correct'),
    ),
    is: { kind: 'multiple', right: ['b', 'd'], points: 1 },
    said: ['scored-otherwise'],
  },
  'an order, all or nothing, is said': {
    xml: V3(
      `<qti-order-interaction response-identifier="RESPONSE">
      <qti-prompt>In order?</qti-prompt>${options(WAVES)}</qti-order-interaction>`,
      response('identifier', ['C2', 'C1', 'C4', 'C3'], '', 'ordered'),
      TEMPLATE('match_correct'),
    ),
    is: { kind: 'ordering', right: ['b', 'a', 'd', 'c'], points: 1 },
    said: ['scored-otherwise'],
  },
  'pairs that are mapped': {
    xml: V3(
      `<qti-match-interaction response-identifier="RESPONSE" max-associations="2">
      <qti-prompt>Match.</qti-prompt><qti-simple-match-set>
      <qti-simple-associable-choice identifier="A" match-max="1">High</qti-simple-associable-choice>
      <qti-simple-associable-choice identifier="B" match-max="1">Low</qti-simple-associable-choice>
      </qti-simple-match-set><qti-simple-match-set>
      <qti-simple-associable-choice identifier="X" match-max="1">Crest</qti-simple-associable-choice>
      <qti-simple-associable-choice identifier="Y" match-max="1">Trough</qti-simple-associable-choice>
      <qti-simple-associable-choice identifier="Z" match-max="1">Node</qti-simple-associable-choice>
      </qti-simple-match-set></qti-match-interaction>`,
      response('directedPair', ['A X', 'B Y'], map({ 'A X': 1, 'B Y': 1 }), 'multiple'),
      TEMPLATE('map_response'),
    ),
    is: { kind: 'matching', points: 2 },
    said: [],
  },
  'a second spelling at half of the points stays half': {
    xml: V3(
      `<p>The top?</p><p>${entry()}</p>`,
      response('string', ['crest'], map({ crest: 2, krest: 1 })),
      TEMPLATE('map_response'),
    ),
    is: { kind: 'text', accepted: ['crest', 'krest (½)'], points: 2 },
    said: [],
    words: ['crest', 'Crest', 'krest', 'KREST', 'top'],
  },
  'capital letters that are told apart are said': {
    xml: V3(`<p>The sign?</p><p>${entry()}</p>`, response('string', ['Hz']), TEMPLATE('match_correct')),
    is: { kind: 'text', accepted: ['Hz'] },
    said: ['case-alike'],
    words: ['Hz', 'hz', 'HZ', 'kHz'],
  },
  'a word of several, by the rules, whatever the case': {
    xml: V3(
      `<p>The top?</p><p>${entry()}</p>`,
      response('string', []),
      when(`<qti-or>${word('crest')}${word('peak')}</qti-or>`, 1),
    ),
    is: { kind: 'text', accepted: ['crest', 'peak'], points: 1 },
    said: [],
    words: ['crest', 'Peak', 'PEAK', 'trough'],
  },
  'a part of a word that is enough is said': {
    xml: V3(
      `<p>The top?</p><p>${entry()}</p>`,
      response('string', []),
      when(word('crest', 'substring="true"'), 1),
    ),
    is: { kind: 'text', accepted: ['crest'] },
    said: ['scored-otherwise'],
    words: ['crest', 'the crest', 'peak'],
  },
  'several blanks, each for its part': {
    xml: V3(
      `<p>Fill in.</p><p>${entry('A')} waves run along, ${entry('B')} are ${entry('C')} m long.</p>`,
      response('string', ['Sound'], map({ Sound: 1 }), 'single', 'A') +
        response('string', ['others'], map({ others: 1, some: 0.5 }), 'single', 'B') +
        response('float', ['1.5'], '', 'single', 'C'),
      `<qti-response-processing><qti-set-outcome-value identifier="SCORE"><qti-sum>
      <qti-map-response identifier="A"/><qti-map-response identifier="B"/></qti-sum></qti-set-outcome-value>
      <qti-response-condition><qti-response-if>${near('absolute', '0.1', 'C')}
      <qti-set-outcome-value identifier="SCORE"><qti-sum><qti-variable identifier="SCORE"/>
      ${base('1', 'float')}</qti-sum>
      </qti-set-outcome-value></qti-response-if></qti-response-condition></qti-response-processing>`,
    ),
    is: {
      kind: 'blanks',
      passage: '[1] waves run along, [2] are [3] m long.',
      accepted: { 1: ['Sound'], 2: ['others', 'some (½)'], 3: ['1.5 ± 0.1'] },
      points: 3,
    },
    said: [],
    words: ['sound', 'Sound', 'others', 'some', '1.5', '1.6', '1.4', '1.39', '2'],
  },
  'words chosen within a text are blanks': {
    xml: V3(
      `<p>A sound <qti-inline-choice-interaction response-identifier="RESPONSE">
      <qti-inline-choice identifier="U">rises</qti-inline-choice>
      <qti-inline-choice identifier="D">falls</qti-inline-choice>
      </qti-inline-choice-interaction> when it is near.</p>`,
      response('identifier', ['U']),
      TEMPLATE('match_correct'),
    ),
    is: {
      kind: 'blanks',
      passage: 'A sound [1] (rises / falls) when it is near.',
      accepted: { 1: ['rises'] },
    },
    said: [],
    words: ['rises', 'falls'],
  },
  'gaps that are filled from a bank of words are blanks': {
    xml: V3(
      `<qti-gap-match-interaction response-identifier="RESPONSE"><qti-prompt>Put in the words.</qti-prompt>
      <qti-gap-text identifier="E" match-max="1">energy</qti-gap-text>
      <qti-gap-text identifier="M" match-max="1">matter</qti-gap-text>
      <p>A wave carries <qti-gap identifier="G1"/>, not <qti-gap identifier="G2"/>.</p></qti-gap-match-interaction>`,
      response('directedPair', ['E G1', 'M G2'], map({ 'E G1': 1, 'M G2': 1 }), 'multiple'),
      TEMPLATE('map_response'),
    ),
    is: {
      kind: 'blanks',
      stem: 'Put in the words.\n\nenergy · matter',
      passage: 'A wave carries [1], not [2].',
      accepted: { 1: ['energy'], 2: ['matter'] },
      points: 2,
    },
    said: [],
    words: ['energy', 'matter'],
  },
  'a rule that is not read is named, and nothing guessed': {
    xml: V3(
      `<p>How?</p><p>${entry()}</p>`,
      response('string', ['a']),
      when(`<qti-pattern-match pattern="a.*">${given()}</qti-pattern-match>`, 1),
    ),
    is: null,
    said: ['rules-not-read'],
  },
  'rules that only choose a feedback count for nothing': {
    xml: V3(
      choice(WAVES),
      response('identifier', ['C4']),
      `<qti-response-processing><qti-response-condition><qti-response-if>
      <qti-match>${given()}<qti-correct identifier="RESPONSE"/></qti-match>${score(1)}</qti-response-if>
      </qti-response-condition><qti-set-outcome-value identifier="FEEDBACK"><qti-random>${given()}</qti-random>
      </qti-set-outcome-value></qti-response-processing>`,
    ),
    is: { kind: 'single', right: 'd' },
    said: [],
  },
  'two choices of one name are a fault': {
    xml: V3(
      `<qti-choice-interaction response-identifier="RESPONSE"><qti-prompt>Which?</qti-prompt>
      <qti-simple-choice identifier="A">One</qti-simple-choice>
      <qti-simple-choice identifier="A">Two</qti-simple-choice></qti-choice-interaction>`,
      response('identifier', ['A']),
      TEMPLATE('match_correct'),
    ),
    is: null,
    said: ['name-twice'],
  },
  'what is said to be right and earns less than another is refused': {
    xml: V3(
      `<p>How much?</p><p>${entry()}</p>`,
      response('float', ['3']),
      when(`<qti-gte>${given()}${base('7', 'float')}</qti-gte>`, 2),
    ),
    is: null,
    said: ['contradicts-itself'],
  },
}
