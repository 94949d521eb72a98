import { hasTrait } from '../materials/schema.ts'
import { listWords, shorten } from '../text/format.ts'
import { finding, type Finding, type Rule } from './types.ts'

/** Words that make a cosmetic claim a medical one almost everywhere (Regulation (EU) 655/2013; US FD&C Act 201(g)). */
const MEDICAL =
  /\b(cur(?:e|es|ing)|heal(?:s|ing)?|treat(?:s|ing|ment)?|remed(?:y|ies)|therap(?:y|eutic)|medicin(?:e|al)|acne|eczema|psoriasis|rosacea|dermatitis|melasma|anti[- ]?inflammatory|anti[- ]?bacterial|anti[- ]?microbial|anti[- ]?fungal|anti[- ]?viral|antiseptic|disinfect\w*|pain(?:[- ]?relief)?|wounds?|scars?|burns?|hair (?:re)?growth|regrow\w*|hair loss|alopecia|dandruff|infection|disease|allergy relief|regenerates? (?:cells|tissue)|sunburn)\b/i
const SPF =
  /\b(spf\s*\d*|water[- ]resistant|sun ?screen|sun ?block|sun protection|uv protection|broad[- ]spectrum)\b/i
const LAW =
  'Regulation (EC) 1223/2009 Art. 2 and 20 with Regulation (EU) 655/2013; US FD&C Act 201(g); from memory'

const claimsOf = (a: Parameters<Rule>[0]) =>
  (a.formula.product.claims ?? []).map((c) => c.trim()).filter(Boolean)
const says = (claims: readonly string[], word: string) =>
  claims.some((claim) => claim.toLowerCase().replace(/[\s_]+/g, '-') === word)

/** claim.spf: a UV filter is present, or sun protection is claimed. */
export const spf: Rule = (a) => {
  const filters = a.lines.flatMap((line, i) =>
    line.material && hasTrait(line.material, 'uv-filter') && line.percent > 0 ? [i] : [],
  )
  const claim = [...claimsOf(a), a.formula.name].find((c) => SPF.test(c))
  if (filters.length === 0 && !claim) return []
  return [
    finding(a, {
      code: 'claim.spf',
      severity: claim ? 'stop' : 'check',
      indexes: filters,
      message: claim
        ? `“${shorten(claim)}” promises sun protection. Only a laboratory test can support that.`
        : 'Contains a UV filter. Do not state or suggest sun protection.',
      why: 'Protection depends on film, grade and dispersion and cannot be worked out. In many places a sunscreen is a drug or a class of its own.',
      source: 'ISO 24444 and ISO 24443 (test methods); local law decides; from memory',
    }),
  ]
}

/** claim.natural: “natural” with materials that are not. */
export const natural: Rule = (a) => {
  if (!claimsOf(a).some((claim) => /\b(all[- ])?natural\b|\b100 ?% natural\b/i.test(claim))) return []
  const not = a.lines.flatMap((line, i) =>
    line.percent > 0 && line.material?.origin === 'synthetic' ? [i] : [],
  )
  if (not.length === 0) return []
  return [
    finding(a, {
      code: 'claim.natural',
      severity: 'check',
      indexes: not,
      message: `Called natural, with ${listWords(not.map((i) => a.lines[i]!.label))}.`,
      why: 'They are made by synthesis. Every scheme has its own list, so say which one you follow.',
      source: 'ISO 16128-1 definitions; from memory',
    }),
  ]
}

/** claim.unsupported: medical or drug words, or a claim that a material contradicts. */
export const unsupported: Rule = (a) => {
  const claims = claimsOf(a)
  const found: Finding[] = []
  const medical = [...claims, a.formula.name].filter((text) => MEDICAL.test(text))
  if (medical.length > 0) {
    found.push(
      finding(a, {
        code: 'claim.unsupported',
        severity: 'stop',
        message: `${listWords(medical.map((text) => `“${shorten(text, 40)}”`))} ${medical.length === 1 ? 'is' : 'are'} medical words.`,
        why: 'A product that treats, heals or prevents is a medicine by law. Say what it feels and looks like.',
        source: LAW,
        remedies: claims.some((c) => MEDICAL.test(c))
          ? [
              {
                label: 'Take the claim out',
                edit: {
                  type: 'patch-product',
                  patch: { claims: (a.formula.product.claims ?? []).filter((c) => !MEDICAL.test(c)) },
                },
              },
            ]
          : [],
      }),
    )
  }
  const contradicted = (word: string, test: (i: number) => boolean, why: string) => {
    if (!says(claims, word)) return
    const indexes = a.lines.flatMap((line, i) => (line.percent > 0 && line.material && test(i) ? [i] : []))
    if (indexes.length === 0) return
    found.push(
      finding(a, {
        code: 'claim.unsupported',
        severity: 'check',
        indexes,
        message: `Claimed ${word}, with ${listWords(indexes.map((i) => a.lines[i]!.label))}.`,
        why,
        source: 'Regulation (EU) 655/2013, truthfulness; from memory',
      }),
    )
  }
  contradicted('vegan', (i) => a.lines[i]!.material!.origin === 'animal', 'It comes from animals.')
  contradicted(
    'fragrance-free',
    (i) => hasTrait(a.lines[i]!.material!, 'fragrance'),
    'It scents the product.',
  )
  return found
}
