import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'

export const ROOT = fileURLToPath(new URL('../..', import.meta.url))

/** Runs a command in the project's folder and waits; stops the script when it fails. */
export async function run(command, args, options = {}) {
  const code = await new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: 'inherit',
      ...options,
      env: { ...process.env, ...options.env },
    })
    child.on('error', reject)
    child.on('exit', (status, signal) => resolve(signal ? 1 : status))
  })
  if (code !== 0) {
    if (!options.quiet)
      process.stderr.write(`\n${options.title ?? [command, ...args].join(' ')} failed (code ${code}).\n`)
    process.exit(code || 1)
  }
}

/** Runs a program of an installed package, without a shell. */
export function runBin(packageBin, args, options = {}) {
  return run(process.execPath, [`${ROOT}node_modules/${packageBin}`, ...args], {
    title: packageBin,
    ...options,
  })
}

/** Runs a TypeScript file. */
export function runTs(file, args = [], options = {}) {
  return run(process.execPath, ['--import', 'tsx', file, ...args], {
    title: file,
    ...options,
    env: { TSX_TSCONFIG_PATH: `${ROOT}tsconfig.node.json`, ...options.env },
  })
}
