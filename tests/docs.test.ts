import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import { licencesText } from '../scripts/steps/licences.mjs'
import { FOLDERS } from './support/house'

const ROOT = fileURLToPath(new URL('..', import.meta.url))
const PATHS = new RegExp(`\`((?:${FOLDERS.join('|')}|tests|demo|scripts)/[\\w./-]*\\w)/?\``, 'g')
const DOCS = readdirSync(`${ROOT}docs`).filter((name) => name.endsWith('.md'))

it.each(DOCS)('%s names only files and folders that are there', (name) => {
  const text = readFileSync(`${ROOT}docs/${name}`, 'utf8')
  const named = [...text.matchAll(PATHS)].map(([, path = '']) => path)
  expect(named.filter((path) => !existsSync(ROOT + path) && !existsSync(`${ROOT}${path}.ts`))).toEqual([])
})

it('the licences of what ships are listed', () => {
  expect(readFileSync(`${ROOT}docs/licences.md`, 'utf8')).toBe(licencesText())
})
