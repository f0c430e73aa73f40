/** Sizes, spaces, breakpoints and colours come from the scales in app/kit/styles: each has a name, and nothing else is used. */
export default {
  overrides: [
    { files: ['**/*.vue'], customSyntax: 'postcss-html' },
    { files: ['**/palettes.css'], rules: { 'color-no-hex': null } },
  ],
  rules: {
    'color-no-hex': [true, { message: 'Colours have names by purpose: add one to palettes.css.' }],
    'color-named': 'never',
    'declaration-property-value-allowed-list': [
      {
        'font-size': [
          // The large clock is as large as its place allows.
          /^min\(var\(--clock-size,/,
          /^var\(--es-size-[a-z]+\)$/,
          /^calc\([\d.]+ \* var\(--es-size-[a-z]+\)\)$/,
          'inherit',
        ],
        font: ['inherit', /var\(--es-size-[a-z]+\)/],
      },
      { message: 'Use one of the seven sizes of app/kit/styles/base.css.' },
    ],
    'declaration-property-value-disallowed-list': [
      { '/^(?:padding|margin|(?:row-|column-)?gap)/': [/(?<![\d.])(?:[2-9]|\d\d+)px/] },
      { message: 'Use one of the eight spaces of app/kit/styles/base.css.' },
    ],
    'media-feature-name-value-allowed-list': [
      { width: ['40em', '51.25em', '68.75em'] },
      { message: 'There are three breakpoints: 40, 51.25 and 68.75 em (640, 820 and 1100 px).' },
    ],
  },
}
