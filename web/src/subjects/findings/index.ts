/** What is wrong and what to do about it: a panel beside the bench. */
export { default as FindingsPanel } from './FindingsPanel.vue'
