// What is measured: formulas of a known size, made from the catalogue's own materials.
import { catalogue } from '../../packages/core/src/index.ts'

/** A 40-line cream in four phases, made from the catalogue's own materials. */
export function fortyLines() {
  const pick = (kinds, n) =>
    catalogue.materials.filter((m) => kinds.includes(m.kind) && m.inci.length === 1).slice(0, n)
  const lines = (materials, percent) => materials.map((m) => ({ material: m.id, percent }))
  return {
    format: 'omblet-formula',
    formatVersion: 1,
    name: 'Bench cream',
    batchGrams: 500,
    scaleResolutionGrams: 0.01,
    product: { kind: 'cream', site: 'face', rinse: 'leave-on', region: 'EU' },
    targetPh: { min: 5, max: 6 },
    phases: [
      {
        name: 'Water',
        role: 'water',
        heatToC: 72,
        lines: [
          { material: 'aqua', fill: true },
          ...lines(pick(['humectant'], 8), 1),
          ...lines(pick(['gum'], 2), 0.2),
        ],
      },
      {
        name: 'Oil',
        role: 'oil',
        heatToC: 72,
        lines: [
          ...lines(pick(['oil'], 6), 1.5),
          ...lines(pick(['ester'], 4), 1),
          { material: 'cetearyl-olivate-sorbitan-olivate', percent: 4 },
          ...lines(pick(['fatty-alcohol'], 2), 1),
        ],
      },
      {
        name: 'Cool-down',
        role: 'cool-down',
        belowC: 40,
        lines: [...lines(pick(['active'], 8), 0.5), ...lines(pick(['extract'], 4), 0.5)],
      },
      {
        name: 'Last',
        role: 'cool-down',
        belowC: 30,
        lines: [
          { material: 'phenoxyethanol-ethylhexylglycerin', percent: 1 },
          { material: 'tocopherol', percent: 0.3 },
          { material: 'sodium-hydroxide', percent: 0.05, strengthPercent: 10 },
          { material: 'parfum', percent: 0.2 },
        ],
      },
    ],
  }
}

/** The first lines of it, thirty in all. */
export function thirtyLines() {
  const forty = fortyLines()
  return {
    ...forty,
    phases: forty.phases.map((p) => ({ ...p, lines: p.lines.slice(0, p.role === 'oil' ? 13 : 7) })),
  }
}
export const linesIn = (formula) => formula.phases.reduce((n, p) => n + p.lines.length, 0)

/** A serum of twelve acid and base families. */
export const twelveFamilies = {
  format: 'omblet-formula',
  formatVersion: 1,
  name: 'Bench serum',
  batchGrams: 250,
  product: { kind: 'serum', site: 'face', rinse: 'leave-on', region: 'EU' },
  phases: [
    {
      name: 'Water',
      role: 'water',
      lines: [
        { material: 'aqua', fill: true },
        ...[
          'citric acid',
          'lactic acid',
          'glycolic acid',
          'mandelic acid',
          'ascorbic acid',
          'sodium benzoate',
          'potassium sorbate',
          'sodium dehydroacetate',
          'arginine',
          'niacinamide',
          'tetrasodium edta',
        ].map((material) => ({ material, percent: 1 })),
      ],
    },
  ],
}
