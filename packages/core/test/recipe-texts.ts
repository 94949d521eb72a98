import { MORE_TEXTS, type RecipeText } from './recipe-texts-more.ts'

/**
 * Recipe texts in many styles, written for these tests, with what a careful reader would take from each: the id of a
 * material (or its words where none is known), then its percent, `fill`, or `?` where no amount is given.
 */

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
  ...MORE_TEXTS,
]
