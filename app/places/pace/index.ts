/** What other places use of this one. */
export { default as RippleHere } from './components/RippleHere.vue'
export { useAwayFromDesk } from './composables/awayFromDesk'
export { FRAME_KEYS, actOf, keyNameOf } from './keys'
export { useDesk } from './stores/desk'
export { sayFixed, sayStep } from './words/steps'
