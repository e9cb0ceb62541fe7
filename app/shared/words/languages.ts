const LANGUAGES = new Intl.DisplayNames(['en'], { type: 'language', fallback: 'code' })

/** A language by its code, such as `es`, in words. */
export function sayLanguage(code: string): string {
  return /^[a-z]{2,3}$/.test(code) ? (LANGUAGES.of(code) ?? code) : code
}
