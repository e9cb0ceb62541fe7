import { addCollection } from '@iconify/vue'
import icons from 'virtual:icons-in-use'

let isAdded = false

/** Makes every icon in use known, so that none appears late or stays empty. */
export function addTeacherIcons(): void {
  if (!isAdded) addCollection(icons)
  isAdded = true
}
