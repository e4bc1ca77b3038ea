import js from '@eslint/js';
import globals from 'globals';

export default [
    { ignores: ['public/', 'vendor/', 'node_modules/', 'storage/'] },
    js.configs.recommended,
    {
        languageOptions: { ecmaVersion: 2022, sourceType: 'module', globals: globals.browser },
        linterOptions: { reportUnusedDisableDirectives: 'error' },
        rules: { eqeqeq: 'error', 'no-var': 'error', 'prefer-const': 'error', 'no-shadow': 'error', 'no-implicit-globals': 'error' },
    },
    { files: ['resources/js/worker.js'], languageOptions: { globals: globals.serviceworker, sourceType: 'script' }, rules: { 'no-implicit-globals': 'off' } },
    { files: ['*.js', '*.mjs', 'resources/icons.mjs', 'bin/**', 'tests/js/**'], languageOptions: { globals: globals.node } },
];
