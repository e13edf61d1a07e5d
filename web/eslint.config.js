import js from '@eslint/js'
import hooks from 'eslint-plugin-react-hooks'
import ts from 'typescript-eslint'

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
  // A room imports api, ui and its own files, never another room.
  ...['walkround', 'runway', 'build', 'shop', 'day'].map((room) => ({
    files: [`src/${room}/**`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: ['walkround', 'runway', 'build', 'shop', 'day']
            .filter((other) => other !== room)
            .map((other) => `../${other}/*`),
        },
      ],
    },
  })),
)
