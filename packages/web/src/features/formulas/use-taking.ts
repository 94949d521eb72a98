import { common } from '#words/common'
import { useTaking as texts } from '#words/formulas'
import { useDropZone } from '@vueuse/core'
import { useToast } from 'primevue/usetoast'
import { ref, type Ref } from 'vue'
import { useRouter } from 'vue-router'
import { notify } from '../../components/notify'
import { useFiles } from '../../stores/files'

/** Files that the system hands to the installed application. */
interface LaunchQueue {
  setConsumer: (consumer: (params: { files: { getFile: () => Promise<File> }[] }) => void) => void
}

/** Reducers in files that are chosen, dropped onto `zone` or handed over; what could not be taken in stands in `problems`. */
export function useTaking(zone: Readonly<Ref<HTMLElement | null>>) {
  const files = useFiles()
  const router = useRouter()
  const toast = useToast()
  const problems = ref<string[]>([])

  async function take(list: FileList | readonly File[] | null | undefined) {
    problems.value = []
    const told: string[] = []
    let last: string | undefined
    for (const file of list ?? []) {
      const result = await files.take(file)
      if ('error' in result) problems.value.push(`${file.name}: ${result.error}`)
      else if ('message' in result) {
        told.push(result.message)
        last = result.to
      }
    }
    if (told.length > 0) {
      const to = last
      notify(
        toast,
        told.length === 1 ? told[0]! : texts.filesImported(told.length),
        to ? { label: common.open, run: () => void router.push(to) } : undefined,
      )
    }
  }
  ;(window as Window & { launchQueue?: LaunchQueue }).launchQueue?.setConsumer(async ({ files: handles }) => {
    await take(await Promise.all(handles.map((h) => h.getFile())))
  })

  const { isOverDropZone: dragging } = useDropZone(zone, { onDrop: (dropped) => void take(dropped) })
  return { problems, dragging, take }
}
