import { expect, test } from './support/app';

/** What cannot be worked out says so where its answer would stand, and can be tried again. */

for (const [worker, open, what] of [
	['advice', /The bandleader/, 'where to stand'],
	['odds', /The couple/, 'the odds']
] as const) {
	test(`when the worker for ${worker} cannot be loaded`, async ({ app, page, complaints }) => {
		const script = `**/workers/${worker}.worker-*.js`;
		await page.route(script, (route) => route.abort());
		await app.openSample(open);
		if (worker === 'advice') await page.getByRole('button', { name: 'where to stand' }).click();
		else await app.verdict.getByRole('button', { name: 'why' }).click();
		const alert = page.getByRole('alert').filter({ hasText: `There is no answer for ${what}` });
		await expect(alert).toBeVisible();
		// everything else goes on
		await expect(app.headline).toContainText(/Focus on/);

		await page.unroute(script);
		await alert.getByRole('button', { name: 'Try again' }).click();
		await expect(alert).toBeHidden();
		// the browser complains of what was withheld
		expect(complaints.filter((one) => !one.includes('ERR_FAILED'))).toEqual([]);
		complaints.length = 0;
	});
}
