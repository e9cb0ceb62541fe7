import { decoded } from '../html'

/** The folder of a file in a package, with its last stroke; empty for the outermost. */
export function folderOf(path: string): string {
  return path.slice(0, path.lastIndexOf('/') + 1)
}

/** An address within a package: the file that it names from another's folder, and the place within it. */
export function placeOf(folder: string, href: string): { readonly path: string; readonly at: string } {
  const [file = '', at = ''] = href.split('#', 2)
  const parts: string[] = []
  for (const part of `${folder}${decoded(file)}`.split('/')) {
    if (part === '..') parts.pop()
    else if (part !== '.' && part !== '') parts.push(part)
  }
  return { path: parts.join('/'), at: decoded(at) }
}
