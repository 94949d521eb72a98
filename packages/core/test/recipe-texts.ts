/**
 * Recipe texts in many styles, written for these tests, with what a careful reader would take from each: the id of a
 * material (or its words where none is known), then its percent, `fill`, or `?` where no amount is given.
 */
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

export const RECIPE_TEXTS: RecipeText[] = [
  {
    style: 'name and percent',
    text: 'Glycerin 5%\nNiacinamide 4%\nWater to 100%',
    reads: 'glycerin 5, niacinamide 4, aqua fill',
  },
  {
    style: 'percent first',
    text: '5% glycerin\n4% niacinamide\n91% distilled water',
    reads: 'glycerin 5, niacinamide 4, aqua 91',
  },
  {
    style: 'decimal commas',
    text: 'Aqua ad 100,0 %\nGlycerin 3,5 %\nXanthan Gum 0,25 %',
    reads: 'aqua fill, glycerin 3.5, xanthan-gum 0.25',
  },
  {
    style: 'bullets and dashes',
    text: '- Glycerin - 5 %\n• Panthenol – 2 %\n* Allantoin — 0.3 %\n- Water - q.s. to 100',
    reads: 'glycerin 5, panthenol 2, allantoin 0.3, aqua fill',
  },
  {
    style: 'dot leaders',
    text: 'Water ........... 82.0\nGlycerin ........ 10.0\nPropanediol ..... 8.0',
    reads: 'aqua 82, glycerin 10, propanediol 8',
  },
  {
    style: 'numbered',
    text: '1. Water 80%\n2. Glycerin 15%\n3. Urea 5%',
    reads: 'aqua 80, glycerin 15, urea 5',
  },
  {
    style: 'numbered, amount first',
    text: '1) 80 g water\n2) 15 g glycerin\n3) 5 g urea',
    reads: 'aqua 80, glycerin 15, urea 5',
    batch: 100,
  },
  {
    style: 'grams alone',
    text: 'Water 150 g\nGlycerin 10 g\nSqualane 30 g\nOlivate emulsifier 10 g',
    reads: 'aqua 75, glycerin 5, squalane 15, cetearyl-olivate-sorbitan-olivate 5',
    batch: 200,
  },
  {
    style: 'grams in a batch with q.s.',
    text: 'Harbour gel, 200 g\nMakes 200 g\nGlycerin 10 g\nXanthan gum 1 g\nWater q.s. to 200 g',
    reads: 'glycerin 5, xanthan-gum 0.5, aqua fill',
    batch: 200,
  },
  {
    style: 'brackets',
    text: 'Glycerin (5%)\nBetaine (3%)\nWater (92%)',
    reads: 'glycerin 5, betaine 3, aqua 92',
  },
  {
    style: 'colons',
    text: 'Water: 93%\nSodium PCA: 2 %\nPropanediol: 5 %',
    reads: 'aqua 93, sodium-pca 2, propanediol 5',
  },
  {
    style: 'percent and grams',
    text: 'Batch size: 50 g\nGlycerin 5 % (2.5 g)\nNiacinamide 4 % (2 g)\nWater 91 % (45.5 g)',
    reads: 'glycerin 5, niacinamide 4, aqua 91',
    batch: 50,
  },
  {
    style: 'batch from percent beside grams',
    text: 'Glycerin 5% 12.5g\nUrea 3% 7.5g\nWater 92% 230g',
    reads: 'glycerin 5, urea 3, aqua 92',
    batch: 250,
  },
  {
    style: 'phases by letter',
    text: 'Phase A\nWater 70%\nGlycerin 4%\nPhase B\nSqualane 20%\nOlivate emulsifier 5%\nPhase C\nPhenoxyethanol 1%',
    reads: 'aqua 70, glycerin 4, squalane 20, cetearyl-olivate-sorbitan-olivate 5, phenoxyethanol 1',
    phases: ['Phase A', 'Phase B', 'Phase C'],
  },
  {
    style: 'phases by heading',
    text: 'Water phase:\nWater 75\nGlycerin 3\n\nOil phase (72 °C):\nShea butter 10\nJojoba oil 6\nOlivate emulsifier 5\n\nCool down (below 40 °C):\nPhenoxyethanol 1',
    reads:
      'aqua 75, glycerin 3, butyrospermum-parkii-butter 10, simmondsia-chinensis-seed-oil 6, cetearyl-olivate-sorbitan-olivate 5, phenoxyethanol 1',
    phases: ['Water phase', 'Oil phase', 'Cool down'],
  },
  {
    style: 'letters before rows',
    text: 'A  Water  70\nA  Glycerin  5\nB  Squalane  20\nB  Olivate emulsifier  5',
    reads: 'aqua 70, glycerin 5, squalane 20, cetearyl-olivate-sorbitan-olivate 5',
    phases: ['Phase A', 'Phase B'],
  },
  {
    style: 'letter headings with brackets',
    text: '[A]\nWater 88%\n[B]\nGlycerin 12%',
    reads: 'aqua 88, glycerin 12',
    phases: ['Phase A', 'Phase B'],
  },
  {
    style: 'headings with names',
    text: 'Phase A: Heated water phase\n  Water - to 100\n  Allantoin - 0.3%\nPhase B: Oils\n  Sunflower oil - 12%',
    reads: 'aqua fill, allantoin 0.3, helianthus-annuus-seed-oil 12',
    phases: ['Heated water phase', 'Oils'],
  },
  {
    style: 'tabs',
    text: 'Water\t70.0\nGlycerin\t10.0\nPropanediol\t20.0',
    reads: 'aqua 70, glycerin 10, propanediol 20',
  },
  {
    style: 'tabs with headings',
    text: 'Phase\tIngredient\t%\tFunction\nA\tWater\t85.0\tsolvent\nA\tGlycerin\t10.0\thumectant\nB\tPanthenol\t5.0\tcare',
    reads: 'aqua 85, glycerin 10, panthenol 5',
    phases: ['Phase A', 'Phase B'],
  },
  {
    style: 'markdown table',
    text: '| Ingredient | % | g |\n|---|---:|---:|\n| Water | 90 | 45 |\n| Glycerin | 10 | 5 |\n| **Total** | 100 | 50 |',
    reads: 'aqua 90, glycerin 10',
    batch: 50,
  },
  {
    style: 'CSV',
    text: 'phase,ingredient,percent\nA,"Water",to 100\nA,"1,2-Hexanediol",2\nB,Squalane,5.5',
    reads: 'aqua fill, 1-2-hexanediol 2, squalane 5.5',
    phases: ['Phase A', 'Phase B'],
  },
  {
    style: 'CSV with semicolons and commas',
    text: 'Material;Grams\nWater;45,5\nGlycerin;4,5',
    reads: 'aqua 91, glycerin 9',
    batch: 50,
  },
  {
    style: 'pipes without headings',
    text: 'Water | 80 | solvent\nGlycerin | 20 | humectant',
    reads: 'aqua 80, glycerin 20',
  },
  {
    style: 'one line with commas',
    text: 'Water 85%, glycerin 10%, panthenol 5%',
    reads: 'aqua 85, glycerin 10, panthenol 5',
  },
  {
    style: 'one line with semicolons',
    text: 'Water 88 %; propanediol 10 %; urea 2 %',
    reads: 'aqua 88, propanediol 10, urea 2',
  },
  {
    style: 'phase and its list on one line',
    text: 'Phase A: water 80%, glycerin 5%\nPhase B: squalane 10%, olivate emulsifier 5%',
    reads: 'aqua 80, glycerin 5, squalane 10, cetearyl-olivate-sorbitan-olivate 5',
    phases: ['Phase A', 'Phase B'],
  },
  {
    style: 'ranges',
    text: 'Xanthan gum 0.2-0.4%\nGlycerin 3–5 %\nNiacinamide 2 to 4%\nWater q.s.',
    reads: 'xanthan-gum 0.3, glycerin 4, niacinamide 3, aqua fill',
  },
  {
    style: 'ranges with the unit twice',
    text: 'Glycerin 3% - 5%\nWater to 100%',
    reads: 'glycerin 4, aqua fill',
  },
  { style: 'up to an amount', text: 'Panthenol up to 2%\nWater up to 100%', reads: 'panthenol 1, aqua fill' },
  {
    style: 'about an amount',
    text: 'Glycerin ~5%\nUrea approx. 3 %\nWater the rest',
    reads: 'glycerin 5, urea 3, aqua fill',
  },
  {
    style: 'balance',
    text: 'Glycerin 6\nAllantoin 0.5\nWater balance',
    reads: 'glycerin 6, allantoin 0.5, aqua fill',
  },
  { style: 'q.s. first', text: 'q.s. to 100% distilled water\n3% glycerin', reads: 'aqua fill, glycerin 3' },
  { style: 'add to 100', text: 'Glycerin 4%\nAdd water to 100%', reads: 'glycerin 4, aqua fill' },
  {
    style: 'millilitres by density',
    text: 'Distilled water 90 ml\nGlycerin 10 ml',
    reads: 'aqua 87.7, glycerin 12.3',
  },
  {
    style: 'teaspoons and drops',
    text: 'Distilled water 95 g\n1 tsp glycerin\n10 drops lavender essential oil',
    reads: 'aqua 93.4, glycerin 6.2, lavandula-angustifolia-oil 0.43',
  },
  {
    style: 'fractions of spoons',
    text: '½ tsp xanthan gum\n1 1/2 tbsp glycerin\n1/4 cup aloe vera juice',
    reads: 'xanthan-gum 1.8, glycerin 31.3, aloe-barbadensis-leaf-juice 66.9',
  },
  {
    style: 'a grade behind the name',
    text: '1 % dimethicone 350\n94 % water\n5 % glycerin',
    reads: 'dimethicone 1, aqua 94, glycerin 5',
  },
  {
    style: 'a title with its batch',
    text: 'Harbour serum (100 g)\nWater 95 g\nGlycerin 5 g',
    reads: 'aqua 95, glycerin 5',
    batch: 100,
  },
  {
    style: 'a title with a strength',
    text: '1 % hyaluronate stock\n98 g water\n1 g sodium hyaluronate\n1 g glycerin',
    reads: 'aqua 98, sodium-hyaluronate 1, glycerin 1',
    batch: 100,
  },
  {
    style: 'a teaspoon of a gum',
    text: '1 tsp xanthan gum\n96.75 g water',
    reads: 'xanthan-gum 3.25, aqua 96.75',
  },
  {
    style: 'a blend in the other order',
    text: 'ethylhexylglycerin and phenoxyethanol 1 %\nceteareth-20 and cetearyl alcohol 5 %\nwater to 100',
    reads: 'phenoxyethanol-ethylhexylglycerin 1, cetearyl-alcohol-ceteareth-20 5, aqua fill',
  },
  { style: 'ounces', text: '7 oz water\n1 oz glycerin', reads: 'aqua 87.5, glycerin 12.5', batch: 226.8 },
  {
    style: 'kilograms and milligrams',
    text: 'Water 1 kg\nAllantoin 500 mg',
    reads: 'aqua 99.95, allantoin 0.05',
  },
  { style: 'thousands', text: 'Water 1,900 g\nGlycerin 100 g', reads: 'aqua 95, glycerin 5', batch: 2000 },
  { style: 'a pinch', text: 'Water 99.7 g\nA pinch of citric acid', reads: 'aqua 99.7, citric-acid 0.3' },
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
