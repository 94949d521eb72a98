import { DOSE_WAIT_MINUTES } from '../../dosing/dosing.ts'
import type {
  AdjusterSolution,
  DyeSolution,
  NamedGrams,
  Sprinkled,
  StepFacts,
  StepSaid,
  TooSmall,
} from '../../procedure/step-facts.ts'
import type { StepNamed } from '../../procedure/steps.ts'
import {
  formatCelsius,
  formatGrams,
  formatRange,
  listWords,
  sayNumber,
  sayPercent,
} from '../../text/format.ts'
import { say } from '../say.ts'
import { LYE_CARE, LYE_ORDER } from './lye.ts'
import { heatReasons } from './routes.ts'

/** A step in words: what is done, how, and what to wait for where it is seen and not timed. */
export interface StepText {
  title: string
  detail: string
  look: string
}
type StepWords = {
  [C in keyof StepFacts]: (facts: StepFacts[C]) => Partial<StepText> & { title: string }
}

const rests = (minutes: number) =>
  minutes > 0 ? ` Rest ${minutes > 60 ? 'overnight' : `${minutes} minutes`}.` : ''
const named = (items: readonly NamedGrams[], resolution: number) =>
  items.map(({ name, grams }) => `${formatGrams(grams, resolution)} ${name}`)
/** How long powders are stirred: until they are gone, or spread. */
const untilGone = ({ dissolve }: { dissolve: boolean }) =>
  dissolve
    ? { until: 'fully dissolved', look: 'no visible particles' }
    : { until: 'free of lumps', look: 'no lumps between the fingers' }
/** How what holds such powders is poured. */
function sprinkle(sprinkled: Sprinkled | null) {
  if (!sprinkled) return null
  const { until, look } = untilGone(sprinkled)
  const rest = sprinkled.more ? ' Then add the remaining ingredients, mixed together.' : ''
  return {
    detail: `Sprinkle in ${listWords(sprinkled.names)} a little at a time, stirring until ${until}.${rest}`,
    look,
  }
}
const asDilution = ({ name, grams, carrier, ...d }: TooSmall, resolution: number) =>
  `${formatGrams(grams, resolution)} ${name} is too little for this scale. Stir ${formatGrams(d.soluteGrams, resolution)} into ${formatGrams(d.carrierGrams, resolution)} ${carrier} and use ${formatGrams(d.useGrams, resolution)} of that solution. Count its ${carrier} towards the formula.`
function partOfSolution(name: string, s: DyeSolution, resolution: number): string {
  const g = (grams: number) => formatGrams(grams, resolution)
  const use =
    s.drops === null
      ? `Dilute 1 g of it with 9 g water. ${g(s.useGrams)} of that contain the dose for the batch`
      : `${g(s.useGrams)} of it (about ${s.drops} drops) contain the dose for the batch`
  return `Too little ${name} for this scale. Stir ${g(s.dyeGrams)} into ${g(s.waterGrams)} distilled water. ${use}.`
}
function asSolution(s: AdjusterSolution, resolution: number): string {
  const g = (grams: number) => formatGrams(grams, resolution)
  const caution = s.lye ? ` ${LYE_CARE} ${LYE_ORDER}` : ''
  return ` Make a ${sayPercent(s.percent)} solution first: stir ${g(s.grams)} ${s.name} into ${g(s.waterGrams)} cold distilled water. Use ${g(s.wholeGrams)} of it.${caution}`
}
const HEAT_CARE = {
  'weigh-inverse':
    'Weigh before and after heating, and replace the water loss now, hot. Once the water is in the oil, it cannot be replaced.',
  cover: 'Cover to limit evaporation.',
  weigh: 'Weigh before and after heating, and replace the water loss with hot water.',
  'melt-whole': 'Hold until fully melted.',
}
const BLENDING = {
  fast: 'Sets fast: blend in short bursts below the surface, then stir by hand to avoid air and lumps.',
  medium: 'Blend in short bursts below the surface to keep air out.',
  slow: 'Sets slowly: blend in several short rounds, then stir by hand.',
}
function pourDetail({ emulsion, hot }: StepFacts['combine']): string {
  switch (emulsion) {
    case 'none':
      return 'Stir until uniform.'
    case 'inverse':
      return 'Pour slowly, in a thin stream, blending throughout. A W/O emulsion breaks if water is added too fast.'
    case 'into-oil':
      return `${hot ? 'Both phases at the same temperature. ' : ''}The mixture thickens, then inverts (phase inversion). With nonionic waxes this gives finer droplets.`
    case 'into-water':
      return `${hot ? 'Both phases within about 5 °C of each other. ' : ''}Blend in 30-second bursts.`
  }
}
const ADDED = {
  spooned: 'Return it to the batch and stir in.',
  sprinkled: '',
  acid: 'Add in a thin stream, in small portions, stirring after each. Then blend briefly.',
  several: 'Mix these together first, then stir into the batch in small portions.',
  one: 'Stir in.',
}

/** Every step that Omblet writes. */
export const steps: StepWords = {
  own: ({ title }) => ({ title }),
  prepare: () => ({
    title: 'Clean and sanitise equipment and bench',
    detail:
      'Wash and dry, then spray with 70 % isopropyl alcohol and let it evaporate. Keep away from flames. Wear gloves. Note the tare weight of each vessel.',
  }),
  'make-own': ({ name, grams, parts, resolutionGrams }) => ({
    title: `Make ${name}`,
    detail: `${formatGrams(grams, resolutionGrams)} needed: ${listWords(named(parts, resolutionGrams))}. Make a little extra to cover transfer loss. Weigh it into its phase like any other ingredient.`,
    look: 'uniform, or clear if all of it dissolves',
  }),
  'make-up': ({ name, grams, waterGrams, resolutionGrams }) => ({
    title: `Make up ${name}`,
    detail: `Weigh ${formatGrams(grams, resolutionGrams)} and ${formatGrams(waterGrams, resolutionGrams)} of the formula’s water into a small beaker and stir.`,
    look: 'uniform, no visible particles',
  }),
  'swell-ahead': ({ stock, names, waterGrams, preservatives, resolutionGrams }) => ({
    title: stock ? `Make a stock solution of ${listWords(names)}` : `Hydrate ${listWords(names)} overnight`,
    detail: `Weigh ${listWords([`${formatGrams(waterGrams, resolutionGrams)} of the water`, ...named(preservatives, resolutionGrams)])} into a beaker with a lid. Sprinkle ${listWords(names)} on top, shake, and refrigerate.${preservatives.length > 0 ? ' The preservative protects it meanwhile.' : ' Unpreserved: refrigerate for one night at most, and discard the rest.'}`,
    look: 'free of lumps (early lumps hydrate on their own)',
  }),
  dye: ({ name, grams, waterGrams, solution, resolutionGrams }) => ({
    title: `Make a solution of ${name}`,
    detail:
      waterGrams !== null
        ? `Weigh ${formatGrams(grams, resolutionGrams)} into ${formatGrams(waterGrams, resolutionGrams)} of the water and stir.`
        : solution
          ? partOfSolution(name, solution, resolutionGrams)
          : `Weigh ${formatGrams(grams, resolutionGrams)}.`,
    look: waterGrams !== null ? 'clear, no specks' : '',
  }),
  weigh: ({ vessel, phase, names, takeUpGrams, tooSmall, lye, resolutionGrams }) => {
    const water =
      takeUpGrams === null
        ? ''
        : `, and ${formatGrams(takeUpGrams, resolutionGrams)} of the water to dissolve it in`
    const tiny = tooSmall.map((t) => asDilution(t, resolutionGrams)).join(' ')
    return {
      title: `Weigh ${vessel}, ${phase || 'unnamed'}`,
      detail: `${listWords(names)}${water}${tiny && `. ${tiny}`}${lye ? `${tiny ? '' : '.'} ${LYE_CARE}` : ''}`,
    }
  },
  'weigh-rest': () => ({
    title: 'Weigh the remaining ingredients',
    detail: 'Their step was removed from the method.',
  }),
  'hold-back': ({ phase, waterGrams, names, resolutionGrams }) => ({
    title: `Hold back cold water from ${phase}`,
    detail: `${listWords([`${formatGrams(waterGrams, resolutionGrams)} water`, ...names])} stay cold. They cool the emulsion later.`,
  }),
  'rub-slurry': ({ names, vessel, restMinutes }) => ({
    title: `Wet ${listWords(names)} in ${vessel}`,
    detail: `Disperse until smooth before it meets any water.${rests(restMinutes)}`,
    look: 'no lumps between the fingers',
  }),
  'wet-gum': ({ names, wetting, restMinutes }) => ({
    title: `Wet ${listWords(names)} with ${wetting}`,
    detail: `Weigh ${listWords([...names, wetting])} into a small beaker and disperse until smooth. Added straight to water, it would lump.${rests(restMinutes)}`,
    look: 'no lumps between the fingers',
  }),
  'add-slurry': ({ names, vessel }) => ({
    title: `Stir the slurry of ${listWords(names)} into ${vessel}`,
    detail: 'Pour in a thin stream, stirring throughout.',
    look: 'uniform, no lumps',
  }),
  'sprinkle-gum': ({ names, vessel, slurry, restMinutes }) => ({
    title: `Sprinkle ${listWords(names)} on ${vessel} under shear`,
    detail: `Too little wetting liquid in the formula${slurry ? ` (about ${sayNumber(slurry.parts)} parts of ${slurry.in} needed)` : ''}. Sprinkle slowly into the vortex.${rests(restMinutes)}`,
    look: 'no lumps (clumps do not hydrate)',
  }),
  'sprinkle-polymer': ({ names, vessel }) => ({
    title: `Sprinkle ${listWords(names)} on ${vessel} under high shear`,
    detail:
      'Weigh on a watch glass, sprinkle into the vortex and blend for 2–3 minutes. Early lumps are harmless: they hydrate on their own.',
    look: 'no powder on the surface',
  }),
  neutralise: ({ names, vessel, lye, solidLye }) => ({
    title: `Stir ${listWords(names)} into ${vessel}`,
    detail: `Add drop by drop and stir slowly: the gel thickens at once and traps air.${lye ? ` ${LYE_CARE}` : ''}${solidLye ? ` ${LYE_ORDER}` : ''}`,
    look: 'clear and thick, no lumps',
  }),
  'spread-in-oil': ({ names, vessel }) => ({
    title: `Disperse ${listWords(names)} in the oils of ${vessel}`,
    detail: 'A polymer dispersed in oil meets the water without lumping.',
    look: 'uniform, no clumps on the wall',
  }),
  dissolve: ({ names, vessel, warmToC, alreadyWarm, lye, cloudy }) => ({
    title: `Dissolve ${listWords(names)} in ${vessel}`,
    detail:
      warmToC !== null
        ? `Warm to ${formatCelsius(warmToC)} and stir until clear. If it stays cloudy, it recrystallises on cooling.`
        : alreadyWarm
          ? 'Add to the warm liquid one after another.'
          : `Add one after another, stirring.${lye ? ` ${LYE_CARE} ${LYE_ORDER} The solution gets hot.` : ''}`,
    look: cloudy ? 'no visible particles' : 'clear, no sediment',
  }),
  'rub-smooth': ({ names, vessel }) => ({
    title: `Disperse ${listWords(names)} in ${vessel}`,
    detail: 'Grind or rub until smooth. The powder does not dissolve, so any lump left now stays.',
    look: 'no specks when smeared on glass',
  }),
  heat: ({ phase, celsius, holdMinutes, reason, care, oily }) => ({
    title: `Heat ${phase} to ${formatCelsius(celsius)}${holdMinutes > 0 ? ` and hold ${holdMinutes} minutes` : ''}`,
    detail: [reason ? say(heatReasons, reason) : '', care ? HEAT_CARE[care] : ''].filter(Boolean).join(' '),
    look: oily ? 'clear, fully melted' : '',
  }),
  'pour-part': ({ phase, into, warmIntoCold, sprinkled }) => ({
    title: `Stir ${phase} into ${into}`,
    detail: warmIntoCold ? 'Pour in a thin stream, stirring throughout.' : 'Add slowly, stirring throughout.',
    look: 'uniform',
    ...sprinkle(sprinkled),
  }),
  combine: (facts) => ({
    title: `Pour ${listWords(facts.phases)} into ${facts.into}${facts.emulsion === 'none' ? '' : ', blending'}`,
    detail: pourDetail(facts),
    look: facts.emulsion === 'none' ? 'uniform' : 'uniform colour, no oil at the edge',
    ...sprinkle(facts.sprinkled),
  }),
  blend: ({ rounds, everyMinutes, setting, large }) => ({
    title:
      rounds === 1
        ? 'Blend once more while hot'
        : everyMinutes === null
          ? `Blend ${rounds} times, 1 minute apart`
          : `Blend ${rounds} more times during cooling, every ${everyMinutes} minutes`,
    detail: `${BLENDING[setting]}${large ? ' For a batch this large, blend again every 30–45 minutes until cool.' : ''}`,
    look: 'smooth and glossy',
  }),
  'blend-cold': ({ vessel }) => ({
    title: `Emulsify ${vessel}`,
    detail: 'Blend in short bursts below the surface, 1 minute apart.',
    look: 'uniform colour, no oil on top',
  }),
  'cold-share': () => ({
    title: 'Stir in the held-back cold water',
    detail: 'Pour in a thin stream, stirring. It cools the emulsion at once.',
    look: 'uniform',
  }),
  set: () => ({
    title: 'Let set without stirring',
    detail: 'Cover and leave at room temperature. Stirring now would keep it thin.',
    look: 'set to a jelly',
  }),
  whisk: () => ({
    title: 'Whisk until smooth',
    detail: 'Whisk at low speed until the jelly turns to cream.',
    look: 'a uniform, glossy cream, no lumps',
  }),
  spoon: ({ names, aboutGrams, vessel, dissolve }) => {
    const { until, look } = untilGone({ dissolve })
    return {
      title: `Disperse ${listWords(names)} in a little of the batch`,
      detail: `Stir about ${aboutGrams} g of the batch into ${vessel} until ${until}. Added straight to the batch, the powder would lump.`,
      look,
    }
  },
  'add-late': ({ phase, names, how, sprinkled }) => ({
    title: `Add ${phase ? `${phase.letter}, ${phase.name || 'unnamed'}` : listWords(names)}`,
    detail: ADDED[how],
    look: 'uniform',
    ...sprinkle(sprinkled),
  }),
  'add-ahead': () => ({
    title: 'Stir in the stock solutions',
    detail: 'Pour in a thin stream, stirring throughout.',
    look: 'uniform, no lumps',
  }),
  'add-dyes': () => ({
    title: 'Add the dye drop by drop',
    detail: 'Stir between drops and stop early: the colour keeps spreading. Record the amount used.',
    look: 'the intended colour, no streaks',
  }),
  cool: ({ celsius, bath }) => ({
    title: `Cool below ${formatCelsius(celsius)}`,
    detail: bath
      ? 'Cool in a cold water bath, stirring throughout. It thickens from the wall inwards.'
      : 'Stir every few minutes. The time is an estimate for a beaker in still air; two temperature readings improve it.',
  }),
  'cool-part': ({ phase, celsius }) => ({
    title: `Let ${phase} cool below ${formatCelsius(celsius)}`,
    detail: 'Poured hot into a cool, thick batch, it would form lumps.',
    look: 'still clear (if crystals form, rewarm and add it warmer)',
  }),
  'make-up-water': ({ nowGrams, laterGrams, resolutionGrams }) => ({
    title: 'Make up the water loss',
    detail: `Weigh the batch. It should weigh ${formatGrams(nowGrams, resolutionGrams)}${
      laterGrams > 0 ? ` (${formatGrams(laterGrams, resolutionGrams)} are added later)` : ''
    }. Make up the difference with distilled water and stir.`,
  }),
  preserve: ({ names, atPh }) => ({
    title: `Add ${listWords(names)}`,
    detail: atPh
      ? 'Preservative, at the pH where it is effective. Stir in thoroughly.'
      : 'Stir in thoroughly.',
    look: 'uniform',
  }),
  ph: ({ aim, planned, solutions, resolutionGrams }) => ({
    title: `Measure the pH${aim ? ` and adjust to ${formatRange(aim)}` : ''}`,
    detail: `Measure on a small portion. Add a few drops of dilute pH adjuster, stir, wait ${DOSE_WAIT_MINUTES} minutes and measure again. Record every addition.${
      planned.length > 0
        ? ` The formula plans ${listWords(named(planned, resolutionGrams))}.${solutions.map((s) => asSolution(s, resolutionGrams)).join('')}`
        : ''
    }`,
    look: 'two equal readings in a row',
  }),
  'ph-again': () => ({
    title: 'Measure the pH again',
    detail: 'Measure after the last addition and record it.',
  }),
  hydrate: () => ({
    title: 'Let hydrate, then stir and measure the pH again',
    detail: 'Keep covered. It reaches full viscosity by then; early lumps disappear.',
    look: 'uniform, no lumps',
  }),
  adjust: ({ names }) => ({
    title: `Add ${listWords(names)}`,
    detail:
      'Stir in thoroughly. The pH cannot be measured: there is too little water, or it is enclosed in oil.',
  }),
  chill: () => ({
    title: 'Chill until the edge sets',
    detail: 'Chill in the fridge or on ice. Scrape down the sides from time to time.',
    look: 'opaque at the edge, soft in the middle',
  }),
  whip: () => ({
    title: 'Whip, chill for 10 minutes, and whip again',
    detail:
      'Weigh a level cup before and after whipping. Air in percent = (before ÷ after − 1) × 100. The volume doubles at most.',
    look: 'soft peaks that stand',
  }),
  fold: ({ names }) => ({
    title: `Fold in ${listWords(names)}`,
    detail: 'Sift in one third at a time and fold with a spatula. Vigorous stirring knocks the air out.',
    look: 'uniform, still holding peaks',
  }),
  fill: ({ whipped, flows, containers }) => ({
    title: whipped ? 'Pipe into clean jars' : 'Fill into clean containers',
    detail: flows
      ? 'Fill while it still flows.'
      : containers.length > 0
        ? `Use a ${listWords(containers, 'or')}, which keeps fingers out.`
        : 'Use a wide jar: too thick for a pump or tube. Take the product out with a clean spatula.',
  }),
  label: () => ({
    title: 'Label the containers',
    detail: 'Name, key active with its percent, date made, batch code, use-by date.',
  }),
  observe: ({ ph }) => ({
    title: 'Observe again tomorrow',
    detail: `Record ${ph ? 'pH, ' : ''}consistency, odour, colour, separation and crystals. Patch test before first use.`,
  }),
}

/** Title of a step; the maker's own in place of ours. */
export const titleOf = ({ said, ownTitle }: StepNamed): string =>
  // Code and facts of a step belong together.
  ownTitle ?? (steps[said.code] as (facts: StepSaid) => { title: string })(said).title
