/** What other places use of this one. */
export { default as CommandPalette } from './components/CommandPalette.vue'
export { default as StepButtons } from './components/StepButtons.vue'
