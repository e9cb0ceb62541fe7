/** What other places use of this one. */
export { default as FormDifference } from './components/FormDifference.vue'
export { useShelf } from './stores/shelf'
export { useTray } from './stores/tray'
