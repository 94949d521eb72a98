import type { DerivedSource } from './sources.ts'
import type { Material, MaterialKind } from '../shapes/material.ts'
import { properInci, slug } from '../text/names.ts'

interface Guess {
  kind: MaterialKind
  functions: string[]
  phase: Material['phase']
  solubility: Material['solubility']
  form?: 'powder' | 'liquid'
  charge?: Material['charge']
  traits?: Material['traits']
}

const watery = (kind: MaterialKind, ...functions: string[]): Guess => ({
  kind,
  functions,
  phase: 'water',
  solubility: ['water'],
})
const oily = (kind: MaterialKind, ...functions: string[]): Guess => ({
  kind,
  functions,
  phase: 'oil',
  solubility: ['oil'],
})

/**
 * What the words of a name tell of its kind, the first that fits: how INCI builds its names, and how makers speak
 * (common practice).
 */
const WORDS: readonly (readonly [RegExp, Guess])[] = [
  [/\bpreservatives?\b|\bparabens?\b/, watery('preservative', 'preservative')],
  [/\bemulsifiers?\b|\bemulsifying\b/, { ...oily('emulsifier', 'emulsifying'), solubility: ['dispersible'] }],
  [/\bsolubili[sz]ers?\b/, watery('solubiliser', 'solubilising')],
  [
    /\b(fragrance|parfum|perfume|aroma|scent|flavou?r|flavou?ring)\b(?![ -]free\b)/,
    { ...oily('fragrance', 'perfuming'), phase: 'cool-down', traits: ['fragrance'] },
  ],
  [
    /\bessential oil\b|\b(peel|leaf|flower|bark|wood|needle|root) oil\b/,
    { ...oily('essential-oil', 'perfuming'), phase: 'cool-down', traits: ['fragrance'] },
  ],
  [
    /\b(hydrosol|distillate)\b|\b(flower|floral|leaf|blossom|fruit|needle) water\b/,
    watery('hydrosol', 'solvent'),
  ],
  [
    /\b(hydroly[sz]ed|hydrolysate)\b|\bproteins?\b|\bpeptides?\b|\bcollagen\b|\bkeratin\b/,
    { ...watery('protein', 'skin conditioning'), phase: 'cool-down' },
  ],
  [/\bbutter\b/, oily('butter', 'emollient')],
  [/\b(seed|kernel|nut|fruit|germ|bran|bean)? ?oil\b/, oily('oil', 'emollient')],
  [/\bwax\b|\bcera\b/, oily('wax', 'viscosity controlling')],
  [
    /\b(leaf|leaves|flower|petals?|root|rhizome|fruit|berry|seed|bark|peel|herb|wood|husk|plant)\b.*\b(powder|flour|meal)\b/,
    {
      kind: 'powder',
      functions: ['absorbent'],
      phase: 'cool-down',
      solubility: ['dispersible'],
      form: 'powder',
      traits: ['raw-plant'],
    },
  ],
  [
    /\b(powder|flour|meal)\b/,
    {
      kind: 'powder',
      functions: ['absorbent'],
      phase: 'cool-down',
      solubility: ['dispersible'],
      form: 'powder',
    },
  ],
  [
    /\bclay\b|\bmud\b/,
    { kind: 'clay', functions: ['absorbent'], phase: 'water', solubility: ['dispersible'], form: 'powder' },
  ],
  [
    /^ci ?\d{5}\b|\b(dye|pigment)\b/,
    {
      kind: 'colourant',
      functions: ['colourant'],
      phase: 'any',
      solubility: ['dispersible'],
      form: 'powder',
    },
  ],
  [
    /\b(extract|infusion|tincture|ferment|filtrate|juice|glycerite|macerate)\b/,
    { ...watery('extract', 'skin conditioning'), phase: 'cool-down' },
  ],
  [
    /\bgum\b|cellulose\b|\bcarrageenan\b|\bagar\b/,
    { ...watery('gum', 'viscosity controlling'), form: 'powder' },
  ],
  [
    /\b(poly)?quaternium\b|monium (chloride|methosulfate)\b/,
    { ...watery('cationic', 'conditioning'), charge: 'cationic' },
  ],
  [/methicone\b|siloxane\b/, oily('silicone', 'emollient')],
  [
    /^peg-\d+ |\b\w+eth-\d+\b|^polyglyceryl-\d+ |^sorbitan |^sucrose \w+ate$|\bglucoside\b/,
    { ...oily('emulsifier', 'emulsifying'), solubility: ['dispersible'] },
  ],
  [
    /\b(sulfate|sulfonate|taurate|isethionate|sarcosinate|betaine|glutamate)$/,
    watery('surfactant', 'surfactant'),
  ],
  [
    /\b\w+yl (palmitate|stearate|myristate|oleate|laurate|caprylate|cocoate|isononanoate|benzoate)\b/,
    oily('ester', 'emollient'),
  ],
  [/\bglycol\b/, watery('solvent', 'humectant')],
]

const guesses = new Map<string, Material | null>()
/** The longest a name may be that is looked at word by word. */
const LONGEST = 300

/**
 * A material of which only its kind is inferred from its name: enough for phase, load and procedure to go on, and never
 * for a limit or a dose. Null where no word tells.
 */
export function guessOf(name: string): Material | null {
  const text = name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .replace(/\b(peg|ci|eth) (\d)/g, '$1-$2')
    .slice(0, LONGEST)
    .trim()
  const known = guesses.get(text)
  if (known !== undefined) return known
  const found = WORDS.find(([words]) => words.test(text) || words.test(name.toLowerCase().trim()))
  const guess: Material | null = found
    ? {
        charge: 'none',
        origin: 'unknown',
        ...found[1],
        id: slug(name) || 'unnamed',
        name,
        inci: [properInci(name)],
        source: 'by-name' satisfies DerivedSource,
        confidence: 'low',
      }
    : null
  if (guesses.size > 2000) guesses.clear()
  guesses.set(text, guess)
  return guess
}
