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
    const label = `Added in step ${steps.indexOf(step) + 1}: ${stepTitle(step)}`
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
    { label: 'Facts and strength', icon: 'pi pi-info-circle', command: () => does.details() },
    { label: 'Replace material', icon: 'pi pi-sync', command: () => api.find(line().phase, line()) },
    {
      label: line().source.note ? 'Edit note' : 'Add note',
      icon: 'pi pi-comment',
      command: () => does.note(),
    },
    {
      label: 'q.s. to 100',
      icon: 'pi pi-plus-circle',
      disabled: line().fill,
      command: () => editor.apply({ type: 'set-fill', at: line() }),
    },
    line().source.grams === undefined
      ? {
          label: 'Enter in grams',
          icon: 'pi pi-sort-alt',
          disabled: line().fill || !line().given,
          command: () => does.switchTo('grams'),
        }
      : {
          label: 'Enter in percent',
          icon: 'pi pi-sort-alt',
          command: () => does.switchTo('percent'),
        },
    { label: 'Move up', icon: 'pi pi-arrow-up', command: () => does.move(-1) },
    { label: 'Move down', icon: 'pi pi-arrow-down', command: () => does.move(1) },
    { label: 'Remove', icon: 'pi pi-trash', command: () => does.remove() },
  ]
}
