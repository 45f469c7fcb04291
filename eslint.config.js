import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['vendor/', 'node_modules/', 'public/', 'data/', 'test-results/', 'eslint.config.js', 'standins/**/*.mjs'] },
  ...tseslint.configs.strictTypeChecked,
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowBoolean: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true, ignoreVoidReturningFunctions: true }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/no-meaningless-void-operator': 'off',
      '@typescript-eslint/no-non-null-assertion': 'error',
      'max-lines': ['warn', 300],
    },
  },
);
