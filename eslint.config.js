import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';

const pureCore = {
	files: ['src/lib/core/**/*.ts'],
	ignores: ['**/*.test.ts', '**/*.prop.test.ts'],
	rules: {
		'no-restricted-globals': [
			'error',
			...[
				'window',
				'document',
				'localStorage',
				'indexedDB',
				'fetch',
				'performance',
				'navigator'
			].map((name) => ({ name, message: 'core is pure: take what you need as an argument.' }))
		],
		'no-restricted-properties': [
			'error',
			{
				object: 'Math',
				property: 'random',
				message: 'core takes its random source as an argument.'
			},
			{ object: 'Date', property: 'now', message: 'core takes the clock as an argument.' }
		]
	}
};

export default ts.config(
	{ ignores: ['node_modules', '.svelte-kit', 'build', 'test-results'] },
	...ts.configs.recommended,
	...svelte.configs['flat/recommended'],
	{
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		rules: {
			'no-undef': 'off',
			'no-restricted-imports': [
				'error',
				{
					name: '@lucide/svelte',
					message: 'Import @lucide/svelte/icons/NAME: the barrel compiles every icon.'
				}
			],
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }]
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'] } },
		rules: {
			'svelte/no-navigation-without-resolve': 'off',
			// {' '} keeps a space that formatting would eat.
			'svelte/no-useless-mustaches': 'off',
			// Maps here are made anew inside a derived value and never changed afterwards.
			'svelte/prefer-svelte-reactivity': 'off'
		}
	},
	pureCore
);
