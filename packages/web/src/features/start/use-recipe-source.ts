import { useRecipeSource as texts } from '#words/start'
import { MOST_RECIPE_LINES, type Cell } from '@omblet/core'
import { tableCells } from '../../composables/table-cells'
import { computed, ref, shallowRef } from 'vue'

/** A recipe as it is given: pasted, or out of a file; why a file cannot be one is said. */
export function useRecipeSource() {
  const text = ref('')
  const cells = shallowRef<readonly (readonly Cell[])[] | null>(null)
  const fileName = ref('')
  const problem = ref<string | null>(null)
  /** Reading runs beside the page, so that no text stops the typing. */
  const tooLong = computed(
    () => (cells.value ? cells.value.length : text.value.split('\n').length) > MOST_RECIPE_LINES,
  )
  const source = computed(() => {
    if (tooLong.value) return null
    if (cells.value) return { cells: cells.value }
    return text.value.trim() === '' ? null : { text: text.value }
  })
  async function take(file: File | undefined) {
    problem.value = null
    if (!file) return
    if (file.size > 5_000_000) {
      problem.value = texts.isLargerThan5Mb(file.name)
      return
    }
    try {
      if (/\.xlsx$/i.test(file.name)) {
        const read = await tableCells(file)
        if ('error' in read) {
          problem.value = read.error
          return
        }
        cells.value = read.cells
        text.value = ''
      } else {
        cells.value = null
        text.value = await file.text()
      }
      fileName.value = file.name
    } catch {
      problem.value = texts.couldNotBeReadSave(file.name)
    }
  }
  function onType() {
    cells.value = null
    fileName.value = ''
  }
  return { text, cells, fileName, problem, tooLong, source, take, onType }
}
