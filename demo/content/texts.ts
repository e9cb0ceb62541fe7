import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { parse } from 'yaml'

/** A text sentence by sentence, each in three ways from well done to begun. */
type Sentences = readonly (readonly [string, string, string])[]
type Task = 'mat502' | 'mat502b' | 'wav602'
type File = Readonly<Record<Task, Sentences>> & { readonly comments: readonly string[] }

const file = parse(readFileSync(fileURLToPath(new URL('./texts.yaml', import.meta.url)), 'utf8')) as File

/** Sentences of texts by the code of the task for which they were written. */
export const TEXTS: Readonly<Record<Task, Sentences>> = file
/** What the teacher likes to say about texts. */
export const COMMENTS = file.comments
