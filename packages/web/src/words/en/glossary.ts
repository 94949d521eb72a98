/** A term of the trade: what it is called, what it means, and an example. */
export interface Entry {
  term: string
  /** Two sentences at most. */
  says: string
  example?: string
  /** Other spellings by which a text may name it. */
  also?: readonly string[]
}

/** The terms of the trade that Omblet uses, explained where they stand and on the glossary page. */
export const glossary = {
  acid: {
    term: 'Acid',
    says: 'A substance that gives off hydrogen ions and lowers the pH. Acids are used as actives (exfoliants), preservatives and pH adjusters.',
    example: 'Lactic acid, citric acid, benzoic acid.',
  },
  acidity: {
    term: 'Acidity',
    says: 'How acidic or alkaline a product is, measured as pH. Below 7 is acidic, above 7 alkaline.',
  },
  active: {
    term: 'Active',
    says: 'An ingredient with a specific effect on skin or hair, effective within a usage rate. Too little does nothing, too much can irritate.',
    example: 'Niacinamide at 4 %.',
  },
  'active-content': {
    term: 'Active content',
    says: 'The share of the substance itself in a raw material, in percent. The rest is usually water or another carrier.',
    example: 'Lactic acid supplied at 80 % has an active content of 80 %.',
  },
  anhydrous: {
    term: 'Anhydrous',
    says: 'Without water. Microbes do not grow in it, but it still oxidises, and water can get in during use.',
    example: 'A body butter or an oil serum.',
  },
  antioxidant: {
    term: 'Antioxidant',
    says: 'Slows the oxidation of oils and actives. It does not preserve against microbes.',
    example: 'Tocopherol (vitamin E) at 0.2 %.',
  },
  batch: {
    term: 'Batch',
    says: 'The amount of product made in one go under one batch code.',
  },
  'batch-code': {
    term: 'Batch code',
    says: 'Identifies a batch, so that every container can be traced to its record, formula and lots.',
    example: 'QT-1126: made on 26 November.',
  },
  'broad-spectrum': {
    term: 'Broad-spectrum',
    says: 'Effective against bacteria, yeast and mould. Many preservatives cover only part of that and need a partner.',
  },
  buffer: {
    term: 'Buffer',
    says: 'A weak acid together with its salt, which resists changes of pH. A buffered product needs more pH adjuster for the same change.',
    example: 'Lactic acid with sodium lactate.',
  },
  carbomer: {
    term: 'Carbomer',
    says: 'A synthetic acid polymer that thickens when neutralised, usually above pH 5. Salts make it thin.',
  },
  cationic: {
    term: 'Cationic',
    says: 'Positively charged. Cationic conditioners cling to hair, and clash with anionic ingredients.',
    example: 'Behentrimonium methosulfate.',
    also: ['cationics'],
  },
  chelator: {
    term: 'Chelator',
    says: 'Binds metal ions, which would otherwise speed up oxidation and weaken preservation.',
    example: 'Sodium phytate at 0.1 %.',
  },
  'cold-process': {
    term: 'Cold process',
    says: 'Made without heating. All ingredients must be liquid or soluble at room temperature.',
  },
  coa: {
    term: 'CoA',
    says: 'Certificate of analysis: the supplier’s measurements of one lot, such as strength, pH and microbiology.',
    also: ['certificate of analysis'],
  },
  'cool-down': {
    term: 'Cool-down phase',
    says: 'Ingredients added after the batch has cooled, usually below 40 °C, because heat would damage them.',
    example: 'Preservative, fragrance, panthenol.',
    also: ['cool-down'],
  },
  density: {
    term: 'Density',
    says: 'Weight per volume, in g/mL. It converts between grams weighed and millilitres filled.',
    example: 'A whipped cream at 0.9 g/mL fills 100 mL with 90 g.',
  },
  emollient: {
    term: 'Emollient',
    says: 'An oil, ester or silicone that smooths the skin and sets the skin feel: fast or slow, dry or rich.',
  },
  emulsifier: {
    term: 'Emulsifier',
    says: 'Keeps oil and water mixed. One end of the molecule prefers oil, the other water.',
    also: ['emulsifiers'],
  },
  emulsion: {
    term: 'Emulsion (O/W, W/O)',
    says: 'Droplets of one liquid in another. O/W is oil in water (most lotions and creams), W/O is water in oil (richer, water-resistant).',
    also: ['O/W', 'W/O'],
  },
  'fatty-alcohol': {
    term: 'Fatty alcohol',
    says: 'A waxy co-emulsifier that thickens an emulsion as it cools. Not a drying alcohol.',
    example: 'Cetyl alcohol, cetearyl alcohol.',
    also: ['fatty alcohols'],
  },
  'fragrance-allergens': {
    term: 'Fragrance allergens',
    says: 'Substances in fragrances and essential oils that must be named on the label above a threshold: 0.001 % in leave-on and 0.01 % in rinse-off products (EU).',
    example: 'Linalool, limonene, citral.',
  },
  'freeze-thaw': {
    term: 'Freeze–thaw',
    says: 'A stability test: a sample is frozen and thawed several times. It shows whether an emulsion survives transport and winter.',
  },
  gum: {
    term: 'Gum',
    says: 'A natural polymer that thickens water and stabilises emulsions. Wet it in glycerin or glycol first, so that it does not lump.',
    example: 'Xanthan gum at 0.3 %.',
    also: ['gums'],
  },
  hlb: {
    term: 'HLB',
    says: 'Hydrophile–lipophile balance: a number from 0 to 20 that says how water-loving a nonionic emulsifier is. Low values favour W/O, values of about 8–16 O/W emulsions.',
  },
  humectant: {
    term: 'Humectant',
    says: 'Attracts and holds water in the skin.',
    example: 'Glycerin, propanediol, sodium PCA.',
    also: ['humectants'],
  },
  hydrosol: {
    term: 'Hydrosol',
    says: 'The water from steam distillation of a plant. Spoils easily, so it needs the same preservation as water.',
  },
  inci: {
    term: 'INCI',
    says: 'International Nomenclature of Cosmetic Ingredients: the name that stands on labels worldwide.',
    example: 'Aqua is the INCI name of water.',
  },
  ifra: {
    term: 'IFRA',
    says: 'International Fragrance Association. Its standards limit fragrance materials by product category.',
  },
  'leave-on': {
    term: 'Leave-on and rinse-off',
    says: 'Leave-on products stay on skin or hair; rinse-off products are washed away. Limits for leave-on products are stricter.',
    also: ['leave-on', 'rinse-off'],
  },
  lot: {
    term: 'Lot',
    says: 'One delivery of a raw material with its own lot number, price and expiry date. A lot trace finds every batch that contains it.',
    also: ['lots'],
  },
  lye: {
    term: 'Lye',
    says: 'Sodium hydroxide solution, a strong base that raises the pH. It burns skin and eyes: wear goggles and gloves, and add lye to cold water, never water to lye.',
  },
  neutralise: {
    term: 'Neutralise',
    says: 'To bring an acid and a base together until neither is left over. An acid polymer thickens when it is neutralised.',
    also: ['neutralised', 'neutralises'],
  },
  overage: {
    term: 'Overage',
    says: 'Extra amount made to cover transfer loss, in percent.',
    example: '5 % overage on 100 g: make 105 g.',
  },
  pao: {
    term: 'PAO',
    says: 'Period after opening: how many months a product may be used once opened. The open-jar symbol shows it on labels.',
    example: '6M',
  },
  'percent-w-w': {
    term: 'Percent w/w',
    says: 'Weight of an ingredient per weight of product. All percentages of a formula are w/w and add up to 100 %.',
    example: '2 % in a 200 g batch is 4 g.',
    also: ['w/w'],
  },
  ph: {
    term: 'pH',
    says: 'Measure of acidity on a logarithmic scale from 0 to 14; one unit is a factor of ten. Skin is at about 4.5–5.5.',
  },
  'meter-calibration': {
    term: 'pH meter calibration',
    says: 'Setting the meter with buffer solutions of known pH, on either side of the expected value. Without it, a reading can be off by half a unit.',
    example: 'Buffers 4.01 and 7.00.',
  },
  'ph-strip': {
    term: 'pH strip',
    says: 'Paper that changes colour with the pH. Accurate to about half a unit.',
  },
  phase: {
    term: 'Phase',
    says: 'Ingredients that are weighed and prepared together, such as the water phase or the oil phase. Each has a letter.',
    example: 'Phase A: water and glycerin. Phase B: oils and emulsifier.',
  },
  'phase-inversion': {
    term: 'Phase inversion',
    says: 'An emulsion changes from W/O to O/W while water is added to oil. It briefly thickens and ends with finer droplets.',
  },
  pka: {
    term: 'pKa and free acid',
    says: 'At a pH equal to its pKa, half of an acid is in its free form. Lower pH means more free acid, the form that exfoliates or preserves.',
    example: 'Benzoic acid, pKa 4.2: 50 % free at pH 4.2, about 14 % at pH 5.',
    also: ['pKa', 'free acid'],
  },
  polymer: {
    term: 'Polymer',
    says: 'A very long molecule. Polymers thicken, suspend, form films or hold emulsions.',
    example: 'Carbomer, xanthan gum, sodium hyaluronate.',
    also: ['polymers'],
  },
  preservative: {
    term: 'Preservative',
    says: 'Stops bacteria, yeast and mould from growing. Every product that contains water needs one, at its usage rate and within its pH range.',
    also: ['preservatives'],
  },
  'preservative-efficacy': {
    term: 'Preservative efficacy',
    says: 'How well a product resists microbes. Only a challenge test in a laboratory (such as ISO 11930) shows it; appearance does not.',
    also: ['challenge test'],
  },
  qs: {
    term: 'q.s.',
    says: 'Quantum satis, “as much as needed”: the ingredient that fills the formula up to 100 %, usually water.',
  },
  'required-hlb': {
    term: 'Required HLB',
    says: 'The HLB that an oil phase needs for a stable O/W emulsion: the average of its oils, weighted by amount. Accurate to about ± 1.',
  },
  rheology: {
    term: 'Rheology',
    says: 'How a product flows: thin or thick, stringy or short, and whether it thins when rubbed.',
  },
  stability: {
    term: 'Stability',
    says: 'Whether a product stays as it was made: appearance, odour, pH, viscosity, packaging. Tested over weeks at several temperatures.',
  },
  'stock-solution': {
    term: 'Stock solution',
    says: 'A solution of known strength, made in advance. It makes small amounts weighable.',
    example: '1 g dye in 99 g water is a 1 % stock solution; 0.5 g of it contains 0.005 g dye.',
    also: ['stock solutions'],
  },
  surfactant: {
    term: 'Surfactant',
    says: 'A molecule with a water-loving and an oil-loving end. Surfactants clean, foam, wet, emulsify or solubilise.',
    also: ['surfactants'],
  },
  tare: {
    term: 'Tare',
    says: 'To set the scale to zero with the empty vessel on it. The tare weight is the weight of the empty vessel.',
    also: ['tare weight'],
  },
  titration: {
    term: 'Titration',
    says: 'Adding acid or base in small, measured steps and measuring the pH after each. The curve shows how much a product needs.',
  },
  'usage-rate': {
    term: 'Usage rate',
    says: 'The range in which an ingredient is effective and safe, in percent of the product. Suppliers recommend it; law may limit it.',
    also: ['usage rates', 'usual range'],
  },
  viscosity: {
    term: 'Viscosity',
    says: 'Resistance to flow, in mPa·s. Water has 1, a lotion a few thousand, a firm cream more than 50,000.',
  },
  'water-activity': {
    term: 'Water activity',
    says: 'The share of water that microbes can use, from 0 to 1. Below about 0.6 nothing grows; glycols, sugars and salts lower it.',
  },
} as const satisfies Record<string, Entry>

export type TermId = keyof typeof glossary
