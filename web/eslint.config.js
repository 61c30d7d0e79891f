import js from '@eslint/js'
import jsxA11y from 'eslint-plugin-jsx-a11y'
import reactHooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  { ignores: ['dist', 'scripts', 'src/shared/api/schema.ts'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  jsxA11y.flatConfigs.strict,
  {
    plugins: { 'react-hooks': reactHooks },
    rules: {
      ...reactHooks.configs.recommended.rules,
      '@typescript-eslint/no-explicit-any': 'error',
      // A feature is entered by its door only.
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '^\\.\\./(?!\\.\\.)[a-z]+/|features/[a-z]+/.' }] },
      ],
    },
  },
)
