import { shallowRef } from 'vue'

/** Where a file is read that was chosen at another place: with the school year, or with a class. */
export type ReadAt = 'calendar' | 'roster'

/** The file that is brought along; it goes no further than to the place that reads it. */
const carried = shallowRef<{ readonly to: ReadAt; readonly file: File } | null>(null)

/** Brings a file to the place where it is read. */
export function carry(to: ReadAt, file: File): void {
  carried.value = { to, file }
}

/** The name of the file that is brought to a place; null: none is. */
export function carriedName(to: ReadAt): string | null {
  return carried.value?.to === to ? carried.value.file.name : null
}

/** Takes the file that is brought to a place, once. */
export function takeCarried(to: ReadAt): File | null {
  const found = carried.value?.to === to ? carried.value.file : null
  if (found) carried.value = null
  return found
}
