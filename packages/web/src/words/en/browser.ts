import type { Shown } from '../shown'

/** days.ts. */
export const days = {
  noBackupYet: 'No backup yet.',
  theClockWasSetBack: 'The clock was set back since the last backup.',
  daysAgo: (days: Shown) => `${days} days ago`,
  lastBackup: (when: Shown) => `Last backup ${when}.`,
  today: 'today',
  yesterday: 'yesterday',
}

/** picture.ts. */
export const picture = {
  noPicture: 'no picture',
}
