import { readFileSync } from 'node:fs'
import { ROOT } from './run.mjs'

/** Packages that ship by their licence, as docs/licences.md has it: from the lock file alone. */
export function licencesText() {
  const { packages } = JSON.parse(readFileSync(`${ROOT}package-lock.json`, 'utf8'))
  const byLicence = new Map()
  for (const [path, { dev, devOptional, license }] of Object.entries(packages)) {
    if (path === '' || dev || devOptional) continue
    const name = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length)
    const key = license ?? 'see its own file'
    byLicence.set(key, new Set([...(byLicence.get(key) ?? []), name]))
  }
  const parts = [...byLicence]
    .sort((a, b) => b[1].size - a[1].size || (a[0] < b[0] ? -1 : 1))
    .map(([licence, names]) => `## ${licence} (${names.size})\n\n${[...names].sort().join(', ')}\n`)
  return `# Licences of what ships\n\nMade by \`npm run licences\` from the lock file.\n\n${parts.join('\n')}`
}
