import { defineEventHandler, setResponseStatus } from 'h3'

/** Any other address under /api. */
export default defineEventHandler((event) => {
  setResponseStatus(event, 404)
  return { error: { code: 'wire/unknown-address' } }
})
