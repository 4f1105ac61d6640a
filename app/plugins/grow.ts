/** `v-grow`: a cell of a table is as high as its words, also in a browser that does not know `field-sizing`. */
export default defineNuxtPlugin(({ vueApp }) => {
  const fit = (cell: HTMLTextAreaElement) => {
    cell.style.height = 'auto'
    cell.style.height = `${cell.scrollHeight}px`
  }
  vueApp.directive('grow', CSS.supports('field-sizing', 'content') ? {} : { mounted: fit, updated: fit })
})
