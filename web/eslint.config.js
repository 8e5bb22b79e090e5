import tseslint from 'typescript-eslint'
import reactHooks from 'eslint-plugin-react-hooks'
import jsxA11y from 'eslint-plugin-jsx-a11y'
import boundaries from 'eslint-plugin-boundaries'
import prettier from 'eslint-config-prettier'

const to = (type, captured) => ({ to: { element: captured ? { type, captured } : { type } } })

export default tseslint.config(
  { ignores: ['dist', 'node_modules', '*.config.*', 'src/shared/api/schema.d.ts'] },
  {
    files: ['src/**/*.{ts,tsx}'],
    extends: [
      ...tseslint.configs.strictTypeChecked,
      ...tseslint.configs.stylisticTypeChecked,
      jsxA11y.flatConfigs.strict,
      reactHooks.configs.flat.recommended,
      prettier,
    ],
    plugins: { boundaries },
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    settings: {
      'import/resolver': { node: { extensions: ['.ts', '.tsx'] } },
      'boundaries/elements': [
        { type: 'app', pattern: 'src/app' },
        { type: 'feature', pattern: 'src/features/*', capture: ['name'] },
        { type: 'shared', pattern: 'src/shared/*' },
      ],
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: [
            { from: { element: { type: 'app' } }, allow: [to('app'), to('feature'), to('shared')] },
            {
              from: { element: { type: 'feature' } },
              allow: [to('shared'), to('feature', { name: '{{from.element.captured.name}}' })],
            },
            { from: { element: { type: 'shared' } }, allow: [to('shared')] },
          ],
        },
      ],
    },
  },
)
