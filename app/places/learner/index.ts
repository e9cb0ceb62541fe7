/** What other places use of this one. */
export { default as AnswerInput } from './components/AnswerInput.vue'
export { default as LearnerMenu } from './components/LearnerMenu.vue'
export { default as PieceScreen } from './components/PieceScreen.vue'
export { default as WorkPlaces } from './components/WorkPlaces.vue'
