import type { MatterFacts } from '../../stability/plan.ts'
import type { Grade } from '../../batch/watch-data.ts'
import { WATCH } from '../../batch/watch-data.ts'
import type { PatchVerdict } from '../../stability/patch.ts'
import type { AsideFacts, Crossing, VerdictFacts } from '../../stability/verdict-facts.ts'
import { formatRange, listWords, sayNumber, uncapitalise } from '../../text/format.ts'
import type { Sentences } from '../../text/said.ts'
import { findings } from './findings/index.ts'
import { wordFinding } from './findings/word.ts'

/** Why a property is observed. */
export const matter: Sentences<MatterFacts> = {
  drifts: ({ says }) => says.join(' '),
  'preservation-window': ({ range }) => `The preservatives are effective at pH ${formatRange(range)} only.`,
  'ph-tells': () => 'A pH change is the first sign of a reaction in the product.',
  'weak-emulsion': ({ finding }) =>
    `The emulsion may not be stable. ${wordFinding(findings, finding).message}`,
  coalescence: () => 'Oil droplets coalesce slowly, and quickly when frozen.',
  'too-much-solid': ({ names }) => `More ${listWords(names)} than is certain to stay dissolved.`,
  recrystallises: () => 'A dissolved solid can recrystallise in the cold.',
  'germs-in-water': () => 'Contains water: any visible growth means discarding the whole batch.',
  'gas-early': () => 'Yeast and bacteria form gas before growth is visible.',
  'oxidises-fast': ({ names }) =>
    `${listWords(names)} oxidise${names.length > 1 ? '' : 's'} fast, often after weeks without a sign.`,
  'smell-first': () => 'Smell shows changes before they are visible.',
  graininess: ({ names }) => `${listWords(names)} can turn grainy weeks later.`,
  'sets-for-days': ({ names }) =>
    `${listWords(names)} keep${names.length > 1 ? '' : 's'} setting for days. Judge the consistency from day 3.`,
  browns: ({ names }) =>
    `${listWords(names)} turn${names.length > 1 ? '' : 's'} yellow to brown with air, light and metal.`,
  'colour-can-change': ({ names }) => `The colour of ${listWords(names)} can change.`,
  evaporation: () => 'Water evaporates through cap and wall, and the rest becomes more concentrated.',
  'pack-fails': () => 'Packaging can leak, stain or soften.',
}

/** A verdict in words: what is seen, why, and what to do. */
export interface VerdictText {
  first: string
  why: string
  next: string
}
type VerdictWords = {
  [C in keyof VerdictFacts]: (facts: VerdictFacts[C]) => Partial<VerdictText> & { first: string }
}

const AGAIN = 'Observe again within a week, with a second container and, if possible, a second method.'
const DISCARD = 'Discard the whole batch, even if it looks fine. Do not scoop, reheat or re-preserve it.'
const NEXT: Record<Grade, string> = { fine: '', again: AGAIN, discard: DISCARD }
const since = (age: number) => (age < 1 ? 'since filling' : `since day ${Math.round(age)}`)
const signed = (value: number) => `${value > 0 ? '+' : ''}${sayNumber(value)}`
const risen = (moved: number) => `The pH ${moved > 0 ? 'rose' : 'fell'} by ${sayNumber(Math.abs(moved))}`
const thicker = (percent: number) =>
  `${percent > 0 ? 'Thicker' : 'Thinner'} by ${sayNumber(Math.abs(percent), 0)} %`
/** When the drift would meet a limit; empty where nothing is to be said. */
const crossingWords = (crossing: Crossing) =>
  crossing === null
    ? ''
    : crossing === 'not-enough-data'
      ? 'Not enough data yet for a forecast.'
      : `At this rate the 95 % limit reaches the edge of the range on day ${crossing.day}. Use the product before then.`

const COLOUR: Record<VerdictFacts['colour']['level'], string> = {
  'below-light': ', less than lighting and camera cause.',
  'side-by-side': ', visible side by side only.',
  visible: ', clearly visible.',
  'another-colour': ': a different colour.',
}

export const verdicts: VerdictWords = {
  'mass-first': ({ grams }) => ({ first: `${sayNumber(grams)} g. The next weighing shows the weight loss.` }),
  'mass-gained': ({ grams }) => ({
    first: `The container gained ${sayNumber(grams)} g.`,
    why: 'A humectant can absorb moisture through the cap, or the scale is inaccurate.',
    next: 'Weigh it again next to a known weight.',
  }),
  'mass-steady': () => ({ first: 'No detectable weight loss.' }),
  'mass-lost': ({ percent, level, yearlyPercent }) => ({
    first: `${sayNumber(percent, 1)} % weight loss through the packaging.`,
    why: {
      fine: `At this rate ${sayNumber(yearlyPercent, 0)} % a year.`,
      again: 'The rest becomes more concentrated.',
      discard: 'The rest is more concentrated by as much, preservatives and acids included.',
    }[level],
    next: {
      fine: '',
      again: 'Use a tighter cap or a thicker wall. Weigh again within a week.',
      discard: 'Do not use it. Choose tighter packaging.',
    }[level],
  }),
  layer: ({ percent, level }) => ({
    first: `The separated layer is ${sayNumber(percent, 1)} % of the height.`,
    why: level === 'discard' ? 'This much separation leaves part of the product unpreserved.' : '',
    next: NEXT[level],
  }),
  'body-first': ({ value, way, areaPerGram }) => ({
    first: `${sayNumber(value)} ${WATCH.ways[way].unit} by ${WATCH.ways[way].label}${areaPerGram === null ? '' : `, ${sayNumber(areaPerGram, 0)} cm² a gram`}.`,
  }),
  'body-steady': () => ({ first: 'No detectable change in consistency.' }),
  'body-varies': ({ percent }) => ({ first: `${thicker(percent)}, within normal variation.` }),
  'body-changed': ({ percent, age, discard }) => ({
    first: `${thicker(percent)} ${since(age)}.`,
    why: discard ? 'The structure of the product has collapsed.' : '',
    next: discard ? DISCARD : AGAIN,
  }),
  colour: ({ deltaE, level }) => ({
    first: `Colour change ΔE00 ${sayNumber(deltaE, 1)}${COLOUR[level]}`,
    next: level === 'visible' || level === 'another-colour' ? AGAIN : '',
  }),
  answer: ({ property, cycle, words, level }) => ({
    first: `${WATCH.properties[property].label}${cycle === null ? '' : ` after cycle ${cycle}`}: ${uncapitalise(words)}.`,
    next: NEXT[level],
  }),
  'ph-was-outside-preservation': ({ ph, range }) => ({
    first: `Measured pH ${sayNumber(ph)}, outside the range of the preservation (${formatRange(range)}).`,
    why: 'Microbes may have grown unseen since then.',
    next: DISCARD,
  }),
  'ph-outside-preservation': ({ ph, range }) => ({
    first: `Measured pH ${sayNumber(ph)}, outside the range of the preservation (${formatRange(range)}).`,
    why: 'Just filled: the pH can still be adjusted.',
    next: 'Adjust the pH today and measure again tomorrow. Otherwise discard the batch.',
  }),
  'ph-at-edge-of-preservation': ({ ph, range, way }) => ({
    first: `Measured pH ${sayNumber(ph)}, at the edge of the range of the preservation (${formatRange(range)}).`,
    why: `The ${WATCH.ways[way].label} cannot tell on which side.`,
    next: AGAIN,
  }),
  'ph-burns': ({ ph }) => ({
    first: `Measured pH ${sayNumber(ph)}, which burns.`,
    why: 'Not tolerable on this skin.',
    next: DISCARD,
  }),
  'ph-stings': ({ ph, range }) => ({
    first: `Measured pH ${sayNumber(ph)}, outside the tolerable range here (${formatRange(range)}).`,
    why: 'It may sting.',
    next: AGAIN,
  }),
  'ph-outside-needs': ({ ph, range }) => ({
    first: `Measured pH ${sayNumber(ph)}, outside ${formatRange(range)}, where the ingredients are effective and stable.`,
    why: 'The product is preserved, but actives work less or the consistency suffers.',
    next: AGAIN,
  }),
  'ph-unexplained': ({ moved, age }) => ({
    first: `The pH moved by ${signed(moved)} ${since(age)}.`,
    why: 'The formula does not explain a change this large: there is another cause.',
    next: DISCARD,
  }),
  'ph-drifts': ({ moved, age, way, says, crossing }) => ({
    first: `${risen(moved)} ${since(age)}, more than the ${WATCH.ways[way].label}’s error.`,
    why: [says ?? '', crossingWords(crossing)].filter(Boolean).join(' '),
    next: AGAIN,
  }),
  'ph-settled': ({ moved, crossing }) => ({
    first: `${risen(moved)} in the first days, as predicted, and has been stable since.`,
    why: crossingWords(crossing),
  }),
  'ph-inside': ({ ph, crossing }) => ({
    first: `Measured pH ${sayNumber(ph)}, within its pH ranges.`,
    why: crossingWords(crossing),
  }),
  'ph-moved-inside': ({ moved, crossing }) => ({
    first: `The pH moved by ${signed(moved)}, within its pH ranges.`,
    why: crossingWords(crossing),
  }),
  'ph-steady': ({ way, error, crossing }) => ({
    first: `No detectable pH change: it is within the ${WATCH.ways[way].label}’s error (${sayNumber(error)}).`,
    why: crossingWords(crossing),
  }),
}

/** What a sample shows that was treated harder than the jar in use. */
export const stressed = (storage: string) => ({
  why: `${storage} is a stress test: it shows weak points, not the shelf life in use.`,
  next: 'The sample at room temperature decides. Protect the containers from it, and improve the formula next time.',
})

export const batchHeads: Record<Grade, string> = {
  fine: 'No change detected.',
  again: 'Observe again.',
  discard: 'Do not use.',
}
export const patchReacted = 'A patch test reacted.'
export const nothingObserved = 'No observations yet.'

/** What home eyes cannot see; stands beside every verdict. */
export const unseen =
  'Microbes are invisible: a product with a million per gram can look and smell normal. Only a laboratory challenge test (ISO 11930) shows whether the preservation works. Nothing here means that a product is safe.'

/** Why a reading stands beside its series. */
export const aside: Sentences<AsideFacts> = {
  'other-measurement': ({ way, usual }) =>
    `Measured by ${WATCH.ways[way].label}: not comparable with ${WATCH.ways[usual].label}.`,
  'picture-exposure': () =>
    'The photo is too dark or overexposed at the card. Take it again with more or less light.',
  'other-card': () => 'The first photo shows a different card. Use the same card.',
  'other-light': () =>
    'The light differs too much from the first photo to compare. Use the same lamp and place, without flash.',
}

/** What a patch test tells so far: no diagnosis, and where to stop. */
export function patch(verdict: PatchVerdict): string {
  switch (verdict.state) {
    case 'stop':
      return `Stop, wash it off and do not use it${verdict.seeDoctor ? '; see a doctor. Swelling of lips or eyes, or short breath: call for help at once' : ''}. ${
        verdict.grew
          ? 'The reaction grew after two days: see a doctor.'
          : 'If it grows or stays, see a doctor.'
      } Do not test it again.`
    case 'quiet':
      return 'No reaction to the end. This is no proof, and tells nothing about other people’s skin.'
    case 'open': {
      const { untilHours: hours } = verdict
      return `Observe for ${hours < 48 ? `${hours} hours` : `${Math.round(hours / 24)} days`} in all.`
    }
  }
}
