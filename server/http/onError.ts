import { randomUUID } from 'node:crypto'
import { defineNitroErrorHandler } from 'nitropack/runtime'
import { setResponseHeader, setResponseStatus } from 'h3'
import { logDefect } from './log'

/** Whatever no route caught: one plain page or one JSON shape, without detail. */
export default defineNitroErrorHandler((error, event) => {
  const status = error.statusCode === 404 ? 404 : 500
  const requestId = randomUUID()
  if (status === 500) logDefect(requestId, error)
  setResponseStatus(event, status)
  const body =
    status === 404
      ? { error: { code: 'wire/unknown-address' } }
      : { error: { code: 'wire/broken', requestId } }
  if (event.path.startsWith('/api/')) {
    setResponseHeader(event, 'content-type', 'application/json')
    event.node.res.end(JSON.stringify(body))
    return
  }
  setResponseHeader(event, 'content-type', 'text/html; charset=utf-8')
  const words =
    status === 404
      ? ['There is nothing at this address.', 'Check the address, or go to the start page.']
      : [
          'Something broke on our side.',
          `Nothing you saved is lost. If it happens again, report this number: ${requestId}`,
        ]
  event.node.res.end(
    '<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" ' +
      `content="width=device-width"><title>${words[0]} · Step Cairn</title>` +
      '<body style="color-scheme:light dark;font:16px/1.5 system-ui;margin:15vh auto;max-width:32rem;' +
      'padding:0 1rem;background:light-dark(#faf7f1,#182120);color:light-dark(#2b3532,#dcd9d0)"><main>' +
      `<h1 style="font-size:1.4rem">${words[0]}</h1><p>${words[1]}</p><p><a href="/" ` +
      'style="color:light-dark(#0f4f59,#80b9bf)">Start page</a></p></main></body></html>',
  )
})
