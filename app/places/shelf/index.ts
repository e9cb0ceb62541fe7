/** What other places use of this one. */
export { useShelf } from './stores/shelf'
export { useTray } from './stores/tray'
