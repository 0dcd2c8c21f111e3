import {
	oddsJsonSchema,
	oddsRequestJsonSchema,
	planJsonSchema,
	shotJsonSchema
} from '$core/format/jsonSchema';

const ref = (name: string) => ({ $ref: `#/components/schemas/${name}` });
const jsonOf = (schema: object) => ({ 'application/json': { schema } });
const answer = (description: string, schema: object) => ({ description, content: jsonOf(schema) });

const problem = (description: string) => answer(description, ref('Error'));
const BAD_INPUT = {
	'400': problem('The body is not JSON.'),
	'405': problem('Wrong method.'),
	'413': problem('The body is too large.'),
	'415': problem('The content type is not application/json.'),
	'408': problem('The body did not arrive in time.'),
	'422': problem(
		'The body does not validate, `issues` says where and why; or it is too much for one request.'
	),
	'503': {
		...problem('Too much is waiting already.'),
		headers: { 'Retry-After': { description: 'seconds', schema: { type: 'integer' } } }
	}
};

const get = (summary: string, schema: object) => ({
	get: { summary, responses: { '200': answer('As asked.', schema), '405': BAD_INPUT['405'] } }
});

const post = (summary: string, body: object, schema: object, parameters: object[] = []) => ({
	post: {
		summary,
		...(parameters.length > 0 ? { parameters } : {}),
		requestBody: { required: true, content: jsonOf(body) },
		responses: { '200': answer('Worked out.', schema), ...BAD_INPUT }
	}
});

const ADVICE = {
	name: 'advice',
	in: 'query',
	description: 'With 1 also what would help, which takes longer than all the rest.',
	schema: { enum: ['1'] }
};

const ERROR = {
	type: 'object',
	required: ['error'],
	properties: {
		error: {
			type: 'object',
			required: ['code', 'message', 'issues'],
			properties: {
				code: { type: 'string' },
				message: { type: 'string' },
				issues: {
					type: 'array',
					items: {
						type: 'object',
						required: ['path', 'message'],
						properties: { path: { type: 'string' }, message: { type: 'string' } }
					}
				}
			}
		}
	}
};

/** The description of all routes. */
export function openApi() {
	const batch = {
		type: 'object',
		required: ['shots'],
		additionalProperties: false,
		properties: { shots: { type: 'array', maxItems: 200, items: ref('Shot') } }
	};
	const results = {
		type: 'object',
		required: ['results'],
		properties: { results: { type: 'array', items: { anyOf: [ref('Plan'), ref('Error')] } } }
	};
	const health = {
		type: 'object',
		required: ['status', 'version'],
		properties: { status: { const: 'ok' }, version: { type: 'string' } }
	};
	return {
		openapi: '3.1.0',
		info: {
			title: 'Focalis',
			version: __FOCALIS_VERSION__,
			description: 'From people in front of the camera to a focus point, an eye and an aperture.'
		},
		paths: {
			'/api/health': get('Whether the service is up.', health),
			'/api/plan': post('Work out a shot.', ref('Shot'), ref('Plan'), [ADVICE]),
			'/api/plan/batch': post(
				'Work out up to 200 shots; results in order, each a plan or its errors.',
				batch,
				results
			),
			'/api/odds': post(
				'How many frames of a plan are keepers, and what spoils the others.',
				ref('OddsRequest'),
				ref('Odds')
			),
			'/api/schema/shot': get('The shot file as JSON Schema.', { type: 'object' }),
			'/api/schema/plan': get('The plan as JSON Schema.', { type: 'object' }),
			'/api/openapi.json': get('This description.', { type: 'object' })
		},
		components: {
			schemas: {
				Shot: shotJsonSchema(),
				Plan: planJsonSchema(),
				OddsRequest: oddsRequestJsonSchema(),
				Odds: oddsJsonSchema(),
				Error: ERROR
			}
		}
	};
}
