import { json } from '@sveltejs/kit';
import type { Problem } from '$core/format/problems';

/** What every route shares: errors of one shape. */

export interface ApiError {
	readonly code: string;
	readonly message: string;
	readonly issues: readonly Problem[];
}

/** The body of an error answer. */
export const errorBody = (
	code: string,
	message: string,
	issues: readonly Problem[] = []
): { error: ApiError } => ({ error: { code, message, issues } });

/** An error answer. */
export function errorAnswer(
	status: number,
	code: string,
	message: string,
	issues: readonly Problem[] = [],
	headers: Record<string, string> = {}
): Response {
	return json(errorBody(code, message, issues), { status, headers });
}

/** For every method a route does not have. */
export function onlyMethod(method: 'GET' | 'POST') {
	const allow = method === 'GET' ? 'GET, HEAD' : method;
	return () =>
		errorAnswer(405, 'wrong-method', `This address answers to ${method} only.`, [], { allow });
}
