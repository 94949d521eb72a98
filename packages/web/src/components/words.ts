import type { Kind, MadeFor, Product, Region, Rinse, Site } from '@omblet/core'
import { KINDS, MADE_FOR, REGIONS, RINSES, SITES } from '@omblet/core'

const KIND_WORDS: Record<Kind, string> = {
  toner: 'Toner',
  serum: 'Serum',
  gel: 'Gel',
  lotion: 'Lotion',
  cream: 'Cream',
  butter: 'Emulsified butter',
  'leave-in': 'Leave-in hair cream',
  mask: 'Mask',
  cleanser: 'Cleanser',
  other: 'Other',
}
const SITE_WORDS: Record<Site, string> = {
  face: 'Face',
  eye: 'Eye area',
  lips: 'Lips',
  body: 'Body',
  hands: 'Hands',
  feet: 'Feet',
  scalp: 'Scalp',
  hair: 'Hair',
}
const RINSE_WORDS: Record<Rinse, string> = { 'leave-on': 'Leave-on', 'rinse-off': 'Rinse-off' }
const REGION_WORDS: Record<Region, string> = { EU: 'European Union', US: 'United States', other: 'Other' }

const FOR_WORDS: Record<MadeFor, string> = {
  self: 'Myself',
  family: 'My family',
  gift: 'A gift',
  sale: 'Sale',
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
    product.rinse,
    product.region === 'other' ? 'other region' : product.region,
  ].join(' · ')
