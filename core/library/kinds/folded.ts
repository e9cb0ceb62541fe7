/** Case, accents' composition and runs of spaces do not count. */
export function folded(text: string): string {
  return text.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ').trim()
}
