/** The rooms of the core, the lowest first: each may know those before it, never those after it. */
const CORE = [
	'numeric',
	'tables',
	'format',
	'geometry',
	'optics',
	'anatomy',
	'arrange',
	'sharpness',
	'light',
	'technique',
	'study',
	'odds',
	'advice',
	'day',
	'photograph',
	'measure',
	'stitch',
	'review',
	'bench',
	'exercises'
];

/**
 * The rooms of the page, the lowest first: what every place uses, then the places of the work, then what stands
 * around them. A place that has rooms of its own lists them before itself.
 */
const UI = [
	'browser',
	'working',
	'picture',
	'shared',
	'fields',
	'keeping',
	'drawing',
	'kit',
	'photograph',
	'frames',
	'practice',
	'plan/view',
	'plan/(eyes|frame|ladder|setup|odds|cards)',
	'plan/(stage|verdict)',
	'plan',
	'card',
	'review/view',
	'review/(looking|out|wide)',
	'review',
	'bench/(choose|parts)',
	'bench/exercises',
	'bench',
	'day',
	'files/(in|out)',
	'welcome',
	'shell'
];

/** Each of several rooms may know those before it, never those after it. */
function oneWay(name, top, rooms) {
	// where rooms within a room are listed, the room itself is the files that stand in it
	const filesOf = (room) =>
		rooms.some((other) => other.startsWith(`${room}/`)) ? `${room}/[^/]+$` : `${room}/`;
	return rooms.map((room, i) => ({
		name: `${name}-one-way-${room}`,
		comment: `${top}/${room} knows only ${rooms.slice(0, i).join(', ') || 'nothing'} and itself`,
		severity: 'error',
		from: { path: `^${top}/${filesOf(room)}`, pathNot: '\\.test\\.ts$' },
		to: {
			path: `^${top}/`,
			pathNot: `^${top}/(${rooms
				.slice(0, i + 1)
				.map(filesOf)
				.join('|')})`
		}
	}));
}

/**
 * Arrows point one way: routes → ui → words, data, workers → practice, photograph → preview → core (docs/architecture.md).
 * @type {import('dependency-cruiser').IConfiguration}
 */
module.exports = {
	forbidden: [
		...oneWay('core', 'src/core', CORE),
		...oneWay('ui', 'src/ui', UI),
		{
			name: 'words-above-core-alone',
			severity: 'error',
			from: { path: '^src/words', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/(data|files|workers|preview|practice|ui|routes)' }
		},
		{
			name: 'core-without-words',
			comment: 'the core tells data; words are made of it elsewhere',
			severity: 'error',
			from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/words' }
		},
		{
			name: 'no-circles',
			severity: 'error',
			from: {},
			to: { circular: true }
		},
		{
			name: 'core-is-pure',
			comment: 'the core imports only itself and, in format/, Zod',
			severity: 'error',
			from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
			to: { pathNot: '^src/core', dependencyTypesNot: ['type-only'], path: '^(?!node_modules/zod)' }
		},
		{
			name: 'zod-only-in-format',
			severity: 'error',
			from: { path: '^src/core', pathNot: '^src/core/format' },
			to: { path: 'node_modules/zod' }
		},
		{
			name: 'data-below-ui',
			severity: 'error',
			from: { path: '^src/(data|workers|preview|practice|photograph)' },
			to: { path: '^src/(ui|routes)' }
		},
		{
			name: 'files-above-core-alone',
			comment: 'what a file holds is handed to it',
			severity: 'error',
			from: { path: '^src/files', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/(data|workers|preview|practice|ui|routes)' }
		},
		{
			name: 'preview-above-core-alone',
			severity: 'error',
			from: { path: '^src/preview', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/(data|workers|practice)' }
		},
		{
			name: 'practice-above-preview-and-core',
			severity: 'error',
			from: { path: '^src/practice', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/(data|files|words|workers|ui|routes)' }
		},
		{
			name: 'photograph-above-core',
			severity: 'error',
			from: { path: '^src/photograph', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/(data|files|words|preview|practice|workers|ui|routes)' }
		},
		{
			name: 'server-above-words-and-core',
			severity: 'error',
			from: { path: '^src/server', pathNot: '\\.test\\.ts$' },
			to: { path: '^src/(data|files|workers|preview|practice|ui|routes)' }
		},
		{
			name: 'ui-below-routes',
			severity: 'error',
			from: { path: '^src/ui' },
			to: { path: '^src/routes' }
		},
		{
			name: 'app-free-of-tests',
			severity: 'error',
			from: { path: '^src', pathNot: '\\.test\\.ts$' },
			to: { path: '(^tests/|\\.test\\.ts$)' }
		},
		{
			name: 'resolvable',
			severity: 'error',
			from: {},
			to: {
				couldNotResolve: true,
				pathNot: '^(\\$app|\\$models|\\$env|\\$service-worker|\\./\\$types)'
			}
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'scripts/boundaries.tsconfig.json' },
		enhancedResolveOptions: {
			exportsFields: ['exports'],
			conditionNames: ['svelte', 'import', 'types', 'default']
		}
	}
};
