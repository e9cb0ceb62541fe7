import { hasInjectionContext, inject } from 'vue'
import type { InjectionKey } from 'vue'
import { sayForEveryone } from './everyonesRefusals'

type Saying = typeof sayForEveryone

/** How refusals are put into words; the teachers' frame brings the words that only teachers need. */
export const SAYING: InjectionKey<Saying> = Symbol('saying')

export function useSaying(): Saying {
  return hasInjectionContext() ? inject(SAYING, sayForEveryone) : sayForEveryone
}
