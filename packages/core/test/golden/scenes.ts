import {
  findingText,
  remedyText,
  substituteText,
  choiceText,
  noteHeading,
  knownText,
  matterText,
  batchVerdictText,
  verdictText,
  causeText,
  harmlessText,
  discardText,
  stepTitle,
  forecastRows,
  recordFacts,
  eventTable,
  deviationText,
  refusalText,
  headStepText,
  weighedText,
  conclusionText,
  testText,
  choiceTestText,
  leftOutText,
  phEffectKind,
  phEffectText,
  doseFaultText,
  changeText,
} from '../../src/words/index.ts'
import { readdirSync, readFileSync } from 'node:fs'
import fc from 'fast-check'
import { rescue } from '../../src/bench/rescue.ts'
import type { PhEffect } from '../../src/dosing/effects.ts'
import type { TrialVerdict } from '../../src/trials/verdict.ts'
import { refusal } from '../../src/bench/refuse.ts'
import { deviations } from '../../src/bench/record.ts'
import type { BatchVerdict } from '../../src/stability/verdict.ts'
import {
  type Assessment,
  assess,
  benchPlan,
  type BatchFile,
  type BatchState,
  type Candidate,
  catalogue,
  costByPrices,
  costReport,
  derivedOf,
  difference,
  dosingOf,
  emulsifierCandidates,
  findAll,
  type Finding,
  foldBatch,
  forecastOf,
  type Formula,
  groupNotes,
  type BatchEventBody,
  headOfFile,
  historyOf,
  knownOf,
  LABEL_REGIONS,
  labelReport,
  mattersOf,
  observationRows,
  phEffects,
  phStand,
  type PlannedTrial,
  procedureReport,
  proposeWatch,
  readFormula,
  readTrial,
  recordRows,
  report,
  scoreRows,
  type Substitute,
  substitutesFor,
  SYMPTOMS,
  thickenerCandidates,
  trialReport,
  trialVerdict,
  verdictOf,
  weighOut,
  writeFormula,
  writeTrial,
  type Symptom,
} from '../../src/index.ts'
import { anyBatch, anyTrial, anyWholeFormula } from '../any-record.ts'
import { anyFormula } from '../helpers.ts'
import { PRODUCTS } from '../products.ts'

/** A named situation with everything that Omblet says in it. */
export interface Scene {
  name: string
  lines: string[]
}

const SEED = 20_261
const demoFolder = new URL('../../../../demo/', import.meta.url)
const demos = readdirSync(demoFolder)
  .sort()
  .map((file) => readFormula(readFileSync(new URL(file, demoFolder), 'utf8')))

/** Leaves of any value as “path = value” lines, so that a difference names its place. */
function flatten(path: string, value: unknown, into: string[]): void {
  if (value instanceof Map) flatten(path, [...value], into)
  else if (value instanceof Set) flatten(path, [...value], into)
  else if (Array.isArray(value)) value.forEach((item, i) => flatten(`${path}[${i}]`, item, into))
  else if (value !== null && typeof value === 'object')
    for (const [key, item] of Object.entries(value)) flatten(path === '' ? key : `${path}.${key}`, item, into)
  else if (typeof value === 'number') into.push(`${path} = ${Number(value.toPrecision(9))}`)
  else if (typeof value !== 'function' && value !== undefined) into.push(`${path} = ${JSON.stringify(value)}`)
}

/** What a part of the scene says; a refusal is what it says too. */
function tell(into: string[], path: string, work: () => unknown): void {
  let value: unknown
  try {
    value = work()
  } catch (error) {
    value = { refused: error instanceof Error ? error.message : String(error) }
  }
  flatten(path, value, into)
}

const codesOf = (list: readonly Finding[]) => list.map((f) => `${f.code}: ${findingText(f).message}`)
/** A candidate without the formula that it makes. */
function spokenChoice({ material, brings, settles, edit: _edit, ...rest }: Candidate | Substitute) {
  const told =
    'alike' in rest
      ? { ...rest, alike: rest.alike.map(substituteText), differs: rest.differs.map(substituteText) }
      : {
          ...rest,
          reasonsFor: rest.reasonsFor.map(choiceText),
          reasonsAgainst: rest.reasonsAgainst.map(choiceText),
          handling: rest.handling.map(choiceText),
        }
  return { ...told, material: material.id, brings: codesOf(brings), settles: codesOf(settles) }
}
/** How the pH is brought to its target, without the model it is computed by. */
function spokenDosing(a: Assessment) {
  const { planned, ...rest } = dosingOf(a, phStand(a), { adjuster: null, strengthText: null })
  return { ...rest, fault: planned && 'fault' in planned ? doseFaultText(planned.fault) : null }
}
/** An effect of the pH as it is shown. */
const spokenEffect = (e: PhEffect) => {
  const { said: _said, ...rest } = e
  return {
    ...rest,
    what: phEffectKind(e),
    text: phEffectText(e),
    source:
      e.what === 'window'
        ? 'its pH window in the catalogue'
        : 'Henderson and Hasselbalch with the constants at 25 °C',
  }
}
/** A verdict without the series it is drawn from. */
const spokenVerdict = (verdict: BatchVerdict) => ({
  grade: verdict.grade,
  ...batchVerdictText(verdict),
  list: verdict.list.map((v) => ({
    grade: v.grade,
    from: v.from,
    limits: v.limits,
    ...verdictText(v),
    cause: v.cause && { ...causeText(v.cause), weight: v.cause.weight },
    of: `${v.series.sample} ${v.series.property}`,
  })),
})
const spokenRescue = (id: Symptom, state: BatchState) => {
  const { causes, harmless } = rescue(id, state)
  return {
    causes: causes.map((c) => ({ ...causeText(c), weight: c.weight })),
    harmless: harmless && harmlessText(harmless),
    discard: discardText(id),
  }
}

function formulaScene(name: string, formula: Formula, deep: boolean): Scene {
  const lines: string[] = []
  const say = (path: string, work: () => unknown) => tell(lines, path, work)
  const a = assess(formula)
  const findings = findAll(a)
  const regions = deep ? LABEL_REGIONS : [LABEL_REGIONS[name.length % LABEL_REGIONS.length]!]
  say('report', () => report(formula, a, findings))
  say('remedies', () => findings.map((f) => f.remedies.map((r) => `${remedyText(r)} [${r.edit.type}]`)))
  say('groups', () =>
    groupNotes(findings).map(({ findings: list, family }) => ({
      title: noteHeading(family),
      count: list.length,
    })),
  )
  say('method', () => procedureReport(a))
  say('sheet', () => weighOut(a).before.map((s) => stepTitle(s)))
  say('label', () => regions.map((region) => labelReport(a, { region })))
  say('read', () => assess(readFormula(writeFormula(formula))).amounts.totalPercent)
  if (!deep) return { name, lines }
  say('known', () =>
    a.lines.map((line) => {
      const known = knownOf(line)
      return { how: known.how, says: knownText(known) }
    }),
  )
  say('dosing', () => spokenDosing(a))
  say('effects', () => (a.predictedPh ? phEffects(a, a.predictedPh.value).map(spokenEffect) : null))
  say('cost', () => costReport(costByPrices(a, () => 0.02)))
  say('forecast', () => forecastRows(forecastOf(derivedOf(formula, catalogue), () => 0.02)))
  const spoken = (list: ReturnType<typeof mattersOf>) => list.map((m) => ({ ...m, why: matterText(m.why) }))
  say('matters', () => spoken(mattersOf(a, findings)))
  say('watch', () => {
    const plan = proposeWatch(a, findings, a.amounts.batchGrams * 0.9)
    return { ...plan, matters: spoken(plan.matters) }
  })
  return { name, lines }
}

/** Alternatives of a formula; apart, since each of them is assessed whole. */
function choicesScene(name: string, formula: Formula): Scene {
  const lines: string[] = []
  const a = assess(formula)
  tell(lines, 'emulsifiers', () => emulsifierCandidates(a, catalogue).slice(0, 4).map(spokenChoice))
  tell(lines, 'thickeners', () => thickenerCandidates(a, catalogue).slice(0, 4).map(spokenChoice))
  tell(lines, 'substitutes', () =>
    a.lines.slice(0, 3).map((_, i) => substitutesFor(a, i, catalogue).slice(0, 3).map(spokenChoice)),
  )
  const other = { ...formula, batchGrams: a.amounts.batchGrams * 2 }
  tell(lines, 'change', () => difference(formula, other).map((c) => changeText(c, (id) => id)))
  return { name, lines }
}

/** What could be asked of a batch, possible or not. */
const HAPPENINGS: BatchEventBody[] = [
  { type: 'weigh', line: 0, grams: 0 },
  { type: 'weigh', line: 99, grams: 1 },
  { type: 'take-out', line: 0, grams: 1e6 },
  { type: 'dilution', line: 0, carrier: 0, soluteGrams: 1, carrierGrams: 9, usedGrams: 1 },
  { type: 'dilution', line: 0, carrier: 1, soluteGrams: 1, carrierGrams: 1, usedGrams: 9 },
  { type: 'undo', of: 0 },
  { type: 'undo', of: 999 },
  { type: 'step', how: 'skip' },
  { type: 'resume' },
  { type: 'patch-look', of: 0, hours: 24, score: 0 },
  { type: 'observe', sample: 'room', day: null, property: 'ph', value: 20, way: 'meter' },
  { type: 'observe', sample: 'room', day: null, property: 'ph', value: 5 },
  { type: 'observe', sample: 'nowhere', day: null, property: 'smell', choice: 'none' },
  { type: 'observe', sample: 'room', day: null, property: 'smell', choice: 'purple' },
] as BatchEventBody[]

function batchScene(name: string, file: BatchFile, symptoms: boolean): Scene {
  const lines: string[] = []
  const start = file.events[0]!
  if (start.type !== 'start') return { name, lines }
  const plan = benchPlan(start.formula)
  const state: BatchState = foldBatch(plan, file.events)
  const say = (path: string, work: () => unknown) => tell(lines, path, work)
  say('head', () => {
    const head = headOfFile(file, catalogue)
    return { ...head, step: headStepText(head) }
  })
  say('facts', () => recordFacts(state, 'Ina', (iso) => iso))
  say('rows', () => recordRows(state).map((r) => ({ ...r, state: weighedText(r.state) })))
  say('events', () => eventTable(state))
  say('deviations', () => deviations(state).map(({ n, said }) => ({ n, text: deviationText(said) })))
  say('refusals', () =>
    HAPPENINGS.map((h) => {
      const why = refusal(state, h)
      return why && refusalText(why)
    }),
  )
  say('history', () => observationRows(historyOf(state.events)))
  say('verdict', () => spokenVerdict(verdictOf(state, historyOf(state.events), plan.a)))
  if (symptoms) for (const { id } of SYMPTOMS) say(`causes.${id}`, () => spokenRescue(id, state))
  return { name, lines }
}

const spokenTrial = ({ readings, choices, head, leftOut }: TrialVerdict) => ({
  readings: readings.map((r) => ({ ...r, says: conclusionText(r.says), test: testText(r.test) })),
  choices: choices.map(choiceTestText),
  head: head.map(conclusionText),
  leftOut: leftOut.map(leftOutText),
})

function trialScene(name: string, trial: PlannedTrial): Scene {
  const lines: string[] = []
  const say = (path: string, work: () => unknown) => tell(lines, path, work)
  say('report', () => {
    const { report, leftOut } = trialReport(trial)
    return { report, leftOut: leftOut.map(leftOutText) }
  })
  say('verdict', () => spokenTrial(trialVerdict(trial)))
  say('rows', () => scoreRows(trial))
  say('file', () => readTrial(writeTrial(trial)).name)
  return { name, lines }
}

const sample = <T>(arbitrary: fc.Arbitrary<T>, count: number) =>
  fc.sample(arbitrary, { numRuns: count, seed: SEED })

/** All scenes: products as makers write them, the demo, and what chance makes of formulas, batches and trials. */
export function scenes(demoBatches: readonly BatchFile[], demoTrials: readonly PlannedTrial[]): Scene[] {
  const named = (what: string, i: number) => `${what} ${i + 1}`
  return [
    ...PRODUCTS.map(([name, f]) => formulaScene(`product: ${name}`, f, true)),
    ...demos.map((f) => formulaScene(`demo: ${f.name}`, f, true)),
    ...demos.map((f) => choicesScene(`choices: ${f.name}`, f)),
    ...sample(anyWholeFormula, 350).map((f, i) => formulaScene(named('formula', i), f, i < 50)),
    ...sample(anyFormula, 150).map((f, i) => formulaScene(named('water', i), f, false)),
    ...demoBatches.map((b) => batchScene(`batch: ${b.batch.code}`, b, true)),
    ...sample(anyBatch, 150).map((b, i) => batchScene(named('batch', i), b, i < 15)),
    ...demoTrials.map((t) => trialScene(`trial: ${t.name}`, t)),
    ...sample(anyTrial, 60).map((t, i) => trialScene(named('trial', i), t)),
  ]
}
