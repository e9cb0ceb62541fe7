import { walksByTab } from './focus'
import { isLargeEnough } from './sizes'
import type { Person } from './browser'

const LAPTOP = { width: 1280, height: 800 }
export const PHONE = { width: 390, height: 844 }
/** What a laptop shows at 200 %. */
const ENLARGED = { width: 640, height: 400 }

/**
 * All that holds of a view on a laptop: axe finds nothing, in the dark neither; the focus can be followed; and it fits
 * when it is enlarged. Another scheme of colours changes nothing but colours, so nothing else is looked at again.
 */
export async function looksRight(p: Person): Promise<void> {
  await isAccessibleInBoth(p)
  await isLargeEnough(p)
  await walksByTab(p)
}

async function isAccessibleInBoth(p: Person): Promise<void> {
  await p.isAccessible()
  await inScheme(p, 'dark')
  await p.isAccessible('colours')
  await inScheme(p, 'light')
}

/** A dialog that is open, on a laptop and on a phone, in the light and in the dark. */
export async function dialogLooksRight(p: Person): Promise<void> {
  for (const size of [LAPTOP, PHONE]) {
    await p.page.setViewport(size)
    await isAccessibleInBoth(p)
    await isLargeEnough(p)
  }
  await p.page.setViewport(LAPTOP)
}

/** The same with the view enlarged to 200 %, at which nothing may be scrolled sideways. */
export async function looksRightEnlarged(p: Person): Promise<void> {
  await looksRight(p)
  await p.page.setViewport(ENLARGED)
  await p.isStill()
  await p.fits()
  await p.page.setViewport(LAPTOP)
}

/** What differs on a phone: that it fits, what axe finds, how large things are, and where the focus can be seen. */
export async function looksRightOnPhone(p: Person): Promise<void> {
  await p.fits()
  await isAccessibleInBoth(p)
  await isLargeEnough(p)
  await walksByTab(p)
}

async function inScheme(p: Person, scheme: 'light' | 'dark'): Promise<void> {
  await p.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: scheme }])
}
