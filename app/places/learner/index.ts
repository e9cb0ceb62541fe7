/** What other places use of this one. */
export { default as LearnerMenu } from './components/LearnerMenu.vue'
