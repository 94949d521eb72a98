import { LABEL } from './data.ts'
import type { LabelRegion } from '../findings/traces.ts'

const { trivial, common, colours, wax } = LABEL.names
/** Longest first, so that `Citrus Aurantium Dulcis` is known before `Citrus Aurantium`. */
const LATIN = Object.keys(common).sort((a, b) => b.length - a.length)

function american(inci: string): string {
  const own = trivial[inci] ?? colours[inci]
  if (own) return own
  const latin = LATIN.find((name) => inci === name || inci.startsWith(`${name} `))
  const said = latin ? `${latin} (${common[latin]!})${inci.slice(latin.length)}` : inci
  return said.replace(new RegExp(`\\b${wax}$`), 'Wax')
}

/** Both names where a region has no rule of its own. */
const TWICE = new Set(['Aqua', 'Parfum'])

/**
 * An INCI name as the list of a region writes it: EU, UK and Canada by the glossary, the US in English with the common
 * name of a plant in brackets, elsewhere water and scent by both names.
 */
export function labelName(inci: string, region: LabelRegion): string {
  if (region === 'US') return american(inci)
  return region === 'other' && TWICE.has(inci) ? `${inci} (${trivial[inci]!})` : inci
}
