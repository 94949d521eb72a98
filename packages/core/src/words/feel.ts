import * as texts from '#words/feel'
import type { Body, ColdAndWarm, ExpectedBody, FattyBalance } from '../feel/body.ts'
import type { Guide } from '../feel/profile.ts'
import type { EmulsionNote, WarmthFacts } from '../feel/said.ts'
import { say } from './say.ts'

/** What makes an emulsion as thick as it is, as nouns, the strongest first. */
export const bodyReasonsText = ({ because }: ExpectedBody): string[] =>
  because.map((reason) => say(texts.bodyReason, reason))
/** What a warm day does to an emulsion. */
export const warmthText = ({ warmth }: ColdAndWarm): string => say<WarmthFacts>(texts.warmth, warmth)
/** Why an emulsion bears frost or does not. */
export const freezingWhyText = ({ freezing }: ColdAndWarm): string => say(texts.freezingWhy, freezing.why)
/** Why so much fatty alcohol suits the emulsifier. */
export const fattyReasonText = ({ why }: FattyBalance): string => say(texts.fattyReason, why)
/** A rule for the amount of emulsifier: what it is called, and what it says here. */
export const guideText = ({ said }: Guide): { name: string; says: string } => ({
  name: texts.guideNames[said.code],
  says: say(texts.guide, said),
})
/** What to expect of an emulsion. */
export const emulsionNoteText = (note: EmulsionNote): string => texts.emulsionNotes[note]
/** A class of consistency. */
export const bodyText = (body: Body): string => texts.bodies[body]
/** A class with its neighbours within reach: `lotion (milk–cream)`. */
export const bodySpanText = (body: ExpectedBody['now']): string => texts.bodySpan(body)
