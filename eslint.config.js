import js from '@eslint/js';
import boundaries from 'eslint-plugin-boundaries';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

/** What each part of the tree may import. The core knows nothing of the rest. */
const layers = [
	{ type: 'core', pattern: 'src/lib/core/**' },
	{ type: 'formats', pattern: 'src/lib/formats/**' },
	{ type: 'store', pattern: 'src/lib/store/**' },
	{ type: 'demo', pattern: 'src/lib/demo/**' },
	{ type: 'server', pattern: 'src/lib/server/**' },
	{ type: 'workers', pattern: 'src/lib/workers/**' },
	{ type: 'state', pattern: 'src/lib/state/**' },
	{ type: 'ui', pattern: 'src/lib/ui/**' },
	{ type: 'api', pattern: 'src/routes/{api,healthz,workers}/**' },
	{ type: 'pages', pattern: 'src/routes/**' }
];
const allowed = {
	core: ['core'],
	formats: ['core', 'formats'],
	demo: ['core', 'formats', 'demo'],
	store: ['core', 'formats', 'demo', 'store'],
	server: ['core', 'formats', 'server'],
	workers: ['core', 'formats', 'store', 'demo', 'workers'],
	state: ['core', 'formats', 'store', 'demo', 'workers', 'state'],
	ui: ['core', 'formats', 'state', 'ui'],
	api: ['core', 'formats', 'server', 'workers'],
	pages: ['core', 'formats', 'store', 'workers', 'state', 'ui', 'demo', 'pages']
};
const policies = Object.entries(allowed).map(([from, to]) => ({
	from: { element: { type: from } },
	allow: to.map((type) => ({ to: { element: { type } } }))
}));
/** Packages that the core must not know: it runs anywhere, on plain data. */
const notInCore = [
	'svelte',
	'svelte/*',
	'dexie',
	'$app/*',
	'$env/*',
	'@sveltejs/*',
	'bits-ui',
	'd3-*',
	'node:*',
	'comlink'
];
/**
 * The floors of the core, from the ground up: a folder may import its own floor’s folder and what lies on floors below.
 * Files at the root of the core (version, random) are the ground.
 */
const floors = [
	['atlas', 'vocabulary', 'statistics'],
	['point', 'working', 'measure'],
	['step'],
	['school', 'medium', 'client', 'assess'],
	['pressure'],
	['technique'],
	['sequence'],
	['glide', 'goal', 'links'],
	['search', 'fit', 'screening'],
	['template'],
	['rules'],
	['notation', 'flow', 'fitted', 'train'],
	['records', 'sideBySide'],
	['perform'],
	['visit'],
	['corpus']
];
/** What a folder of the core may not import: every folder of its own floor but itself, and all above. */
const above = (folder) => {
	const at = floors.findIndex((floor) => floor.includes(folder));
	return floors.flatMap((floor, i) => (i < at ? [] : floor.filter((name) => name !== folder)));
};
const floorRules = floors.flat().map((folder) => ({
	files: [`src/lib/core/${folder}/**/*.ts`],
	ignores: ['**/*.test.ts', '**/testing.ts'],
	rules: {
		'no-restricted-imports': [
			'error',
			{
				patterns: [
					{ group: notInCore, message: 'The core runs anywhere, on plain data.' },
					{
						regex: `^(\\.\\./)+(${above(folder).join('|')})/`,
						message: `core/${folder} stands below what it imports here: see the floors in eslint.config.js.`
					}
				]
			}
		]
	}
}));
/** Parts of the interface know no view; a view knows the parts and itself. */
const views = [
	'clients',
	'compose',
	'exchange',
	'library',
	'photos',
	'practise',
	'progress',
	'sequences',
	'session',
	'settings',
	'tideCompare',
	'today'
];
const uiRule = (files, others, message) => ({
	files,
	ignores: ['**/*.test.ts'],
	rules: { 'no-restricted-imports': ['error', { patterns: [{ regex: others, message }] }] }
});
const viewRules = [
	uiRule(['src/lib/ui/parts/**/*.{ts,svelte}'], '/views/', 'A part of the interface knows no view.'),
	...views.map((view) =>
		uiRule(
			[`src/lib/ui/views/${view}/**/*.{ts,svelte}`],
			`/(${views.filter((v) => v !== view).join('|')})/[A-Z]|views/(${views.filter((v) => v !== view).join('|')})/`,
			`The view ${view} knows parts and itself; what two views share belongs to the parts.`
		)
	)
];
const impure = [
	{ object: 'Date', property: 'now', message: 'Time is passed in.' },
	{ object: 'Math', property: 'random', message: 'Randomness is passed in.' }
];

/** What a save of an edited record returned says whether it stands, or is kept as a second version: it is taken apart. */
const SAVES = '/^(saveClient|saveSequence|saveSession|changeClient|keepCustom|savePhoto)$/';
const dropped = 'What a save returned must be handled: it may be kept as a second version (see store/saveRecord.ts).';
const droppedSaves = [
	`ExpressionStatement > AwaitExpression > CallExpression[callee.property.name=${SAVES}]`,
	`ExpressionStatement > UnaryExpression[operator="void"] > CallExpression[callee.property.name=${SAVES}]`,
	`ExpressionStatement > CallExpression[callee.property.name=${SAVES}]`,
	`ExpressionStatement > AwaitExpression > CallExpression[callee.property.name="run"] > ArrowFunctionExpression > CallExpression[callee.property.name=${SAVES}]`,
	`ExpressionStatement > UnaryExpression[operator="void"] > CallExpression[callee.property.name="run"] > ArrowFunctionExpression > CallExpression[callee.property.name=${SAVES}]`
].map((selector) => ({ selector, message: dropped }));

export default ts.config(
	{ ignores: ['assembly/', 'build/', '.svelte-kit/', 'node_modules/', 'test-results/', '.soft-tide/'] },
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{
		languageOptions: { globals: { ...globals.browser, ...globals.node } },
		rules: {
			'no-undef': 'off',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
			'no-restricted-imports': [
				'error',
				{
					paths: [
						{
							name: '@lucide/svelte',
							message: 'Import each icon by its own path: @lucide/svelte/icons/name.'
						}
					]
				}
			],
			'svelte/no-navigation-without-resolve': 'off',
			'svelte/prefer-svelte-reactivity': 'off',
			// A space between two inline elements is written out, or formatting would swallow it.
			'svelte/no-useless-mustaches': 'off'
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { extraFileExtensions: ['.svelte'], parser: ts.parser, svelteConfig } }
	},
	{
		files: ['src/**/*.ts', 'src/**/*.svelte'],
		plugins: { boundaries },
		settings: {
			'boundaries/elements': layers.map((l) => ({ ...l, partialMatch: false })),
			'import/resolver': { typescript: { project: './tsconfig.json' } }
		},
		rules: {
			'boundaries/dependencies': ['error', { default: 'disallow', policies }]
		}
	},
	{
		files: ['src/lib/core/**/*.ts'],
		ignores: ['**/*.test.ts', 'src/lib/core/testing.ts'],
		rules: {
			'no-restricted-imports': ['error', { patterns: notInCore }],
			'no-restricted-properties': ['error', ...impure],
			'no-restricted-globals': ['error', 'window', 'document', 'localStorage', 'indexedDB', 'fetch', 'navigator'],
			'no-restricted-syntax': [
				'error',
				{ selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Time is passed in.' }
			]
		}
	},
	{
		files: ['src/lib/{state,ui,store}/**/*.{ts,svelte}', 'src/routes/**/*.{ts,svelte}'],
		ignores: ['**/*.test.ts'],
		rules: { 'no-restricted-syntax': ['error', ...droppedSaves] }
	},
	{
		files: ['src/lib/{state,ui}/**/*.{ts,svelte}', 'src/routes/**/*.{ts,svelte}'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-syntax': [
				'error',
				...droppedSaves,
				{
					selector: 'ImportDeclaration[source.value="dexie"]',
					message: 'Rows are read by liveRows, which gives them to the key they were read for, or by follow.'
				}
			]
		}
	},
	...floorRules,
	...viewRules
);
