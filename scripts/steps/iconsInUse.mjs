import { readFileSync, readdirSync } from 'node:fs'
import { createRequire } from 'node:module'

const NAME = 'virtual:icons-in-use'
const LUCIDE = createRequire(import.meta.url).resolve('@iconify-json/lucide/icons.json')
/** Icons that Nuxt UI's own components show. */
const OF_COMPONENTS = [
  'arrow-left',
  'arrow-right',
  'check',
  'chevron-down',
  'chevron-left',
  'chevron-right',
  'chevron-up',
  'chevrons-left',
  'chevrons-right',
  'circle-alert',
  'circle-check',
  'circle-x',
  'ellipsis',
  'file',
  'info',
  'loader-circle',
  'minus',
  'monitor',
  'moon',
  'plus',
  'search',
  'sun',
  'triangle-alert',
  'upload',
  'x',
]

/** A module with the icons that the sources of a folder name, as one Iconify collection. */
export function iconsInUse(folder) {
  return {
    name: 'icons-in-use',
    resolveId: (id) => (id === NAME ? `\0${NAME}` : undefined),
    load(id) {
      if (id !== `\0${NAME}`) return undefined
      const { prefix, width, height, icons, aliases } = JSON.parse(readFileSync(LUCIDE, 'utf8'))
      const names = [...new Set([...OF_COMPONENTS, ...namedIn(folder)])].sort()
      const bodyOf = (name) => icons[name] ?? icons[aliases?.[name]?.parent]
      const missing = names.filter((name) => !bodyOf(name))
      if (missing.length > 0) this.error(`No such icons: ${missing.join(', ')}`)
      const used = Object.fromEntries(names.map((name) => [name, bodyOf(name)]))
      return `export default ${JSON.stringify({ prefix, width, height, icons: used })}`
    },
  }
}

function namedIn(folder) {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /\.(vue|ts)$/.test(entry.name))
    .flatMap((entry) => {
      const text = readFileSync(`${entry.parentPath}/${entry.name}`, 'utf8')
      return [...text.matchAll(/\bi-lucide-([a-z0-9-]+)/g)].map(([, name]) => name)
    })
}
