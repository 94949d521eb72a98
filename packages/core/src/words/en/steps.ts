import { DOSE_WAIT_MINUTES } from '../../dosing/dosing.ts'
import type {
  AdjusterSolution,
  DyeSolution,
  HeatReasonFacts,
  MadeAhead,
  NamedGrams,
  RouteReasonFacts,
  Sprinkled,
  StepFacts,
  StepSaid,
  Tool,
  TooSmall,
} from '../../procedure/step-facts.ts'
import type { StepKind, StepNamed } from '../../procedure/steps.ts'
import type { GoesFacts, RouteChoiceFacts } from '../../procedure/view.ts'
import {
  capitalise,
  formatCelsius,
  formatGrams,
  formatRange,
  listWords,
  sayNumber,
  sayPercent,
} from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'
import { say } from '../say.ts'
import { LYE_CARE, LYE_ORDER } from './lye.ts'

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
  minutes > 0 ? ` Let it rest ${minutes > 60 ? 'overnight' : `${minutes} minutes`}.` : ''
const named = (items: readonly NamedGrams[], resolution: number) =>
  items.map(({ name, grams }) => `${formatGrams(grams, resolution)} ${name}`)
/** How long powders are stirred: until they are gone, or spread. */
const untilGone = ({ names, dissolve }: { names: readonly string[]; dissolve: boolean }) =>
  dissolve
    ? { until: `${names.length > 1 ? 'all of it' : 'it'} is dissolved`, look: 'no grains left' }
    : { until: 'no lump is left', look: 'no lumps between the fingers' }
/** How what holds such powders is poured. */
function sprinkle(sprinkled: Sprinkled | null) {
  if (!sprinkled) return null
  const { until, look } = untilGone(sprinkled)
  const rest = sprinkled.more ? ' Then the rest, stirred together.' : ''
  return {
    detail: `Sprinkle ${listWords(sprinkled.names)} in bit by bit, stirring until ${until}.${rest}`,
    look,
  }
}
const asDilution = ({ name, grams, carrier, ...d }: TooSmall, resolution: number) =>
  `${formatGrams(grams, resolution)} ${name} is too little for this scale: stir ${formatGrams(d.soluteGrams, resolution)} into ${formatGrams(d.carrierGrams, resolution)} ${carrier} and take ${formatGrams(d.useGrams, resolution)} of that, counting its ${carrier} with the rest.`
function partOfSolution(name: string, s: DyeSolution, resolution: number): string {
  const g = (grams: number) => formatGrams(grams, resolution)
  const use =
    s.drops === null
      ? `Stir 1 g of that into 9 g of water again: ${g(s.useGrams)} hold what the batch takes`
      : `${g(s.useGrams)} of it, about ${s.drops} drops, hold what the batch takes`
  return `The scale cannot weigh so little ${name}: stir ${g(s.dyeGrams)} into ${g(s.waterGrams)} distilled water. ${use}.`
}
function asSolution(s: AdjusterSolution, resolution: number): string {
  const g = (grams: number) => formatGrams(grams, resolution)
  const caution = s.lye ? ` ${LYE_CARE} ${LYE_ORDER}` : ''
  return ` Make a ${sayPercent(s.percent)} solution first: stir ${g(s.grams)} ${s.name} into ${g(s.waterGrams)} cold distilled water. Use ${g(s.wholeGrams)} of it.${caution}`
}
const HEAT_CARE = {
  'weigh-inverse':
    'Weigh it before and after and put back now, hot, what is missing: once it is in the oil it cannot be put back.',
  cover: 'Cover it, so that little water leaves.',
  weigh: 'Weigh it before and after; what is missing is put back as hot water.',
  'melt-whole': 'Hold it, so that it melts whole.',
}
const BLENDING = {
  fast: 'Sets fast: blend in short bursts below the surface, then stir by hand to avoid air and lumps.',
  medium: 'Short bursts below the surface, so that no air goes in.',
  slow: 'Sets slowly: blend in several short rounds, then stir by hand.',
}
function pourDetail({ emulsion, hot }: StepFacts['combine']): string {
  switch (emulsion) {
    case 'none':
      return 'Stir until it is even.'
    case 'inverse':
      return 'In a thin stream and slowly, blending all the time: water in oil forgives no hurry.'
    case 'into-oil':
      return `${hot ? 'Both at the same temperature. ' : ''}The mix thickens, then inverts (phase inversion): finer droplets with nonionic waxes.`
    case 'into-water':
      return `${hot ? 'Both at the same temperature, to about 5 °C. ' : ''}Short bursts of half a minute.`
  }
}
const ADDED = {
  spooned: 'Back into the batch; stir it through.',
  sprinkled: '',
  acid: 'In a thin stream and in small parts, stirring after each; then blend shortly again.',
  several: 'Stir it together first, then in small parts into the batch.',
  one: 'Stir it in.',
}

/** Every step that Omblet writes. */
export const steps: StepWords = {
  own: ({ title }) => ({ title }),
  prepare: () => ({
    title: 'Wash, dry and spray tools and bench',
    detail:
      'Spray with 70 % isopropyl alcohol and let it dry; no flame nearby. Gloves on. Write down the weight of each empty vessel.',
  }),
  'make-own': ({ name, grams, parts, resolutionGrams }) => ({
    title: `Make ${name}`,
    detail: `${formatGrams(grams, resolutionGrams)} of it is needed: ${listWords(named(parts, resolutionGrams))}. Make a little more, for what stays in the beaker. It is weighed into its phase like any material.`,
    look: 'even, or clear where it should be',
  }),
  'make-up': ({ name, grams, waterGrams, resolutionGrams }) => ({
    title: `Make up ${name}`,
    detail: `Weigh ${formatGrams(grams, resolutionGrams)} and ${formatGrams(waterGrams, resolutionGrams)} of the water of the formula into a small beaker and stir.`,
    look: 'even, without grains',
  }),
  'swell-ahead': ({ stock, names, waterGrams, preservatives, resolutionGrams }) => ({
    title: stock ? `Make a stock of ${listWords(names)}` : `Hydrate ${listWords(names)} overnight`,
    detail: `Weigh ${listWords([`${formatGrams(waterGrams, resolutionGrams)} of the water`, ...named(preservatives, resolutionGrams)])} into a beaker with a lid, sprinkle it on, shake it and leave it in the cold.${preservatives.length > 0 ? ' The preservative keeps it meanwhile.' : ' Nothing preserves it: keep it in the fridge, no longer than a night, and throw away what is over.'}`,
    look: 'no lumps left; those at first are harmless and go by themselves',
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
        : `, and ${formatGrams(takeUpGrams, resolutionGrams)} of the water to take it up`
    const tiny = tooSmall.map((t) => asDilution(t, resolutionGrams)).join(' ')
    return {
      title: `Weigh ${vessel}, ${phase || 'unnamed'}`,
      detail: `${listWords(names)}${water}${tiny && `. ${tiny}`}${lye ? `${tiny ? '' : '.'} ${LYE_CARE}` : ''}`,
    }
  },
  'weigh-rest': () => ({
    title: 'Weigh what no step names',
    detail: 'Its step was taken out of the method.',
  }),
  'hold-back': ({ phase, waterGrams, names, resolutionGrams }) => ({
    title: `Weigh a cold share of the water of ${phase}`,
    detail: `${listWords([`${formatGrams(waterGrams, resolutionGrams)} of it`, ...names])} stay cold and cool the emulsion later.`,
  }),
  'rub-slurry': ({ names, vessel, restMinutes }) => ({
    title: `Wet ${listWords(names)} in ${vessel}`,
    detail: `Rub it smooth before any water comes to it.${rests(restMinutes)}`,
    look: 'no lumps between the fingers',
  }),
  'wet-gum': ({ names, wetting, restMinutes }) => ({
    title: `Wet ${listWords(names)} with ${wetting}`,
    detail: `Weigh ${listWords([...names, wetting])} into a small beaker and rub it smooth: it lumps in bare water.${rests(restMinutes)}`,
    look: 'no lumps between the fingers',
  }),
  'add-slurry': ({ names, vessel }) => ({
    title: `Stir the slurry of ${listWords(names)} into ${vessel}`,
    detail: 'In a thin stream, stirring all along.',
    look: 'even, no lumps',
  }),
  'sprinkle-gum': ({ names, vessel, slurry, restMinutes }) => ({
    title: `Sprinkle ${listWords(names)} on ${vessel} under shear`,
    detail: `The formula has too little to wet it with${slurry ? ` (about ${sayNumber(slurry.parts)} parts of ${slurry.in})` : ''}, so it is sprinkled slowly into the vortex.${rests(restMinutes)}`,
    look: 'no lumps; what clumps is lost',
  }),
  'sprinkle-polymer': ({ names, vessel }) => ({
    title: `Sprinkle ${listWords(names)} on ${vessel} under high shear`,
    detail:
      'Weigh it on a watch glass, let it fall into the vortex and blend for two or three minutes. Lumps at first are harmless: they hydrate by themselves.',
    look: 'no powder left on top',
  }),
  neutralise: ({ names, vessel, lye, solidLye }) => ({
    title: `Stir ${listWords(names)} into ${vessel}`,
    detail: `Drop by drop, slowly: it thickens at once, and stirred fast it keeps air.${lye ? ` ${LYE_CARE}` : ''}${solidLye ? ` ${LYE_ORDER}` : ''}`,
    look: 'clear and thick, without lumps',
  }),
  'spread-in-oil': ({ names, vessel }) => ({
    title: `Stir ${listWords(names)} into the oils of ${vessel}`,
    detail: 'A polymer that is spread in oil meets the water without lumps.',
    look: 'even, no clumps at the wall',
  }),
  dissolve: ({ names, vessel, warmToC, alreadyWarm, lye, cloudy }) => ({
    title: `Dissolve ${listWords(names)} in ${vessel}`,
    detail:
      warmToC !== null
        ? `Warm it to ${formatCelsius(warmToC)} and stir. What is still cloudy comes out again when it cools.`
        : alreadyWarm
          ? 'In the warm liquid, one after the other.'
          : `One after the other, stirring.${lye ? ` ${LYE_CARE} ${LYE_ORDER} The solution gets hot.` : ''}`,
    look: cloudy ? 'no grains left' : 'clear, nothing at the bottom',
  }),
  'rub-smooth': ({ names, vessel }) => ({
    title: `Rub ${listWords(names)} smooth in ${vessel}`,
    detail: 'The powder does not dissolve: any lump left now stays.',
    look: 'no specks on a glass plate',
  }),
  heat: ({ phase, celsius, holdMinutes, reason, care, oily }) => ({
    title: `Heat ${phase} to ${formatCelsius(celsius)}${holdMinutes > 0 ? ` and hold ${holdMinutes} minutes` : ''}`,
    detail: [reason ? say(heatReasons, reason) : '', care ? HEAT_CARE[care] : ''].filter(Boolean).join(' '),
    look: oily ? 'clear, no flakes' : '',
  }),
  'pour-part': ({ phase, into, warmIntoCold, sprinkled }) => ({
    title: `Stir ${phase} into ${into}`,
    detail: warmIntoCold ? 'In a thin stream, stirring all along.' : 'Slowly, stirring all along.',
    look: 'even',
    ...sprinkle(sprinkled),
  }),
  combine: (facts) => ({
    title: `Pour ${listWords(facts.phases)} into ${facts.into}${facts.emulsion === 'none' ? '' : ', blending'}`,
    detail: pourDetail(facts),
    look: facts.emulsion === 'none' ? 'even' : 'one even colour, no oil at the edge',
    ...sprinkle(facts.sprinkled),
  }),
  blend: ({ rounds, everyMinutes, setting, large }) => ({
    title:
      rounds === 1
        ? 'Blend once more while it is hot'
        : everyMinutes === null
          ? `Blend ${rounds} times, a minute apart`
          : `Blend ${rounds} times more while it cools, every ${everyMinutes} minutes`,
    detail: `${BLENDING[setting]}${large ? ' A mass of this size is blended again every 30 to 45 minutes until it is cold.' : ''}`,
    look: 'smooth and glossy',
  }),
  'blend-cold': ({ vessel }) => ({
    title: `Blend ${vessel} until it is one`,
    detail: 'Short bursts below the surface, a minute apart.',
    look: 'one even colour, no oil on top',
  }),
  'cold-share': () => ({
    title: 'Stir in the cold share of the water',
    detail: 'In a thin stream, stirring: it cools the emulsion at once.',
    look: 'even',
  }),
  set: () => ({
    title: 'Let it set, unstirred',
    detail: 'Covered, at room temperature. Stirred while it sets, it would stay thin.',
    look: 'stands like a jelly',
  }),
  whisk: () => ({
    title: 'Beat it smooth',
    detail: 'With a whisk at low speed, until the jelly turns to cream.',
    look: 'an even, glossy cream without lumps',
  }),
  spoon: ({ names, aboutGrams, vessel, dissolve }) => {
    const { until, look } = untilGone({ names, dissolve })
    return {
      title: `Take ${listWords(names)} up with a few spoons of the batch`,
      detail: `About ${aboutGrams} g of it into ${vessel}; stir until ${until}. Dropped into the whole batch it would lump.`,
      look,
    }
  },
  'add-late': ({ phase, names, how, sprinkled }) => ({
    title: `Add ${phase ? `${phase.letter}, ${phase.name || 'unnamed'}` : listWords(names)}`,
    detail: ADDED[how],
    look: 'even',
    ...sprinkle(sprinkled),
  }),
  'add-ahead': () => ({
    title: 'Stir in what was made ahead',
    detail: 'In a thin stream, stirring all along.',
    look: 'even, no lumps',
  }),
  'add-dyes': () => ({
    title: 'Add the dye drop by drop',
    detail: 'Stir between the drops, and stop early: it goes on spreading. Write down what went in.',
    look: 'the colour that is wanted, without streaks',
  }),
  cool: ({ celsius, bath }) => ({
    title: `Cool below ${formatCelsius(celsius)}`,
    detail: bath
      ? 'In cold water, stirring all along; it thickens from the wall inwards.'
      : 'Stir every few minutes. An estimate for a beaker in still air: two temperatures tell better.',
  }),
  'cool-part': ({ phase, celsius }) => ({
    title: `Let ${phase} cool below ${formatCelsius(celsius)}`,
    detail: 'What is poured hot into something cool and thick makes lumps.',
    look: 'still clear; if crystals come, warm it again and add it warmer',
  }),
  'make-up-water': ({ nowGrams, laterGrams, resolutionGrams }) => ({
    title: 'Make up the water loss',
    detail: `Weigh the batch: it should be ${formatGrams(nowGrams, resolutionGrams)}${
      laterGrams > 0 ? ` now, for ${formatGrams(laterGrams, resolutionGrams)} are still to come` : ''
    }. Add the difference back as distilled water and stir.`,
  }),
  preserve: ({ names, atPh }) => ({
    title: `Add ${listWords(names)}`,
    detail: atPh ? 'The preservative, at the pH where it works; stir well.' : 'Stir it in well.',
    look: 'even',
  }),
  ph: ({ aim, planned, solutions, resolutionGrams }) => ({
    title: `Measure the pH${aim ? ` and bring it to ${formatRange(aim)}` : ''}`,
    detail: `On a small portion. A few drops of a dilute adjuster. Stir, wait ${DOSE_WAIT_MINUTES} minutes, measure again. Count what goes in.${
      planned.length > 0
        ? ` The formula plans ${listWords(named(planned, resolutionGrams))}.${solutions.map((s) => asSolution(s, resolutionGrams)).join('')}`
        : ''
    }`,
    look: 'the same reading twice',
  }),
  'ph-again': () => ({ title: 'Measure the pH again', detail: 'After the last addition; write it down.' }),
  hydrate: () => ({
    title: 'Let it hydrate, then stir and measure the pH again',
    detail: 'Covered. What looks thin or lumpy now has its body then.',
    look: 'even, without lumps',
  }),
  adjust: ({ names }) => ({
    title: `Add ${listWords(names)}`,
    detail: 'Stir it in well. There is too little water, or it lies inside the oil, so no pH can be read.',
  }),
  chill: () => ({
    title: 'Chill until the edge sets',
    detail: 'In the fridge or on ice; scrape the edge in now and then.',
    look: 'opaque at the wall, soft in the middle',
  }),
  whip: () => ({
    title: 'Whip, chill ten minutes, and whip again',
    detail:
      'Weigh a cup of it before and after: (before ÷ after − 1) × 100 is the air in percent. It doubles at most.',
    look: 'soft peaks that stand',
  }),
  fold: ({ names }) => ({
    title: `Fold in ${listWords(names)}`,
    detail:
      'Sift a third of it over, lift it under with a spatula, and so on: stirred hard it loses its air.',
    look: 'even, and still standing in peaks',
  }),
  fill: ({ whipped, flows, containers }) => ({
    title: whipped ? 'Pipe it into clean jars' : 'Fill a clean container',
    detail: flows
      ? 'While it still flows.'
      : containers.length > 0
        ? `A ${listWords(containers, 'or')} keeps fingers out.`
        : 'A wide jar: too thick for a pump or tube. Take it out with a clean spatula.',
  }),
  label: () => ({
    title: 'Label it',
    detail: 'Name, key active and its percent, date, batch code, use-by date.',
  }),
  observe: ({ ph }) => ({
    title: 'Observe again tomorrow',
    detail: `${ph ? 'pH, ' : ''}body, smell, colour, drops or crystals. Patch test before the first use.`,
  }),
}

/** Title of a step; the maker's own in place of ours. */
export const titleOf = ({ said, ownTitle }: StepNamed): string =>
  // Code and facts of a step belong together.
  ownTitle ?? (steps[said.code] as (facts: StepSaid) => { title: string })(said).title

/** Why a step is better made the day before. */
export const madeAhead: Record<MadeAhead, string> = {
  stock: 'A stock may stand overnight and is ready when the batch is.',
  hydrates: 'Hydrates overnight.',
  'preserved-stock': 'A preserved stock keeps a week or two in the fridge.',
  'gum-rests': 'The gum rests overnight.',
}

/** Why a phase is heated that far. */
export const heatReasons: Sentences<HeatReasonFacts> = {
  melts: ({ name, celsius }) => `${capitalise(name)} melts at about ${formatCelsius(celsius)}.`,
  meets: ({ celsius }) => `It meets a part of ${formatCelsius(celsius)}, and fats set in what is cooler.`,
}

/** Why a phase goes where it goes. */
export const routeReasons: Sentences<RouteReasonFacts> = {
  'adjusts-ph': () => 'Adjusts the pH.',
  'not-heated': () => 'Not heated: added when the batch is cool.',
  'oils-meet-water': () => 'The oils meet the water hot.',
  begins: () => 'The batch begins with it.',
  'when-cool': () => 'Added when the batch is cool.',
  'heated-with-others': () => 'Heated with the others.',
  'heat-unknown': () => 'Nothing says that it stands heat.',
  oils: () => 'Made of oils.',
  'when-base-stands': ({ names }) =>
    `${capitalise(listWords(names))} goes in when the rest stands and is cool.`,
  'stands-no-heat': ({ names }) => `${capitalise(listWords(names))} stands no heat.`,
  'gum-wet-first': () => 'The gum is wet before water comes to it.',
  'solvent-in-water': () => 'Its solvent lives in the water.',
  'no-other-part': () => 'There is no other part yet.',
  chosen: () => 'You chose it.',
}

/** What has to lie ready. */
export const tools: Record<Tool, string> = {
  gloves: 'gloves',
  'isopropyl-alcohol': '70 % isopropyl alcohol',
  'small-beaker': 'small beaker',
  'heat-proof-beaker': 'heat-proof beaker',
  'large-beaker': 'large heat-proof beaker',
  'beaker-with-lid': 'beaker with a lid',
  lid: 'lid or film',
  pipette: 'pipette',
  stirrer: 'stirrer',
  spatula: 'spatula',
  whisk: 'whisk',
  'stick-blender': 'stick blender',
  'watch-glass': 'watch glass',
  sieve: 'sieve',
  'measuring-cup': 'measuring cup',
  'water-bath': 'water bath',
  'cold-bath': 'cold water bath',
  ice: 'ice or fridge',
  thermometer: 'thermometer',
  'ph-meter': 'pH meter or strips',
  'distilled-water': 'distilled water',
  container: 'container',
  'piping-bag': 'piping bag',
  funnel: 'funnel or spatula',
  label: 'label',
}
export const scaleTo = (grams: number) => `scale to ${grams} g`

/** What is done in a step, in a word beside the drawing of the procedure; a maker's own and what is not drawn have none. */
export const stepVerbs: Record<StepKind, string> = {
  wash: '',
  weigh: 'weigh',
  wet: 'wet',
  dissolve: 'dissolve',
  heat: 'heat',
  join: 'join',
  blend: 'blend',
  cool: 'cool',
  add: 'add',
  water: 'make up',
  ph: 'pH',
  rest: 'rest',
  whip: 'whip',
  fill: 'fill',
  label: '',
  look: '',
  own: '',
}

/** Where a part goes, such as “into A, before it is heated”. */
export const goes: Sentences<GoesFacts> = {
  'with-ph': () => 'with the pH',
  begins: () => 'the batch begins with it',
  joined: ({ with: others }) => `joined with ${listWords(others)}`,
  part: ({ letter, hot }) => `into ${letter ?? 'another part'}, ${hot ? 'hot' : 'before it is heated'}`,
  batch: ({ belowC }) => (belowC === null ? 'into the batch' : `into the batch, below ${belowC} °C`),
}
/** Where a phase may go. */
export const routeChoices: Sentences<RouteChoiceFacts> = {
  proposed: ({ goes: to, reason }) => `As proposed: ${say(goes, to)}. ${say(routeReasons, reason)}`,
  'with-others': () => 'Joined with the others',
  'when-cool': () => 'Into the batch when it is cool',
  'before-heat': ({ letter }) => `Into ${letter} before it is heated`,
  hot: ({ letter }) => `Into ${letter}, hot`,
}
