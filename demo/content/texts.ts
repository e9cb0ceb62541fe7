import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { parse } from 'yaml'

/** A text sentence by sentence, each in three ways from well done to begun. */
type Sentences = readonly (readonly [string, string, string])[]
type File = Readonly<Record<'mat502' | 'wav602', Sentences>> & { readonly comments: readonly string[] }

const file = parse(readFileSync(fileURLToPath(new URL('./texts.yaml', import.meta.url)), 'utf8')) as File

/** Sentences of texts by the code of the task for which they were written. */
export const TEXTS: Readonly<Record<'mat502' | 'wav602', Sentences>> = file
/** What the teacher likes to say about texts. */
export const COMMENTS = file.comments
