import type { CauseCode, CauseFacts, Off } from '../../../bench/cause-facts.ts'
import { formatRange, listWords, sayNumber, sayPercent } from '../../../text/format.ts'

/** A cause in words: what it is, why here, a quick test and what to do. */
export interface CauseText {
  title: string
  because: string
  test: string
  moves: string[]
}

/** The words of each cause; `because` may stay empty where only experience speaks for it. */
export type CauseWords<C extends CauseCode = CauseCode> = {
  [K in C]: {
    title: string
    test: string
    because?: (facts: CauseFacts[K]) => string
    moves: readonly string[] | ((facts: CauseFacts[K]) => string[])
  }
}

export const warm = ({ celsius }: { celsius: number | null }) =>
  celsius === null ? '' : `Last measured at ${sayNumber(celsius, 1)} °C.`
export const weights = ({ under = [], over = [] }: { under?: Off[]; over?: Off[] }) =>
  [
    ...under.map((x) => `${x.name} is ${sayNumber(x.percent, 0)} % under its weight.`),
    ...over.map((x) => `${x.name} is ${sayNumber(x.percent, 0)} % over.`),
  ].join(' ')
export const doses = ({ doses: list }: { doses: { name: string; percent: number }[] }) =>
  `${listWords(list.map((x) => `${sayPercent(x.percent)} ${x.name}`))}.`
export const arePresent = ({ names }: { names: string[] }) =>
  `${listWords(names)} ${names.length > 1 ? 'are' : 'is'} in it.`
export const raisePh = ({ aim }: { aim: { min: number; max: number } | null }) =>
  `Bring the pH up${aim ? ` to ${formatRange(aim)}` : ''} with drops of 10 % sodium hydroxide, one small dose at a time.`
export const BESIDE_THE_PLAN = 'Look at the weights of this batch beside the plan.'
