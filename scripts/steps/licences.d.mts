/** Packages that ship by their licence, as docs/licences.md has it: from the lock file alone. */
export function licencesText(): string
