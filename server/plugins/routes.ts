import { defineEventHandler, setResponseStatus } from 'h3'
import type { RouterMethod } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'
import { ROUTES } from '../routes'

/** Puts the tables of routes into the server: each address and method stands once, in its contract. */
export default defineNitroPlugin(({ router }) => {
  for (const { contract, handler } of ROUTES)
    router.use(contract.path, handler, contract.method.toLowerCase() as RouterMethod)
  router.use('/api/**', unknownAddress)
})

const unknownAddress = defineEventHandler((event) => {
  setResponseStatus(event, 404)
  return { error: { code: 'wire/unknown-address' } }
})
