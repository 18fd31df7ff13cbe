import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import adapter from '@sveltejs/adapter-node';
import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';

const root = fileURLToPath(new URL('.', import.meta.url));

/** Of the core, what the first screens show and set before they can plan: numbers, names, and what is fitted. */
const BEFORE_THE_PLAN = [
	'quantity/',
	'figure/',
	'metal/',
	'\\w+/names',
	'plan/packed',
	'speed/speed\\.',
	'session/(work|schedule)',
	'circuit/(conductors|earthFault|protection)',
	'torch/assembly',
	'air/stages',
	'inputs/typical'
].join('|');
/** Writing in the log comes after the first screen, and with it what plans; so do files. */
const AFTER_IT = [
	'core/',
	'state/(logbook|plansHere)',
	'components/((Wear|Card)/words|Fields/FileButton)',
	'formats/careWords'
].join('|');
const SHELL = new RegExp(`/src/lib/(core/(${BEFORE_THE_PLAN})|(?!${AFTER_IT}))|lucide`);
/** What the first screens share beside that, each smaller than what a file of its own costs. */
const SMALL =
	/\/src\/lib\/(components\/(Drawing\/(Patterns|Sparks|ScreenMatch)|Header\/Logo|Marks\/Findings|When|Later|Stage|Card\/(Cautions|SettingCard)|Setup\/SetupCard)\.svelte|state\/(handle|study|who|remembered)|dom\/(legible|whenSeen))|lucide/;

export default defineConfig({
	plugins: [
		tailwindcss(),
		sveltekit({
			compilerOptions: { runes: ({ filename }) => !filename.includes('node_modules') || undefined },
			adapter: adapter({ out: 'build', precompress: true }),
			// A shared link must open for someone whose cookies say otherwise, so no prerendering.
			csp: {
				// Hashes, not nonces: a page that has not changed may be sent again as it is.
				mode: 'hash',
				directives: {
					'default-src': ['self'],
					'script-src': ['self'],
					'style-src': ['self'],
					// Drawings set widths and colours through style attributes.
					'style-src-attr': ['unsafe-inline'],
					'img-src': ['self', 'data:', 'blob:'],
					'font-src': ['self'],
					'connect-src': ['self'],
					'worker-src': ['self'],
					'object-src': ['none'],
					'base-uri': ['self'],
					'form-action': ['self'],
					'frame-ancestors': ['none']
				}
			},
			// Our own server entry checks origins before the handler sees a request.
			csrf: { trustedOrigins: ['*'] },
			typescript: {
				config: (config) => ({
					...config,
					include: [
						...(config.include as string[]),
						'../playwright.config.ts',
						'../scripts/**/*.ts',
						'../scripts/**/*.js',
						'../server/**/*.js',
						'../vite.heavy.config.ts',
						'../vitest.mutate.config.ts'
					]
				})
			}
		})
	],
	build: {
		// Inlined fonts would be data: URIs, which the content security policy refuses.
		assetsInlineLimit: (file) => (/\.woff2?$/.test(file) ? false : undefined),
		rolldownOptions: {
			output: {
				codeSplitting: {
					// What most pages need comes as one piece: thirty small ones pack worse. What plans is another.
					groups: [
						{ name: 'shell', test: SHELL, minShareCount: 8 },
						{ name: 'shell', test: SMALL, minShareCount: 2 },
						{ name: 'planner', test: /\/src\/lib\/core\//, minShareCount: 8 }
					]
				}
			},
			// Making a schema does nothing else: those that a page does not use are left out of it.
			treeshake: {
				manualPureFunctions: ['v', 'within', 'nameOf', 'kindOf'],
				// The core only defines: who takes one thing of its face does not load the others.
				moduleSideEffects: [{ test: /\/src\/lib\/core\//, sideEffects: false }]
			}
		}
	},
	worker: { format: 'es' },
	test: {
		expect: { requireAssertions: true },
		// By itself it leaves one processor idle: of two, half.
		maxWorkers: availableParallelism(),
		// No test measures speed: these only end one that hangs.
		testTimeout: 600_000,
		hookTimeout: 600_000,
		// What is shown and searched by the clock on the wall reads the same wherever the tests run.
		env: { TZ: 'UTC' },
		projects: [
			{
				extends: true,
				test: {
					name: 'core',
					// It keeps nothing between calls: its modules are read once a worker, not once a file.
					isolate: false,
					environment: 'node',
					include: [
						'src/lib/core/**/*.test.ts',
						'tests/reference/**/*.test.ts',
						'tests/benches/**/*.test.ts',
						'tests/kept/**/*.test.ts'
					]
				}
			},
			{
				extends: true,
				test: {
					name: 'unit',
					environment: 'node',
					include: ['src/lib/**/*.test.ts'],
					exclude: ['src/lib/server/**', 'src/lib/core/**']
				}
			},
			{
				extends: true,
				test: {
					name: 'server',
					environment: 'node',
					include: ['src/lib/server/**/*.test.ts', 'src/routes/**/*.test.ts'],
					pool: 'forks'
				}
			}
		]
	},
	server: { fs: { allow: [root] } }
});
