/**
 * The floors of the house, from the ground. An import goes to its own floor or further down, never up and in no circle.
 * What stands on one floor is told in docs/architecture.md.
 */
const CORE = [
  ['text', 'solve', 'stats'],
  ['shapes'],
  ['formula'],
  ['materials'],
  ['lines'],
  ['emulsion'],
  ['ph'],
  ['solubility', 'preservation'],
  ['assess'],
  ['dosing', 'feel', 'weighing'],
  ['procedure'],
  ['findings'],
  ['choose', 'balance'],
  ['batch'],
  ['bench', 'label', 'recipes', 'brief'],
  ['stability'],
  ['cost', 'fill'],
  ['derived'],
  ['trials'],
  ['words'],
  ['files'],
]
const WEB = [
  ['words'],
  ['browser'],
  ['storage', 'instruments'],
  ['stores'],
  ['composables'],
  ['components'],
  ['features'],
  ['app'],
]

/** One rule a floor: nothing on it may reach a higher one. */
const climbs = (root, floors) =>
  floors.slice(0, -1).map((rooms, i) => ({
    name: `climbs-from-${rooms.join('-and-')}`,
    severity: 'error',
    comment: 'Move what both need further down.',
    from: { path: `^${root}/(${rooms.join('|')})/` },
    to: {
      path: `^${root}/(${floors
        .slice(i + 1)
        .flat()
        .join('|')})/`,
    },
  }))

const features = [
  'bench',
  'bin',
  'formula',
  'formulas',
  'help',
  'ingredients',
  'print',
  'stability',
  'start',
  'trials',
]

export default {
  forbidden: [
    {
      name: 'circle',
      severity: 'error',
      comment: 'Two files that need each other are one, or need a third below them.',
      from: {},
      to: { circular: true },
    },
    ...climbs('packages/core/src', CORE),
    ...climbs('packages/web/src', WEB),
    {
      name: 'core-stands-alone',
      severity: 'error',
      comment: 'The core holds computation only.',
      from: { path: '^packages/core/src' },
      to: { path: '^packages/(web|server|cli)/' },
    },
    {
      name: 'only-what-the-core-offers',
      severity: 'error',
      comment: 'Others take what packages/core/src/index.ts exports.',
      from: { path: '^(packages/(web|server|cli)/(src|bin)|e2e)/' },
      to: {
        path: '^packages/core/(src|data)/',
        pathNot: '^packages/core/src/(index|words/index|solve/highs)\\.ts$',
      },
    },
    {
      name: 'not-the-interface',
      severity: 'error',
      comment: 'Server and command line use the core, never the interface.',
      from: { path: '^packages/(server|cli)/' },
      to: { path: '^packages/web/' },
    },
    ...features.map((feature) => ({
      name: `${feature}-to-another-feature`,
      severity: 'error',
      comment: 'Features share through components, stores or the core.',
      from: { path: `^packages/web/src/features/${feature}/` },
      to: { path: '^packages/web/src/features/', pathNot: `^packages/web/src/features/${feature}/` },
    })),
    {
      name: 'unresolved',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '\\?url$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|coverage|test-results)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.mjs', '.js', '.vue', '.json'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default', 'node'],
    },
  },
}
