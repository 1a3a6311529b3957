// @ts-check
import prettier from 'eslint-config-prettier'
import withNuxt from './.nuxt/eslint.config.mjs'

// eslint-flat-config-utils needs Object.groupBy, which Node 20 lacks.
Object.groupBy ??= (items, key) => {
  const groups = Object.create(null)
  let i = 0
  for (const item of items) (groups[key(item, i++)] ??= []).push(item)
  return groups
}

/** Folders of core in the order of their dependence: each imports only folders before it. */
const ORDER = [
  'base',
  'units',
  'speech',
  'catalogue',
  'identify',
  'gauges',
  'joints',
  'inspect',
  'making',
  'line',
  'shorthand',
  'run',
  'cutting',
  'supports',
  'flow',
  'heat',
  'rulebook',
  'sequence',
  'proof',
  'ask',
  'record',
  'acts',
]
const ban = (files, pairs) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: pairs.map(([regex, message]) => ({ regex, message })) }] },
})
const APP = ['^(~|@)/|^(\\.\\./)+app/|^#(imports|components|app|build)', 'app/ is not importable here']
const SERVER = [
  '^(~~|@@)/server|^(\\.\\./)+server/|^(drizzle-orm|mysql2|h3|nitropack)(/|$)',
  'the data layer stays in server/',
]
const UI = ['^(vue|pinia|nuxt|@vue|@nuxt|@vueuse|@pinia)(/|$)', 'no interface code here']
const EDGE = ['^#core/[^/]+/|^(\\.\\./)+core/|^(~~|@@)/core', 'write #core/<folder>: its index only']

const boundaries = [
  ...ORDER.flatMap((name, i) =>
    [
      // From a folder within, one step up is still the same folder.
      ['*.ts', '(\\.\\./)+'],
      ['*/**/*.ts', '(\\.\\./){2,}'],
    ].map(([files, up]) =>
      ban(
        [`core/${name}/${files}`],
        [
          APP,
          SERVER,
          UI,
          ['^node:', 'core does no I/O'],
          [
            `^#core/(?!(${[...ORDER.slice(0, i), ...(name === 'record' || name === 'acts' ? ['contract'] : [])].join('|') || '-'})$)|^${up}(${ORDER.join('|')})(/|$)`,
            `core/${name}: only #core/<a folder before it>`,
          ],
        ],
      ),
    ),
  ),
  // A test stands beside its module and may read it by its public name.
  ban(['core/**/*.test.ts'], [APP, SERVER, UI]),
  ban(['core/*.ts', 'core/contract/*.ts'], [APP, SERVER, UI]),
  ban(['app/**/*.{ts,vue}'], [SERVER, EDGE]),
  ban(['app/drawing/**/*.ts'], [SERVER, EDGE, UI]),
  ban(['server/**/*.ts'], [APP, UI, EDGE]),
  ban(['server/api/**/*.ts'], [APP, UI, EDGE, ['^(drizzle-orm|mysql2)(/|$)|/db(/|$)', 'api calls a service']]),
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now' },
        { object: 'Math', property: 'random' },
      ],
    },
  },
]

const SIZE = { skipBlankLines: true, skipComments: true }

export default withNuxt(
  {
    files: ['**/*.{ts,vue,mjs}'],
    ignores: ['**/*.test.ts', 'core/catalogue/tables/**'],
    rules: { 'max-lines': ['error', { max: 400, ...SIZE }] },
  },
  {
    files: ['**/*.{ts,vue,mjs}'],
    rules: {
      'no-nested-ternary': 'error',
      'vue/no-restricted-syntax': [
        'error',
        {
          selector: 'VExpressionContainer ConditionalExpression > ConditionalExpression',
          message: 'name it in the script: no ternary in a ternary',
        },
      ],
    },
  },
  { files: ['**/*.test.ts'], rules: { 'max-lines': ['error', { max: 600, ...SIZE }] } },
  ...boundaries,
  // Prettier lays the lines.
  prettier,
)
