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
