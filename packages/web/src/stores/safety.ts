import { safety as texts } from '#words/stores'
import { useNow } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { backupAge, localDay } from '../browser/days'
import { hand } from '../browser/download'
import { whenStoreWaits } from '../storage/db'
import { getSetting, setSetting } from '../storage/settings'
import { useFiles } from './files'
import { useLibrary } from './library'
import { refusedWords } from './restored'

const KEY = 'lastBackup'

const counted = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`
/** What went into a backup, and what did not. */
function backedUp(saved: { pictures: number; papers: number }, whole: boolean): string {
  const beside = texts.and(counted(saved.pictures, 'photograph'), counted(saved.papers, 'document'))
  const any = saved.pictures + saved.papers > 0
  if (whole) return texts.backupWithSavedToYour(beside)
  return any ? texts.backupSavedToYourDownloads(beside) : texts.backupSavedToYourDownloads2
}

/** How safe the work is: whether the browser keeps it, whether the store answers, and when it was last backed up. */
export const useSafety = defineStore('safety', () => {
  const files = useFiles()
  const library = useLibrary()
  /** A tab with an older Omblet holds the store. */
  const waiting = ref(false)
  /** Whether the browser promised not to clear what is stored; null where it does not tell. */
  const persisted = ref<boolean | null>(null)
  const lastBackup = shallowRef<string | null>(null)
  const now = useNow({ interval: 60_000 })
  whenStoreWaits((is) => (waiting.value = is))

  const age = computed(() => backupAge(lastBackup.value, now.value))
  const due = computed(() => age.value.due && library.records.some((r) => !r.demo))

  async function load() {
    lastBackup.value = (await getSetting<string>(KEY).catch(() => null)) ?? null
    await askToPersist()
  }
  /** Asks the browser to keep what is stored, once there is something of one's own. */
  async function askToPersist() {
    const storage = navigator.storage as StorageManager | undefined
    if (!storage?.persisted) return
    persisted.value = await storage.persisted().catch(() => null)
    if (persisted.value === false && library.records.some((r) => !r.demo))
      persisted.value = await storage.persist().catch(() => false)
  }

  /** A sentence on what was saved; an error as a sentence too. Nothing is called saved that was not read again. */
  async function backUp(pictures: boolean): Promise<{ message: string } | { error: string }> {
    const at = new Date()
    try {
      const saved = await files.work(texts.theBackup, (worker, progress) =>
        worker.saveBackup(at.toISOString(), { pictures }, progress),
      )
      if (!saved) return { error: texts.stoppedNothingWasSaved }
      hand(`omblet-backup-${localDay(at)}.${pictures ? 'zip' : 'json'}`, saved.blob)
      if (saved.unsound.length > 0) {
        files.report = {
          message: texts.theBackupWasSavedBut,
          details: [{ title: texts.notReadable, items: refusedWords(saved.unsound) }],
        }
        return { error: texts.theBackupWasSavedAnd }
      }
      lastBackup.value = at.toISOString()
      now.value = new Date()
      await setSetting(KEY, lastBackup.value).catch(() => undefined)
      return { message: backedUp(saved, pictures) }
    } catch (error) {
      return { error: texts.backupFailed(error instanceof Error ? error.message : String(error)) }
    }
  }

  return { waiting, persisted, lastBackup, age, due, load, askToPersist, backUp }
})
