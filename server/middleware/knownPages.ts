import { createError, defineEventHandler } from 'h3'
import { PAGES } from 'virtual:page-paths'

const KNOWN = PAGES.map((path) => new RegExp(`^${path.replace(/:\w+(\(\))?/g, '[^/]+')}/?$`))
/** Answered by others: routes, and files of the build. */
const NOT_PAGES = /^\/(api|_nuxt|_fonts|__nuxt\w*)\//

/** The app is drawn in the browser, which would make a page of every address: unknown ones answer 404 here. */
export default defineEventHandler((event) => {
  const path = event.path.split('?')[0] ?? '/'
  if (NOT_PAGES.test(path) || KNOWN.some((page) => page.test(path))) return
  throw createError({ statusCode: 404 })
})
