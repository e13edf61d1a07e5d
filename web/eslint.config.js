import js from '@eslint/js'
import hooks from 'eslint-plugin-react-hooks'
import ts from 'typescript-eslint'

const ROOMS = [
  'walkround',
  'runway',
  'builds',
  'desk',
  'gauges',
  'ledger',
  'shop',
  'day',
  'customer',
  'access',
  'rollout',
  'events',
  'rehearse',
  'wall',
]
const BELOW = ['format', 'api', 'ui', 'domain']
const others = (all, own) => all.filter((other) => other !== own).map((other) => `../${other}/*`)

export default ts.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
    },
  },
  { files: ['*.mjs'], languageOptions: { globals: { console: 'readonly', process: 'readonly' } } },
  // A room imports what stands below it and its own files, never another room.
  ...ROOMS.map((room) => ({
    files: [`src/${room}/**`],
    rules: { 'no-restricted-imports': ['error', { patterns: others(ROOMS, room) }] },
  })),
  // What all rooms build on: each knows only those before it.
  ...BELOW.map((layer, i) => ({
    files: [`src/${layer}/**`],
    rules: {
      'no-restricted-imports': ['error', { patterns: others([...BELOW.slice(i + 1), ...ROOMS], layer) }],
    },
  })),
)
