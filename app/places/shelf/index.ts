/** What other places use of this one. */
export { default as FormDifference } from './components/FormDifference.vue'
export { default as PiecePicker } from './components/PiecePicker.vue'
export { default as ShelfSearch } from './components/ShelfSearch.vue'
export { default as QuickPiece } from './components/QuickPiece.vue'
export { useShelf } from './stores/shelf'
export { useTray } from './stores/tray'
