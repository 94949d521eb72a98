import type { HeatReasonFacts, MadeAhead, RouteReasonFacts, Tool } from '../../procedure/step-facts.ts'
import type { StepKind } from '../../procedure/steps.ts'
import type { GoesFacts, RouteChoiceFacts } from '../../procedure/view.ts'
import { capitalise, formatCelsius, listWords } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'
import { say } from '../say.ts'

/** Why a step is better made the day before. */
export const madeAhead: Record<MadeAhead, string> = {
  stock: 'A stock solution can be made the day before.',
  hydrates: 'It hydrates overnight.',
  'preserved-stock': 'A preserved stock solution keeps for 1–2 weeks in the fridge.',
  'gum-rests': 'The gum rests overnight.',
}

/** Why a phase is heated that far. */
export const heatReasons: Sentences<HeatReasonFacts> = {
  melts: ({ name, celsius }) => `${capitalise(name)} melts at about ${formatCelsius(celsius)}.`,
  meets: ({ celsius }) =>
    `It is combined with a phase at ${formatCelsius(celsius)}. Fats would set in a cooler phase.`,
}

/** Why a phase goes where it goes. */
export const routeReasons: Sentences<RouteReasonFacts> = {
  'adjusts-ph': () => 'Adjusts the pH.',
  'not-heated': () => 'Not heated: added when the batch is cool.',
  'oils-meet-water': () => 'Oil and water phases are combined hot.',
  begins: () => 'The batch starts with this phase.',
  'when-cool': () => 'Added when the batch is cool.',
  'heated-with-others': () => 'Heated with the other phases.',
  'heat-unknown': () => 'Heat tolerance unknown.',
  oils: () => 'Contains oils.',
  'when-base-stands': ({ names }) => `Add ${listWords(names)} once the emulsion has formed and cooled.`,
  'stands-no-heat': ({ names }) => `Heat-sensitive: ${listWords(names)}.`,
  'gum-wet-first': () => 'Gums are wetted before they meet water.',
  'solvent-in-water': () => 'Its solvent belongs to the water phase.',
  'no-other-part': () => 'The only phase so far.',
  chosen: () => 'Chosen by you.',
}

/** What has to lie ready. */
export const tools: Record<Tool, string> = {
  gloves: 'gloves',
  disinfectant: '70 % isopropyl alcohol',
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
  'with-ph': () => 'when the pH is adjusted',
  begins: () => 'the batch starts with it',
  joined: ({ with: others }) => `combined with ${listWords(others)}`,
  part: ({ letter, hot }) => `into ${letter ?? 'another phase'}, ${hot ? 'hot' : 'before heating'}`,
  batch: ({ belowC }) => (belowC === null ? 'into the batch' : `into the batch, below ${belowC} °C`),
}
/** Where a phase may go. */
export const routeChoices: Sentences<RouteChoiceFacts> = {
  proposed: ({ goes: to, reason }) => `As proposed: ${say(goes, to)}. ${say(routeReasons, reason)}`,
  'with-others': () => 'Combined with the other phases',
  'when-cool': () => 'Into the batch after cooling',
  'before-heat': ({ letter }) => `Into ${letter} before heating`,
  hot: ({ letter }) => `Into ${letter}, hot`,
}
