import { defineNuxtRouteMiddleware, navigateTo } from '#imports'
import { useMe } from '~/shared/session/me'

const ACCOUNT = '/account'
const OPEN = ['/sign-in', '/sign-up', '/join']

/** Sends people to where they belong; what they may do is decided by the server alone. */
export default defineNuxtRouteMiddleware(async (to) => {
  const store = useMe()
  await store.ask()
  if (store.isLost) return
  const learner = store.me?.role === 'learner'
  const home = learner ? '/learn' : '/pace/week'
  if (OPEN.includes(to.path)) return store.me ? navigateTo(home) : undefined
  if (!store.me) return navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { to: to.fullPath } })
  if (store.me.mustChangePassword && to.path !== ACCOUNT) return navigateTo(ACCOUNT)
  if (to.path === ACCOUNT) return
  if (to.path === '/') return navigateTo(home)
  // a link from one piece's text to another
  const [, piece] = /^\/piece\/([\w-]+)$/.exec(to.path) ?? []
  if (piece !== undefined)
    return navigateTo(learner ? `/learn/piece/${piece}` : `/shelf?piece=${piece}`, { replace: true })
  if (learner !== to.path.startsWith('/learn')) return navigateTo(home)
})
