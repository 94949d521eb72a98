import { HOT } from '../procedure/route.ts'
import {
  acids,
  acidWentInAt,
  always,
  because,
  cause,
  emulsifiers,
  gums,
  hot,
  kind,
  namesOf,
  waxes,
  type Cause,
} from './cause.ts'
import { type Symptom } from './symptoms.ts'
import type { Evidence } from './evidence.ts'

/** A batch is made larger to dissolve a solid up to this many times. */
const MOST_LARGER = 3
/** How many times more of a solid is in than stays dissolved. */
const excess = (e: Evidence) => Math.max(1, ...e.state.plan.a.solubility.map((s) => s.ratio))
const plainKey = (key: string) => key.replaceAll('-', ' ')

/** What is felt as grains (common practice). */
export const GRAIN: Record<Extract<Symptom, 'grainy' | 'lumps' | 'crystals'>, readonly Cause[]> = {
  grainy: [
    cause('fat-crystals', (e) =>
      waxes(e).length > 0 ? { weight: 7, names: namesOf(waxes(e)), celsius: e.celsius } : null,
    ),
    cause('undissolved-solid', (e) => {
      const solids = e.state.plan.a.solubility.filter((s) => s.verdict === 'solid')
      const actives = e.has(kind('active'))
      if (solids.length + actives.length === 0) return null
      return {
        weight: solids.length > 0 ? 8 : 3,
        undissolved: solids.map((s) => plainKey(s.key)),
        actives: namesOf(actives),
      }
    }),
    cause('emulsifier-not-melted', (e) =>
      emulsifiers(e).length > 0 ? { weight: 4, celsius: e.celsius } : null,
    ),
  ],
  lumps: [
    because('gum-not-wetted', 8, (e) => e.has((l) => l.material?.slurry !== undefined)),
    cause('gum-met-acid-hot', (e) => {
      const acidAt = acidWentInAt(e)
      const facts = { names: namesOf(gums(e)), celsius: e.celsius, acidAt }
      if (gums(e).length === 0) return null
      if (acidAt !== null && acidAt > HOT) return { weight: 9, ...facts }
      return acidAt === null && hot(e) ? { weight: 7, ...facts } : null
    }),
    always('powder-all-at-once', 2),
    cause('cold-met-hot', (e) =>
      e.emulsion && e.heated && e.combined ? { weight: 5, celsius: e.celsius } : null,
    ),
    cause('charges-in-lumps', (e) => {
      const plus = e.has((l) => l.material?.charge === 'cationic')
      const minus = e.has((l) => l.material?.charge === 'anionic')
      return plus.length > 0 && minus.length > 0
        ? { weight: 9, cationic: namesOf(plus), anionic: namesOf(minus) }
        : null
    }),
  ],
  crystals: [
    cause('above-solubility', (e) => {
      const { solubility } = e.state.plan.a
      if (solubility.length === 0) return null
      const beyond = solubility.filter((s) => s.verdict !== 'dissolves')
      const ratio = excess(e)
      return {
        weight: beyond.length > 0 ? 9 : 3,
        solids: beyond.map((s) => plainKey(s.key)),
        acid: beyond.some((s) => s.constants.pKa.length > 0),
        ratio,
        dilutable: ratio <= MOST_LARGER,
      }
    }),
    cause('salt-of-acid-crystallised', (e) => (acids(e).length > 0 ? { weight: 5, aim: e.aim } : null)),
  ],
}
