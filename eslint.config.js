import { fileURLToPath } from 'node:url';
import { includeIgnoreFile } from '@eslint/compat';
import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import { defineConfig } from 'eslint/config';
import globals from 'globals';
import ts from 'typescript-eslint';

/** Forbids imports by pattern, with the reason as the message. */
const forbid = (patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });

const outsideCore = {
	group: [
		'$lib/*',
		'$app/*',
		'$env/*',
		'svelte',
		'svelte/*',
		'node:*',
		'better-sqlite3',
		'**/server/**',
		'**/components/**',
		'**/state/**',
		'**/routes/**'
	],
	message:
		'The core imports only itself and the allow-list of pure packages (valibot, clipper2-ts, flatbush).'
};
/** The rooms of the core, from the ground up: each imports only what stands before it. */
const ROOMS = [
	'quantity',
	'solve',
	'metal',
	'care',
	'session',
	'figure',
	'cutter',
	'torch',
	'circuit',
	'air',
	'water',
	'safety',
	'speed',
	'cut',
	'shape',
	'gouge',
	'wear',
	'cost',
	'stock',
	'list',
	'checks',
	'inputs',
	'answers',
	'evidence',
	'arcline',
	'photo',
	'plan',
	'preflight',
	'faults',
	'studies',
	'stored',
	'practice'
];
const oneWay = ROOMS.map((room, i) => {
	const later = ROOMS.slice(i + 1);
	const group = later.flatMap((other) => [`../${other}/**`, `../../${other}/**`, `../${other}`]);
	return {
		files: [`src/lib/core/${room}/**/*.ts`],
		ignores: ['**/*.test.ts'],
		rules: forbid([
			outsideCore,
			{
				regex: '^[.][.](/[.][.])*(/index)?$',
				message: 'Rooms stand below the face of the core.'
			},
			...(group.length
				? [{ group, message: `“${room}” stands below: see ROOMS in eslint.config.js.` }]
				: [])
		])
	};
});
const sqlPackage = {
	group: ['better-sqlite3'],
	message: 'SQL stands only in repositories: src/lib/server.'
};

export default defineConfig(
	includeIgnoreFile(fileURLToPath(new URL('./.gitignore', import.meta.url))),
	js.configs.recommended,
	ts.configs.recommendedTypeChecked,
	svelte.configs.recommended,
	prettier,
	svelte.configs.prettier,
	{
		languageOptions: {
			globals: { ...globals.browser, ...globals.node },
			parserOptions: {
				projectService: { allowDefaultProject: ['*.js'] },
				tsconfigRootDir: import.meta.dirname,
				extraFileExtensions: ['.svelte']
			}
		},
		rules: {
			'no-undef': 'off',
			'@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
			// To leave a field out is to name it beside the rest.
			'@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
			// Links carry the planned cut in their query, which resolve() cannot type.
			'svelte/no-navigation-without-resolve': 'off'
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser } }
	},
	{
		// svelte-check has the types of markup; to lint by types makes the program anew for every one of these
		// files, which took longer than all other linting together. What needs watching stands in .ts.
		files: ['**/*.svelte'],
		extends: [ts.configs.disableTypeChecked]
	},
	{ files: ['src/lib/core/**/*.ts'], ignores: ['**/*.test.ts'], rules: forbid([outsideCore]) },
	...oneWay,
	{
		files: ['src/lib/formats/**/*.ts', 'src/lib/state/**/*.ts', 'src/lib/components/**'],
		rules: forbid([
			sqlPackage,
			{ group: ['**/server/**', '$lib/server/*'], message: 'Server code stays on the server.' }
		])
	},
	{ files: ['src/routes/**'], ignores: ['**/*.test.ts'], rules: forbid([sqlPackage]) },
	{
		// A formula in markup or in a route would be a second source of truth beside the core.
		files: ['src/routes/**', 'src/lib/components/**/*.svelte', 'src/lib/server/**'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-properties': [
				'error',
				...['sqrt', 'exp', 'log', 'pow', 'tan', 'atan', 'cbrt'].map((property) => ({
					object: 'Math',
					property,
					message: 'Formulas stand in src/lib/core.'
				}))
			]
		}
	},
	{
		files: ['src/routes/**', 'src/lib/{core,formats,state,components}/**'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-syntax': [
				'error',
				{
					selector: "CallExpression[callee.property.name='prepare']",
					message: 'SQL stands only in repositories: src/lib/server.'
				}
			]
		}
	},
	{ files: ['**/*.js'], extends: [ts.configs.disableTypeChecked] }
);
