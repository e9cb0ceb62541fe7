import { defineAsyncComponent } from 'vue'

/** What other places use of this one. A learner's first page needs the menu only: the rest comes when it is shown. */
export { default as LearnerMenu } from './components/LearnerMenu.vue'
export const AnswerInput = defineAsyncComponent(() => import('./components/AnswerInput.vue'))
export const PieceMaterial = defineAsyncComponent(() => import('./components/PieceMaterial.vue'))
export const PieceScreen = defineAsyncComponent(() => import('./components/PieceScreen.vue'))
export const WorkPlaces = defineAsyncComponent(() => import('./components/WorkPlaces.vue'))
export const SupportPanel = defineAsyncComponent(() => import('./components/support/SupportPanel.vue'))
export const FillIn = defineAsyncComponent(() => import('./components/support/FillIn.vue'))
