import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

export default ts.config(
	{ ignores: ['build/', '.svelte-kit/', 'node_modules/', 'test-results/', '.cache/'] },
	js.configs.recommended,
	...ts.configs.strict,
	...svelte.configs.recommended,
	{
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		rules: {
			// TypeScript already knows every name
			'no-undef': 'off',
			'@typescript-eslint/no-explicit-any': 'error',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }]
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: {
			parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig }
		}
	},
	{
		// with types: a promise nobody waits for, a kind that nobody thought of
		files: ['src/**/*.ts'],
		ignores: ['**/*.svelte.ts', 'src/service-worker.ts'],
		languageOptions: { parserOptions: { projectService: true } },
		rules: {
			'@typescript-eslint/no-floating-promises': 'error',
			'@typescript-eslint/switch-exhaustiveness-check': [
				'error',
				{ considerDefaultExhaustiveForUnions: false }
			]
		}
	},
	{
		files: ['**/*.svelte'],
		rules: {
			'no-restricted-syntax': [
				'error',
				...[
					'SvelteEachBlock > Identifier.key',
					'SvelteEachBlock > MemberExpression.key > .property'
				].map((key) => ({
					selector: `${key}[name=/^(name|title|text|words|label|message|note|step|sentence|reminder|caption)$/]`,
					message:
						'Two of a list may have the same words: key it by an id, or by the place in the list.'
				})),
				{
					selector: 'SvelteEachBlock > BinaryExpression.key',
					message:
						'Two of a list may add up to the same key: key it by an id, or by the place in the list.'
				},
				...[
					':not(SvelteStyleElement) > SvelteText[value=/[A-Za-z]{2}/]',
					'SvelteAttribute[key.name=/^(alt|aria-label|label|placeholder|title)$/] > SvelteLiteral[value=/[A-Za-z]{2}/]'
				].map((selector) => ({
					selector,
					message: 'What is read on the screen stands in src/words/screens.'
				}))
			]
		}
	},
	{
		linterOptions: { reportUnusedDisableDirectives: 'error' }
	}
);
