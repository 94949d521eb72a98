import type { Assessment } from '../assess/types.ts'
import type { AssessedLine } from '../lines/types.ts'
import { isDye, isOily, preserves, swellsLong } from './facts.ts'
import { refsOf } from './step-builder.ts'
import type { Making } from './making.ts'
import { DROP_ML } from '../ph/adjusters.ts'
import { atResolution, CHECK_PERCENT, weighingErrorPercent } from '../weighing/error.ts'
import type { Part } from './route.ts'
import type { DyeSolution } from './step-facts.ts'
import type { StepLine } from './steps.ts'

/** Mixtures of one's own are made first; concentrates and what swells overnight take their part of the water now. */
export function ahead(making: Making, parts: readonly Part[], wash: string) {
  const { a, m, choices, water, apart, stocks } = making
  const d = a.amounts.resolutionGrams
  const seen = new Set<string>()
  for (const line of a.lines) {
    const own =
      line.material?.own &&
      (line.material.parts ??
        line.source.custom?.parts?.map((p) => ({ inci: p.material, percent: p.percent })))
    if (!own || own.length === 0 || seen.has(line.id) || line.percent <= 0) continue
    seen.add(line.id)
    m.loose({
      key: `ahead-${line.id}`,
      kind: 'dissolve',
      said: {
        code: 'make-own',
        name: line.weighedAs,
        grams: line.grams,
        parts: own.map((p) => ({
          name: a.catalogue.find(p.inci)?.name ?? p.inci,
          grams: (line.grams * p.percent) / 100,
        })),
        resolutionGrams: d,
      },
      hands: 10,
      wait: 20,
      after: [wash],
      ahead: 'stock',
      equipment: ['small-beaker'],
    })
  }
  for (const p of parts)
    for (const line of p.lines) {
      const times = line.material?.reconstitutesTo
      if (times === undefined || line.grams <= 0 || line.isSolution) continue
      const share = water.take((times - 1) * line.grams)
      if (!share) continue
      apart.add(line)
      const vessel = m.free(p.letter)
      stocks.add(vessel)
      m.with(vessel, {
        // a concentrate of one's own may be mixed first and then made up: two steps, two keys
        key: seen.has(line.id) ? `ahead-${line.id}-up` : `ahead-${line.id}`,
        kind: 'dissolve',
        said: {
          code: 'make-up',
          name: line.weighedAs,
          grams: line.grams,
          waterGrams: share.grams!,
          resolutionGrams: d,
        },
        hands: 4,
        wait: 10,
        letter: p.letter,
        weighs: [...refsOf([line]), share],
        equipment: ['small-beaker'],
      })
    }
  if (choices.swelling !== 'shear') swellAhead(making, parts)
  dyesOf(making, parts)
}

/** Parts of water that one part of a polymer swells in overnight, and in a stock of one percent (common practice). */
const SWELL_PARTS = { overnight: 60, stock: 99 } as const

/** Slowly in the cold overnight, with the preservative in the water already: water alone must not stand that long. */
function swellAhead({ a, m, choices, water, apart, stocks }: Making, parts: readonly Part[]) {
  const swelling = parts.flatMap((p) =>
    p.lines
      .filter((l) => l.material?.kind === 'hyaluronate' && swellsLong(l.material) && l.grams > 0)
      .map((l) => ({ l, p })),
  )
  const first = swelling[0]
  if (!first) return
  const stock = choices.swelling === 'stock'
  const share = water.take(
    SWELL_PARTS[stock ? 'stock' : 'overnight'] * swelling.reduce((sum, { l }) => sum + l.grams, 0),
  )
  if (!share) return
  const d = a.amounts.resolutionGrams
  const kept = a.lines.filter((l) => preserves(l) && l.grams > 0 && !isOily(l.material) && !apart.has(l))
  // As much of the preservative as this water needs: all of it would hardly dissolve in so little.
  const doses = kept.map((l) => keptShare(a, l, share.grams!))
  swelling.forEach(({ l }) => apart.add(l))
  kept.forEach((l, i) => doses[i]!.grams === undefined && apart.add(l))
  const hours = Math.max(...swelling.map(({ l }) => l.material!.hydrationHours!.max))
  const vessel = m.free(first.p.letter)
  stocks.add(vessel)
  m.with(vessel, {
    key: `ahead-${first.l.id}`,
    kind: 'wet',
    said: {
      code: 'swell-ahead',
      stock,
      names: swelling.map(({ l }) => l.weighedAs),
      waterGrams: share.grams!,
      preservatives: kept.map((l, i) => ({ name: l.weighedAs, grams: doses[i]!.grams ?? l.grams })),
      resolutionGrams: d,
    },
    hands: 6,
    wait: Math.round(Math.max(8, hours) * 60),
    letter: first.p.letter,
    weighs: [share, ...refsOf(swelling.map(({ l }) => l)), ...doses],
    ahead: stock ? 'preserved-stock' : 'hydrates',
    equipment: ['beaker-with-lid'],
  })
}

/** The part of a preservative that belongs to some of the water; the whole where the part cannot be weighed. */
function keptShare(a: Assessment, l: AssessedLine, waterGrams: number): StepLine {
  const d = a.amounts.resolutionGrams
  const water = (a.waterPercent * a.amounts.batchGrams) / 100
  const grams = atResolution((l.grams * waterGrams) / water, d)
  const [ref] = refsOf([l])
  return grams < l.grams && weighingErrorPercent(grams, d, a.amounts.repeatabilityGrams) <= CHECK_PERCENT
    ? { ...ref!, grams }
    : ref!
}

/** A solution of a dye that can be weighed and dripped, percent (common practice). */
const DYE_PERCENT = 1
/** Dyes are weighed as a solution and go in last, by drops; where the scale is too coarse as a part of a larger one. */
function dyesOf(making: Making, parts: readonly Part[]) {
  const { a, m, water, apart, dyes } = making
  const d = a.amounts.resolutionGrams
  for (const p of parts)
    for (const line of p.lines) {
      if (!isDye(line) || line.percent <= 0 || apart.has(line) || p.route.to === 'ph') continue
      const exact = (line.percent * a.amounts.batchGrams) / 100
      const weighable = weighingErrorPercent(exact, d, a.amounts.repeatabilityGrams) <= CHECK_PERCENT
      const share = weighable ? water.take(exact * (100 / DYE_PERCENT - 1)) : null
      apart.add(line)
      const vessel = m.free(p.letter)
      dyes.add(vessel)
      m.with(vessel, {
        key: `dye-${p.id}-${line.id}`,
        kind: share ? 'dissolve' : 'wet',
        said: {
          code: 'dye',
          name: line.weighedAs,
          grams: line.grams,
          waterGrams: share?.grams ?? null,
          solution: weighable ? null : partOfSolution(exact, d),
          resolutionGrams: d,
        },
        hands: 4,
        letter: p.letter,
        weighs: [...(share ? [share] : []), ...refsOf([line])],
        equipment: ['small-beaker', 'pipette'],
      })
    }
}

/** Fewer drops than that are none that can be counted: the solution is diluted again. */
const LEAST_DROPS = 2
const DYE_STIRRED_GRAMS = 0.5
/** A dye too little for the scale as so much of a solution of one percent, or of that diluted again. */
function partOfSolution(grams: number, resolution: number): DyeSolution {
  const strong = 100 / DYE_PERCENT
  const dyeGrams = Math.max(DYE_STIRRED_GRAMS, resolution * 10)
  const drops = Math.round((grams * strong) / DROP_ML)
  const enough = drops >= LEAST_DROPS
  return {
    dyeGrams,
    waterGrams: dyeGrams * (strong - 1),
    useGrams: grams * strong * (enough ? 1 : 10),
    drops: enough ? drops : null,
  }
}
