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
    ...under.map((x) => `${x.name} is ${sayNumber(x.percent, 0)} % under its planned weight.`),
    ...over.map((x) => `${x.name} is ${sayNumber(x.percent, 0)} % over its planned weight.`),
  ].join(' ')
export const doses = ({ doses: list }: { doses: { name: string; percent: number }[] }) =>
  `Contains ${listWords(list.map((x) => `${sayPercent(x.percent)} ${x.name}`))}.`
export const arePresent = ({ names }: { names: string[] }) => `Contains ${listWords(names)}.`
export const raisePh = ({ aim }: { aim: { min: number; max: number } | null }) =>
  `Raise the pH${aim ? ` to ${formatRange(aim)}` : ''} with drops of 10 % sodium hydroxide solution, one small dose at a time.`
export const BESIDE_THE_PLAN = 'Compare the actual weights of this batch with the plan.'
