import { common } from '#words/common'
import { useLineMenu as texts } from '#words/formula'
import { stepTitle } from '@omblet/core/words'
import { stepOfLine, type AssessedLine } from '@omblet/core'
import type { MenuItem } from 'primevue/menuitem'
import { inject } from 'vue'
import { useRouter } from 'vue-router'
import { useEditor } from '../../stores/editor'
import { sheetKey } from './sheet'

/** What the row itself does for its menu. */
interface RowDoes {
  details: () => void
  note: () => void
  switchTo: (unit: 'percent' | 'grams') => void
  move: (by: -1 | 1) => void
  remove: () => void
}

/** What can be done with a line. Made only when asked for: forty rows share one menu. */
export function useLineMenu(line: () => AssessedLine, does: RowDoes) {
  const editor = useEditor()
  const api = inject(sheetKey)!
  const router = useRouter()
  const stepItem = (): MenuItem[] => {
    const { steps } = editor.derived!.method
    const step = stepOfLine(steps, line())
    if (!step) return []
    const label = texts.addedInStep(steps.indexOf(step) + 1, stepTitle(step))
    return [
      {
        label,
        icon: 'pi pi-list',
        command: () => void router.push({ path: `/formulas/${editor.id}/method`, query: { step: step.key } }),
      },
    ]
  }
  return (): MenuItem[] => [
    ...stepItem(),
    { label: texts.factsAndStrength, icon: 'pi pi-info-circle', command: () => does.details() },
    { label: texts.replaceMaterial, icon: 'pi pi-sync', command: () => api.find(line().phase, line()) },
    {
      label: line().source.note ? texts.editNote : common.addNote,
      icon: 'pi pi-comment',
      command: () => does.note(),
    },
    {
      label: common.qSTo100,
      icon: 'pi pi-plus-circle',
      disabled: line().fill,
      command: () => editor.apply({ type: 'set-fill', at: line() }),
    },
    line().source.grams === undefined
      ? {
          label: texts.enterInGrams,
          icon: 'pi pi-sort-alt',
          disabled: line().fill || !line().given,
          command: () => does.switchTo('grams'),
        }
      : {
          label: texts.enterInPercent,
          icon: 'pi pi-sort-alt',
          command: () => does.switchTo('percent'),
        },
    { label: texts.moveUp, icon: 'pi pi-arrow-up', command: () => does.move(-1) },
    { label: texts.moveDown, icon: 'pi pi-arrow-down', command: () => does.move(1) },
    { label: common.remove, icon: 'pi pi-trash', command: () => does.remove() },
  ]
}
