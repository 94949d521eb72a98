import { common } from '#words/common'
import { words as texts } from '#words/components'
import type { Kind, MadeFor, Product, Region, Rinse, Site } from '@omblet/core'
import { KINDS, MADE_FOR, REGIONS, RINSES, SITES } from '@omblet/core'

const KIND_WORDS: Record<Kind, string> = {
  toner: texts.toner,
  serum: texts.serum,
  gel: texts.gel,
  lotion: common.lotion,
  cream: common.cream,
  butter: texts.emulsifiedButter,
  'leave-in': texts.leaveInHairCream,
  mask: texts.mask,
  cleanser: texts.cleanser,
  other: common.other,
}
const SITE_WORDS: Record<Site, string> = {
  face: texts.face,
  eye: texts.eyeArea,
  lips: texts.lips,
  body: texts.body,
  hands: texts.hands,
  feet: texts.feet,
  scalp: texts.scalp,
  hair: texts.hair,
}
const RINSE_WORDS: Record<Rinse, string> = { 'leave-on': texts.leaveOn, 'rinse-off': texts.rinseOff }
const REGION_WORDS: Record<Region, string> = {
  EU: texts.europeanUnion,
  US: texts.unitedStates,
  other: common.other,
}

const FOR_WORDS: Record<MadeFor, string> = {
  self: texts.myself,
  family: texts.myFamily,
  gift: texts.aGift,
  sale: texts.sale,
}

const options = <T extends string>(values: readonly T[], words: Record<T, string>) =>
  values.map((value) => ({ value, label: words[value] }))

export const kindOptions = options(KINDS, KIND_WORDS)
export const siteOptions = options(SITES, SITE_WORDS)
export const rinseOptions = options(RINSES, RINSE_WORDS)
export const regionOptions = options(REGIONS, REGION_WORDS)

export const madeForOptions = options(MADE_FOR, FOR_WORDS)

export const kindWord = (kind: Kind) => KIND_WORDS[kind]
export const siteWord = (site: Site) => SITE_WORDS[site]

/** `Cream · face · leave-on · EU`. */
export const productLine = (product: Product) =>
  [
    KIND_WORDS[product.kind],
    SITE_WORDS[product.site].toLowerCase(),
    RINSE_WORDS[product.rinse].toLowerCase(),
    product.region === 'other' ? texts.otherRegion : product.region,
  ].join(' · ')
