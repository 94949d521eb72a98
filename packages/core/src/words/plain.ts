import { METHOD_WORDS } from '#words/methods'
import type { Reading } from '../shapes/formula.ts'
import * as faults from '#words/faults'
import type { Full } from '../formula/edit.ts'
import type { MixtureFault, MixtureFaultFacts } from '../materials/own.ts'
import type { UnknownPh } from '../ph/predict.ts'
import * as recipes from '#words/recipes'
import type { Question } from '../recipes/recipe.ts'
import type { Remark, RemarkFacts } from '../recipes/said.ts'
import * as balance from '#words/balance'
import { changeText } from '#words/changes'
import * as fill from '#words/fill'
import { PATCH_NOT_FOR, PATCH_REACTIONS, patchWays, sayAge } from '#words/observations'
import type { AboutFacts, WishFacts } from '../balance/said.ts'
import type { DoesNotFit, SuitsFacts } from '../fill/said.ts'
import type { Said } from '../text/said.ts'
import { say } from './say.ts'

export { changeText, PATCH_NOT_FOR, PATCH_REACTIONS, patchWays, sayAge }

/** Why a container does not suit a product, or what to mind. */
export const suitsText = (reason: Said<SuitsFacts>): string => say(fill.suits, reason)
/** A weight that does not go into a container. */
export const doesNotFitText = (fault: DoesNotFit): string => fill.doesNotFit(fault)
/** A wish; completes “… cannot be had together”. */
export const wishText = (wish: Said<WishFacts>): string => say(balance.wish, wish)
/** What a wish that was missed is about. */
export const aboutText = (about: Said<AboutFacts>): string => say(balance.about, about)
/** How a wish bounds a figure. */
export const boundsText = (wanted: keyof typeof balance.bounds): string => balance.bounds[wanted]
/** How an amount of a recipe came about, and what is doubtful. */
export const remarkText = (remark: Remark): string => say<RemarkFacts>(recipes.remark, remark)
/** What is missing before a recipe is a formula. */
export const questionText = ({ said }: Question): string => say(recipes.question, said)
/** Why parts make no mixture. */
export const mixtureFaultText = (fault: MixtureFault): string =>
  say<MixtureFaultFacts>(faults.mixtureFault, fault)
/** A formula that takes no more lines or phases. */
export const fullText = (full: Full): string => faults.full(full)
/** Why the pH that a line brings is not known. */
export const unknownPhText = (why: UnknownPh): string => faults.unknownPh[why]
export { clockAt, sayMoney } from '#words/figures'
export { lotLabel } from '#words/lots'
/** How a pH was measured. */
export const methodText = (method: Reading['method']): string => METHOD_WORDS[method]
