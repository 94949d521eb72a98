import type { Shown } from '../shown'

/** BinPage.vue. */
export const binPage = {
  bin: 'Bin',
  deletedItemsStayHereFor: 'Deleted items stay here for 30 days and can be restored.',
  deleted: (notAfter: Shown) => `; deleted ${notAfter}`,
  deletePermanently: 'Delete permanently',
  deletePermanently2: (name: Shown) => `Delete ${name} permanently`,
  theBinIsEmpty: 'The bin is empty.',
  binOmblet: 'Bin – Omblet',
  lot: 'Lot',
  ownMaterial: 'Own material',
  trial: 'Trial',
  withWord: (count: Shown) => `with ${count}`,
  noCode: 'no code',
  restoredAsACopyBeside: 'restored as a copy beside the current one',
}
