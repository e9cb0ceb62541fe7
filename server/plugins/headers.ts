import { createHash } from 'node:crypto'
import { setResponseHeader } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'

/**
 * The one line with which Nuxt UI drops its first colours once the real ones are there; it is added in the
 * browser, so no page holds it.
 */
const UI_SCRIPT = "document.head.removeChild(document.querySelector('[data-nuxt-ui-colors]'))"

const hashOf = (script: string) => `'sha256-${createHash('sha256').update(script).digest('base64')}'`

/** Safety headers on every answer; inline scripts of a page are allowed by their hash only. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('request', (event) => {
    setResponseHeader(event, 'x-content-type-options', 'nosniff')
    setResponseHeader(event, 'referrer-policy', 'same-origin')
    setResponseHeader(event, 'x-frame-options', 'DENY')
    setResponseHeader(event, 'permissions-policy', 'camera=(), microphone=(), geolocation=()')
    setResponseHeader(event, 'content-security-policy', policy([]))
  })
  nitro.hooks.hook('render:response', (response, { event }) => {
    // with what it is made is nobody's business
    if (response.headers) delete response.headers['x-powered-by']
    const scripts = [
      ...String(response.body).matchAll(/<script(?![^<>]*\ssrc=)[^<>]*>((?:(?!<script)[\s\S])*?)<\/script>/g),
    ].map((m) => m[1] ?? '')
    setResponseHeader(event, 'content-security-policy', policy([...scripts, UI_SCRIPT].map(hashOf)))
  })
})

function policy(scriptHashes: readonly string[]): string {
  return [
    "default-src 'self'",
    `script-src 'self' ${scriptHashes.join(' ')}`.trim(),
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data:",
    "font-src 'self'",
    "connect-src 'self'",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
}
