export const FOLDERS = ['core', 'ports', 'shared', 'db', 'usecases', 'standins', 'server', 'app'] as const
export type Folder = (typeof FOLDERS)[number]

/** Who may import whom; a package only where it is named. */
export const MAY: Record<
  Folder,
  { readonly folders: readonly Folder[]; readonly packages: readonly RegExp[] }
> = {
  core: { folders: ['core'], packages: [] },
  ports: { folders: ['core'], packages: [] },
  shared: { folders: ['core', 'shared'], packages: [/^zod$/] },
  db: {
    folders: ['core', 'shared', 'db'],
    packages: [/^drizzle-orm/, /^@libsql\/client$/, /^libsql$/, /^zod$/, /^node:/],
  },
  usecases: { folders: ['core', 'ports', 'usecases', 'db'], packages: [] },
  standins: { folders: ['core', 'ports', 'standins'], packages: [/^node:(crypto|os)$/, /^date-holidays$/] },
  server: {
    folders: ['core', 'shared', 'usecases', 'ports', 'server'],
    packages: [
      /^h3$/,
      /^nitropack\/runtime$/,
      /^zod$/,
      /^node:crypto$/,
      /^proxy-addr$/,
      /^content-disposition$/,
      /^ipaddr\.js$/,
      /^tinypool$/,
      /^virtual:page-paths$/,
      /^node:(os|url|perf_hooks|fs\/promises)$/,
    ],
  },
  app: {
    folders: ['core', 'shared', 'app'],
    packages: [
      /^vue$/,
      /^pinia$/,
      /^#imports$/,
      /^@vueuse\/core$/,
      /^markdown-it$/,
      /^katex$/,
      /^echarts/,
      /^@atlaskit\/pragmatic-drag-and-drop\//,
      /^@internationalized\/date$/,
      /^@iconify\/vue$/,
      /^virtual:icons-in-use$/,
      /^chrono-node\/en$/,
      /^syllable$/,
      /^dictionary-en\//,
      /^retext-/,
      /^unified$/,
      /^vfile$/,
    ],
  },
}

/** Core topics and what each may use besides itself. */
export const TOPICS: Record<string, readonly string[]> = {
  base: [],
  combining: ['base'],
  access: ['base'],
  calendar: ['base'],
  library: ['base', 'combining'],
  audience: ['base', 'combining'],
  pacing: ['base', 'calendar'],
  availability: ['base', 'combining', 'calendar', 'audience', 'pacing'],
  attempts: ['base', 'library'],
  versions: ['base', 'combining', 'library'],
  writing: [],
  load: ['base', 'calendar'],
  week: ['base', 'calendar', 'library', 'pacing', 'availability'],
  standing: ['base', 'combining', 'library', 'attempts', 'pacing', 'availability', 'versions', 'work'],
  series: ['base', 'combining', 'library', 'audience', 'availability', 'attempts', 'work'],
  work: ['base', 'combining', 'library', 'audience', 'availability', 'attempts', 'versions'],
  lastLook: ['base', 'audience', 'availability', 'attempts', 'load', 'work'],
  filing: ['base', 'combining', 'library', 'work'],
  placing: ['base', 'library', 'audience', 'availability', 'attempts', 'work'],
  agenda: ['base', 'library', 'attempts', 'availability', 'versions', 'filing', 'work'],
  evidence: ['base', 'library', 'attempts', 'versions'],
  grouping: ['base'],
  followUp: ['base', 'library', 'attempts', 'evidence'],
  formats: ['base', 'calendar', 'audience', 'pacing', 'library'],
  journal: ['audience', 'pacing', 'work', 'series', 'standing', 'filing', 'versions'],
  knockOn: ['base', 'calendar', 'pacing', 'availability', 'work'],
}

/** Parts of pacing and what each may use besides itself. */
export const PACING: Record<string, readonly string[]> = {
  plan: [],
  track: ['plan'],
  layout: ['plan', 'track'],
  fit: ['plan', 'track', 'layout'],
  command: ['plan'],
  record: ['plan', 'track', 'layout', 'command'],
  ripple: ['plan', 'track', 'layout', 'fit', 'command'],
  forecast: ['plan', 'track', 'layout'],
}

/**
 * Floors of the use-cases, lowest first. A folder may use the floors below its own, never its neighbours on the same
 * floor nor what is above: so no circle of folders can be.
 */
export const FLOORS: readonly (readonly string[])[] = [
  // what several acts read
  ['ground'],
  // what follows from any change
  ['settling'],
  ['accounts', 'presets', 'load'],
  ['pacing', 'work'],
  ['library', 'evidence', 'teaching', 'filing', 'standing', 'series', 'placing'],
  ['learning', 'week'],
  // what reads all of them
  ['journal', 'lens', 'notices'],
]

/** Places of the app and which others each may use, through their doors. */
export const PLACES: Record<string, readonly string[]> = {
  entry: [],
  learner: [],
  lens: ['learner', 'pace'],
  evidence: ['pace', 'learner', 'shelf', 'work'],
  shelf: ['learner'],
  versions: ['learner', 'shelf', 'pace'],
  pace: ['shelf'],
  classes: ['pace', 'shelf'],
  work: ['pace', 'shelf'],
  bar: ['pace', 'shelf'],
}

/** Files of the app outside its rooms that others may import. */
export const APP_FILES = /^$/

export const EXTRA: readonly { readonly file: RegExp; readonly packages: RegExp }[] = [
  {
    file: /^core\/formats\//,
    packages: /^(papaparse|ical\.js|fast-xml-parser|yaml|mathml-to-latex|chardet|fflate|turndown|file-type)$/,
  },
  { file: /^server\/plugins\//, packages: /^#(db|standins)\// },
]

/** Lines a file may have, counted as Prettier lays it out. */
export const SIZES: readonly { readonly of: RegExp; readonly lines: number }[] = [
  { of: /^core\/.*\.ts$/, lines: 250 },
  { of: /^app\/.*\.vue$/, lines: 260 },
  { of: /^app\/places\/[^/]+\/composables\/.*\.ts$/, lines: 120 },
  { of: /^app\/places\/[^/]+\/stores\/.*\.ts$/, lines: 160 },
  { of: /^app\/.*\.ts$/, lines: 250 },
  { of: /^server\/routes\/.*\.ts$/, lines: 90 },
]

/** No line of code is wider. */
export const COLUMNS = 120
