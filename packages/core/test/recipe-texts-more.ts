export interface RecipeText {
  style: string
  text: string
  reads: string
  batch?: number
  ph?: [number, number]
  /** Lines that nobody could read. */
  unread?: string[]
  phases?: string[]
}

/** More ways to write a recipe down. */
export const MORE_TEXTS: RecipeText[] = [
  {
    style: 'parts',
    text: '8 parts water\n1 part glycerin\n1 part propanediol',
    reads: 'aqua 80, glycerin 10, propanediol 10',
  },
  {
    style: 'strength in brackets',
    text: 'Lactic acid (80%) 2.5%\nSodium lactate (60 %) 3 %\nWater to 100',
    reads: 'lactic-acid 2.5 @80, sodium-lactate 3 @60, aqua fill',
  },
  {
    style: 'strength, two percents',
    text: 'Lactic acid 88% 4%\nWater q.s. 100',
    reads: 'lactic-acid 4 @88, aqua fill',
  },
  {
    style: 'a solution of a strength',
    text: '1% sodium hyaluronate solution - 25%\nWater 75%',
    reads: 'sodium-hyaluronate 25 @1, aqua 75',
  },
  {
    style: 'strength beside grams',
    text: 'Batch: 100 g\nLactic acid 80% 2.5 g\nWater 97.5 g',
    reads: 'lactic-acid 2.5 @80, aqua 97.5',
    batch: 100,
  },
  {
    style: 'numbers in names',
    text: 'Polysorbate 80 2%\nPEG-40 hydrogenated castor oil 3\n1,2-hexanediol 1.5\nWater 93.5',
    reads: 'polysorbate-80 2, peg-40-hydrogenated-castor-oil 3, 1-2-hexanediol 1.5, aqua 93.5',
  },
  {
    style: 'a number in a name and no amount',
    text: 'Polysorbate 80\nGlycerin 5%\nWater to 100',
    reads: 'polysorbate-80 ?, glycerin 5, aqua fill',
  },
  {
    style: 'INCI blends',
    text: 'Glyceryl Stearate (and) PEG-100 Stearate 5%\nSodium Benzoate, Potassium Sorbate 1 %\nAqua to 100 %',
    reads: 'glyceryl-stearate-peg-100-stearate 5, sodium-benzoate-potassium-sorbate 1, aqua fill',
  },
  {
    style: 'capitals',
    text: 'AQUA 94.00\nGLYCERIN 5.00\nSODIUM HYALURONATE 1.00',
    reads: 'aqua 94, glycerin 5, sodium-hyaluronate 1',
  },
  {
    style: 'notes after names',
    text: 'Glycerin, vegetable, 5%\nShea butter (unrefined) 10% - melted gently\nWater, distilled 85%',
    reads: 'glycerin 5, butyrospermum-parkii-butter 10, aqua 85',
  },
  {
    style: 'adjectives',
    text: 'Organic cold-pressed jojoba oil 20 g\nRefined shea butter 30 g\nPure beeswax 10 g',
    reads: 'simmondsia-chinensis-seed-oil 33.3, butyrospermum-parkii-butter 50, cera-alba 16.7',
    batch: 60,
  },
  {
    style: 'as needed for the pH',
    text: 'Target pH 5.0-5.5\nNiacinamide 4%\nCitric acid q.s. to pH\nWater to 100',
    reads: 'niacinamide 4, citric-acid ?, aqua fill',
    ph: [5, 5.5],
  },
  {
    style: 'final pH in one figure',
    text: 'Glycolic acid 5%\nWater 95%\nFinal pH: 3.8',
    reads: 'glycolic-acid 5, aqua 95',
    ph: [3.6, 4],
  },
  {
    style: 'method after the list',
    text: 'Ingredients\nWater 90%\nGlycerin 10%\n\nMethod\n1. Heat 90 g water to 70 °C.\n2. Add 10% glycerin and stir for 2 minutes.',
    reads: 'aqua 90, glycerin 10',
  },
  {
    style: 'instructions without a heading',
    text: 'Water 90%\nGlycerin 10%\nMix everything at 40 °C and fill a 100 ml bottle.',
    reads: 'aqua 90, glycerin 10',
  },
  {
    style: 'a title and a total',
    text: 'Fog Horn toner\n\nWater 96%\nPropanediol 4%\nTotal 100%',
    reads: 'aqua 96, propanediol 4',
  },
  {
    style: 'an unknown thing with an amount',
    text: 'Water 95%\nMoonwort pulp 5%',
    reads: 'aqua 95, Moonwort pulp 5',
  },
  {
    style: 'an unknown thing without an amount',
    text: 'Water 95%\nGlycerin 5%\nMoonwort pulp',
    reads: 'aqua 95, glycerin 5',
    unread: ['Moonwort pulp'],
  },
  {
    style: 'missing amounts',
    text: 'Water\nGlycerin 5%\nPhenoxyethanol\nVitamin E',
    reads: 'aqua fill, glycerin 5, phenoxyethanol ?, tocopherol ?',
  },
  {
    style: 'percent mixed with drops',
    text: 'Batch size 100 g\nWater to 100%\nGlycerin 5%\nTea tree oil 4 drops',
    reads: 'aqua fill, glycerin 5, melaleuca-alternifolia-leaf-oil 0.18',
    batch: 100,
  },
  {
    style: 'grams beside percents',
    text: 'Glycerin 5%\nUrea 5%\nWater 180 g',
    reads: 'glycerin 5, urea 5, aqua 90',
    batch: 200,
  },
  { style: 'check boxes', text: '[ ] Water 92%\n[x] Glycerin 8%', reads: 'aqua 92, glycerin 8' },
  {
    style: 'bold markdown and headings',
    text: '# Slack Water lotion\n## Oil phase\n- **Squalane** 10%\n## Water phase\n- **Water** 90%',
    reads: 'squalane 10, aqua 90',
    phases: ['Oil phase', 'Water phase'],
  },
  {
    style: 'Windows line ends and narrow spaces',
    text: 'Water 95 %\r\nGlycerin 5 %\r\n',
    reads: 'aqua 95, glycerin 5',
  },
  {
    style: 'spelling',
    text: 'Glycerine 5%\nHydrolysed silk 1%\nLiquorice extract 1%\nDemineralised water 93%',
    reads: 'glycerin 5, hydrolyzed-silk 1, glycyrrhiza-glabra-root-extract 1, aqua 93',
  },
  {
    style: 'two columns of numbers',
    text: 'Water  80  40\nGlycerin  20  10',
    reads: 'aqua 80, glycerin 20',
    batch: 50,
  },
  {
    style: 'a heading that tells the unit',
    text: 'Ingredients (grams):\nWater 45\nGlycerin 5',
    reads: 'aqua 90, glycerin 10',
    batch: 50,
  },
  {
    style: 'numbers without units over 100',
    text: 'Water 180\nGlycerin 20',
    reads: 'aqua 90, glycerin 10',
    batch: 200,
  },
  {
    style: 'a number and then a note',
    text: 'Water 90\nNiacinamide 5 - dissolve first\nGlycerin 5 (last)',
    reads: 'aqua 90, niacinamide 5, glycerin 5',
  },
  {
    style: 'a size in the title',
    text: 'Serum recipe for 30 ml:\nWater 95%\nVitamin E oil 5%',
    reads: 'aqua 95, tocopherol 5',
    batch: 30,
  },
  {
    style: 'a strength and a column',
    text: 'Water ad 100\nGlycerine 86 % 5,0\nSodium Lactate (60%) – 2.0',
    reads: 'aqua fill, glycerin 5 @86, sodium-lactate 2 @60',
  },
  {
    style: 'size before the product',
    text: '100 ml lotion:\n90 g water, 10 g sweet almond oil',
    reads: 'aqua 90, prunus-amygdalus-dulcis-oil 10',
    batch: 100,
  },
  {
    style: 'a batch in the title',
    text: 'Hydrogel 50g batch\nWater 47g (94%)\nGlycerin 3g (6%)',
    reads: 'aqua 94, glycerin 6',
    batch: 50,
  },
  {
    style: 'a solvent in brackets',
    text: 'Salicylic acid 2% (dissolved in propanediol 10%)\nWater to 100',
    reads: 'salicylic-acid 2, propanediol 10, aqua fill',
  },
  {
    style: 'a title with something in brackets',
    text: 'Vitamin C serum (15% L-ascorbic acid)\nL-ascorbic acid 15%\nWater 85%',
    reads: 'ascorbic-acid 15, aqua 85',
  },
  {
    style: 'a name turned about',
    text: 'water 180 grams\noil (sunflower) 20 grams',
    reads: 'aqua 90, helianthus-annuus-seed-oil 10',
    batch: 200,
  },
  {
    style: 'a few drops',
    text: 'Rosewater 95%\nGlycerine 5%\nfew drops of lavender oil',
    reads: 'rosa-damascena-flower-water 95, glycerin 5, lavandula-angustifolia-oil ?',
  },
  { style: 'arrows and equals', text: 'Water -> 95 %\nGlycerin = 5 %', reads: 'aqua 95, glycerin 5' },
  {
    style: 'grams and percent, in that order',
    text: 'Water - 90.00 g - 90%\nGlycerin - 10.00 g - 10%',
    reads: 'aqua 90, glycerin 10',
    batch: 100,
  },
  {
    style: 'columns parted by spaces, with headings',
    text: 'Ingredient            %      Grams\nRose hydrosol         95     47.5\nGlycerin              5      2.5',
    reads: 'rosa-damascena-flower-water 95, glycerin 5',
    batch: 50,
  },
  {
    style: 'letters with points',
    text: 'A. Water 85\nA. Glycerin 5\nB. Squalane 10',
    reads: 'aqua 85, glycerin 5, squalane 10',
    phases: ['Phase A', 'Phase B'],
  },
  {
    style: 'names that begin like instructions',
    text: 'Water 98.5%\nMixed tocopherols in oil 0.5%\nCooling agent 1%',
    reads: 'aqua 98.5, Mixed tocopherols in oil 0.5, Cooling agent 1',
  },
]
