import type { Shown } from '../shown'

/** GlossaryPage.vue. */
export const glossaryPage = {
  glossary: 'Glossary',
  termsWithADottedUnderline:
    'Terms with a dotted underline are explained where they stand: point at them, tap them, or move to them with the Tab key. Source: common practice; fragrance allergens as in Regulation (EU) 2023/1545.',
  searchTerms: 'Search terms',
  hlbPreservativeStockSolution: 'HLB, preservative, stock solution …',
  example: (example: Shown) => `Example: ${example}`,
  noTermMatches: (words: Shown) => `No term matches “${words}”.`,
  glossaryOmblet: 'Glossary – Omblet',
}
