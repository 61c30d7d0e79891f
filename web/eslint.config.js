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
  {
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: {
      // What is said stands in sentences.ts and can be in other words: it is neither written elsewhere nor compared.
      'no-restricted-syntax': [
        'error',
        { selector: 'JSXText[value=/[A-Za-z]{2}/]', message: 'Say it in sentences.ts.' },
        {
          selector:
            'JSXAttribute[name.name=/^(aria-label|aria-description|title|label|placeholder|hint|alt|none|description|children)$/] > Literal[value=/[A-Za-z]/]',
          message: 'Say it in sentences.ts.',
        },
        {
          selector: "CallExpression[callee.name='announce'][arguments.0.type=/^(Literal|TemplateLiteral)$/]",
          message: 'Say it in sentences.ts.',
        },
        {
          selector: "BinaryExpression[operator=/^[!=]==?$/] > MemberExpression[object.name='say']",
          message: 'Compare what is meant, never the words for it.',
        },
      ],
    },
  },
)
