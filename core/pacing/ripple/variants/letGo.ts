import { winBack } from './tighten'
import type { WayOut } from './wayOut'

/** The cheapest optional lessons of the stretch are left out; nothing is shortened. */
export const letGo: WayOut = (bitten) => winBack(bitten, 'optional')
