/** Colours and sizes of type come from the tokens of packages/web/src/app/theme.css; nothing else names one. */
export default {
  plugins: ['stylelint-declaration-strict-value'],
  ignoreFiles: ['**/dist/**', '**/node_modules/**'],
  rules: {
    'declaration-block-no-duplicate-properties': true,
    'no-duplicate-selectors': true,
    'color-no-invalid-hex': true,
    'property-no-unknown': true,
    'scale-unlimited/declaration-strict-value': [
      ['/color$/', 'fill', 'stroke', 'font-size'],
      {
        ignoreValues: [
          'inherit',
          'currentcolor',
          'currentColor',
          'transparent',
          'none',
          '100%',
          '/^[0-9.]+pt$/',
          '0',
          '/^color-mix\\(in srgb, (var|currentcolor)/',
        ],
        message: 'Take a token of theme.css: ${value} is named nowhere else.',
      },
    ],
    'color-no-hex': [true, { message: 'A colour is a token of theme.css.' }],
    'color-named': 'never',
    // Pages change together, at few widths; and what stands together has one scale of distances.
    'media-feature-name-value-allowed-list': {
      'max-width': ['520px', '620px', '860px', '1000px', '1080px', '1360px'],
      'min-width': ['1001px', '1561px'],
    },
    'declaration-property-value-allowed-list': {
      gap: [
        '/^((0|0\\.125rem|0\\.25rem|0\\.375rem|0\\.5rem|0\\.75rem|1rem|1\\.25rem|1\\.5rem|2rem|2\\.5rem|1px|[0-9.]+(mm|pt))( |$))+$/',
      ],
    },
    'function-disallowed-list': [
      ['rgb', 'rgba', 'hsl', 'hsla'],
      { message: 'A colour is a token of theme.css.' },
    ],
  },
  overrides: [
    { files: ['**/*.vue'], customSyntax: 'postcss-html' },
    // The one place where colours have their values.
    { files: ['**/theme.css'], rules: { 'color-no-hex': null, 'function-disallowed-list': null } },
    // Paper has points, and inks that do not follow the screen.
    {
      files: ['**/print.css'],
      rules: {
        'color-no-hex': null,
        'function-disallowed-list': null,
        'scale-unlimited/declaration-strict-value': null,
      },
    },
  ],
}
