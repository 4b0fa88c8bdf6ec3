import { readdirSync } from 'node:fs'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

const features = readdirSync(new URL('resources/js/features', import.meta.url))

export default tseslint.config(
  { ignores: ['resources/js/api/schema.ts'] },
  ...tseslint.configs.recommendedTypeChecked,
  hooks.configs.flat['recommended-latest'],
  {
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
    },
  },
  {
    // Features never reach into one another.
    files: ['resources/js/features/*/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['@/features/*', '../../*/**', ...features.map((one) => `**/../${one}/**`)] },
      ],
    },
  },
)
