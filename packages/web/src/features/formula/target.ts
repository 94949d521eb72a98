import { common } from '#words/common'
import { doseFaultText } from '@omblet/core/words'
import { parseNumber, targetFault } from '@omblet/core'
import { ref } from 'vue'
import { useEditor } from '../../stores/editor'

type Range = { min: number; max: number }

/** The two fields of a target pH: what is typed, what is wrong with it, and the edit that follows each letter. */
export function useTargetFields(shown: () => Range | null) {
  const editor = useEditor()
  const texts = ref<{ min?: string; max?: string }>({})
  const error = ref<string | null>(null)

  const set = (target: Range | undefined) =>
    editor.apply({ type: 'patch', patch: { targetPh: target } }, 'target')

  function onText(end: 'min' | 'max', text: string) {
    texts.value = { ...texts.value, [end]: text }
    const limits = { min: 0, max: 14, what: common.thePh }
    const at = shown()
    const low = parseNumber(texts.value.min ?? (at ? String(at.min) : ''), limits)
    const high = parseNumber(texts.value.max ?? (at ? String(at.max) : ''), limits)
    if ('error' in low || 'error' in high) {
      error.value = 'error' in low ? low.error : 'error' in high ? high.error : null
      return
    }
    error.value = null
    if (low.value === null && high.value === null) {
      set(undefined)
      return
    }
    const min = low.value ?? high.value!
    const max = high.value ?? low.value!
    const fault = targetFault({ min, max })
    error.value = min > max ? common.theFirstNumberMustNot : fault && doseFaultText(fault)
    if (!error.value) set({ min, max })
  }
  /** Ends the typing; what could not be taken stays to be seen. */
  function settle() {
    if (!error.value) texts.value = {}
    editor.settle()
  }
  function choose(target: Range) {
    texts.value = {}
    error.value = null
    set(target)
  }
  return { texts, error, onText, settle, choose }
}
