import { execFileSync } from 'node:child_process'
import { cpSync, mkdirSync, symlinkSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { ESLint } from 'eslint'
import { check, resolveConfig } from 'prettier'
import { describe, expect, it } from 'vitest'
import { aFolder } from './support/world'

const ROOT = fileURLToPath(new URL('..', import.meta.url))

/** What the lint says of a text that stands in for a file that exists. */
async function rulesBroken(path: string, text: string): Promise<readonly string[]> {
  const [result] = await new ESLint({ cwd: ROOT }).lintText(text, { filePath: join(ROOT, path) })
  return (result?.messages ?? []).map((message) => message.ruleId ?? message.message)
}

describe('a planted breach is noticed', () => {
  it('of the layout', async () => {
    const config = await resolveConfig(join(ROOT, 'core/base/index.ts'))
    expect(await check('const a = "x";\n', { ...config, parser: 'typescript' })).toBe(false)
    expect(await check("const a = 'x'\n", { ...config, parser: 'typescript' })).toBe(true)
    const wide = `const list = [${Array.from({ length: 40 }, (_, i) => i + 100).join(', ')}]\n`
    expect(await check(wide, { ...config, parser: 'typescript' })).toBe(false)
  })

  it.each([
    [
      'a promise that nobody waits for',
      '@typescript-eslint/no-floating-promises',
      'export function go(act: () => Promise<void>): void {\n  act()\n}\n',
    ],
    [
      'a promise where a plain answer is wanted',
      '@typescript-eslint/no-misused-promises',
      'export function isIt(act: Promise<boolean>): number {\n  return act ? 1 : 2\n}\n',
    ],
    [
      'a condition that always holds',
      '@typescript-eslint/no-unnecessary-condition',
      'export function sum(list: readonly number[]): number {\n  return list ? list.length : 0\n}\n',
    ],
    [
      'a switch with a case left out',
      '@typescript-eslint/switch-exhaustiveness-check',
      "export function n(of: 'a' | 'b'): number {\n  switch (of) {\n" +
        "    case 'a':\n      return 1\n  }\n  return 0\n}\n",
    ],
    ['any', '@typescript-eslint/no-explicit-any', 'export const x = (y: any): string => String(y)\n'],
    ['exporting everything', 'no-restricted-syntax', "export * from './result'\n"],
  ])('of the lint: %s', async (_, rule, text) => {
    expect(await rulesBroken('core/base/index.ts', text)).toContain(rule)
  })

  it('of what is used: a file and an export that nobody imports', () => {
    const copy = aFolder()
    const tracked = execFileSync('git', ['ls-files', '-z'], { cwd: ROOT, encoding: 'utf8' })
    for (const path of tracked.split('\0').filter((p) => p !== '' && !/\.(png|woff2)$/.test(p))) {
      mkdirSync(dirname(join(copy, path)), { recursive: true })
      cpSync(join(ROOT, path), join(copy, path))
    }
    symlinkSync(join(ROOT, 'node_modules'), join(copy, 'node_modules'))
    symlinkSync(join(ROOT, '.nuxt'), join(copy, '.nuxt'))
    writeFileSync(join(copy, 'core/base/forgotten.ts'), 'export const forgotten = 1\n')
    writeFileSync(join(copy, 'core/base/half.ts'), 'export const used = 1\nexport const unused = 2\n')
    writeFileSync(join(copy, 'usecases/half.test.ts'), "import { used } from '#core/base/half'\nvoid used\n")
    let said = ''
    try {
      execFileSync(process.execPath, [join(ROOT, 'node_modules/knip/bin/knip.js'), '--no-progress'], {
        cwd: copy,
        encoding: 'utf8',
        stdio: ['ignore', 'pipe', 'pipe'],
      })
    } catch (error) {
      said = (error as { readonly stdout: string }).stdout
    }
    expect(said).toContain('core/base/forgotten.ts')
    expect(said).toMatch(/unused\s+core\/base\/half\.ts/)
  })
})
