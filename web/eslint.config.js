import tseslint from 'typescript-eslint'
import reactHooks from 'eslint-plugin-react-hooks'
import jsxA11y from 'eslint-plugin-jsx-a11y'
import boundaries from 'eslint-plugin-boundaries'
import prettier from 'eslint-config-prettier'

// What takes a compiler or every declaration of every package to know is asked of all files by the long part, not every day.
const whole = process.env.LINT === 'whole'
const slow = {
  '@typescript-eslint/no-deprecated': 'off',
  ...Object.fromEntries(
    Object.keys(reactHooks.configs.flat.recommended.rules)
      .filter((rule) => !['react-hooks/rules-of-hooks', 'react-hooks/exhaustive-deps'].includes(rule))
      .map((rule) => [rule, 'off']),
  ),
}

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
      ...(whole ? {} : slow),
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
