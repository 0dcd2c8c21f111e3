import { readBatch } from '$core/format/batch';
import { readOddsRequest } from '$core/format/odds';
import { oddsFor, planFor } from './planning';
import { errorBody } from './respond';

/** What is asked of the service: the bytes of a body, and what is to be made of it. */
export interface Asked {
	readonly kind: 'plan' | 'plan-with-advice' | 'batch' | 'odds';
	readonly bytes: Uint8Array;
}

/** What is answered: a status, and a body in JSON. */
export interface Answered {
	readonly status: number;
	readonly body: string;
}

const answered = (status: number, body: object): Answered => ({
	status,
	body: JSON.stringify(body)
});

/** Works an answer out, from the bytes on: nothing of it is done where others are kept waiting. */
export function answerTo({ kind, bytes }: Asked): Answered {
	let value: unknown;
	try {
		value = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes));
	} catch {
		const message = 'This is not valid JSON in UTF-8: it may be cut off or damaged.';
		return answered(400, errorBody('not-json', message));
	}
	switch (kind) {
		case 'plan':
		case 'plan-with-advice': {
			const result = planFor(value, kind === 'plan-with-advice');
			return answered('error' in result ? 422 : 200, result);
		}
		case 'batch': {
			const batch = readBatch(value);
			if (!batch.ok) {
				const message = 'Something in this batch is not right.';
				return answered(422, errorBody('invalid', message, batch.problems));
			}
			return answered(200, { results: batch.shots.map((shot) => planFor(shot, false)) });
		}
		case 'odds': {
			const asked = readOddsRequest(value);
			if (!asked.ok) {
				const message = 'Something in this request is not right.';
				return answered(422, errorBody('invalid', message, asked.problems));
			}
			const result = oddsFor(asked.request);
			return answered('error' in result ? 422 : 200, result);
		}
	}
}
