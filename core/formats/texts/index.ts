export { learnerNamed } from './learnerNamed'
export { readTexts } from './readTexts'
export type { TextFound, TextLeftOut, TextsRead } from './readTexts'
