import { whereStands } from '$core/arrange/rows';
import type { Advice } from '$core/advice/advice';
import type { PlanFile } from '$core/format/plan';
import type { Solution } from '$core/study/plan';
import { adviceWords } from './advice';
import { cautionText } from './cautions';
import { reasonText } from './reasons';
import { whereWords } from './rows';

/** Lengths in files and answers are told in metres. */
const UNITS = 'm';

/** A plan as it is written and answered: with words for everything that has any. */
export function toldPlan({ plan, study }: Solution, advice?: readonly Advice[]): PlanFile {
	const { shot, scene } = study;
	const { focus } = plan;
	return {
		...plan,
		focus: focus && {
			...focus,
			where: focus.personId ? whereWords(whereStands(scene.rows, focus.personId)) : ''
		},
		reasons: plan.reasons.map((one) => ({ ...one, text: reasonText(one, shot, UNITS) })),
		cautions: plan.cautions.map((one) => ({ ...one, text: cautionText(one) })),
		...(advice
			? {
					advice: advice.map(({ data }) => ({ ...data, text: adviceWords(data, shot, UNITS).text }))
				}
			: {})
	};
}
