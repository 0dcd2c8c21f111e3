import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import type { TestInfo } from '@playwright/test';
import { BODIES, LENSES } from '$data/kit';
import { expect, test, type Lab } from './support/lab';
import type { Roll } from './support/practiceLab';
import { ahead, shotInput, type Sketch } from './support/shots';

/** Files of the practice camera, as another program reads them. */

const read = async (lab: Lab, sketch: Sketch, roll: Roll, into: TestInfo) => {
	const path = into.outputPath('frame.jpg');
	writeFileSync(path, Buffer.from(await lab.call('file', shotInput(sketch), roll, 0), 'base64'));
	const args = ['-j', '-n', '-a', '-validate', '-warning', '-all', path];
	const [tags] = JSON.parse(execFileSync('exiftool', args, { encoding: 'utf8' })) as [
		Record<string, unknown>
	];
	return tags;
};
const sketch: Sketch = {
	people: [ahead('one', 2.5)],
	lens: LENSES.portrait85,
	focalMm: 85,
	light: { mode: 'ambient', ev100: 6 },
	choices: { fNumberExact: 2 ** 1.5 }
};
// EV 6 at f/2.8 and ISO 800 asks for 1/64 (APEX): a stop and a third more light than 1/160 lets in
const roll = { longSidePx: 600, seed: 1, frames: 1, own: { shutterS: 1 / 160, iso: 800 } };

test('files are read by another program without a warning', async ({ lab }, info) => {
	const tags = await read(lab, sketch, roll, info);
	expect(tags['Validate']).toBe('0 0 0');
	expect(tags['Warning']).toBeUndefined();
	expect(tags).toMatchObject({
		Make: 'Focalis practice camera',
		Model: BODIES.fullFrame24.name,
		LensModel: LENSES.portrait85.name,
		FocalLength: 85,
		FocalLengthIn35mmFormat: 85,
		FNumber: 2.8,
		ExposureTime: 1 / 160,
		ISO: 800,
		ExposureProgram: 1,
		MeteringMode: 5,
		Flash: 16,
		Orientation: 1,
		ExifImageWidth: 600,
		ExifImageHeight: 400,
		ImageWidth: 600,
		DateTimeOriginal: '2026:05:01 15:30:00',
		OffsetTimeOriginal: '+02:00'
	});
	expect(Number(tags['SubjectDistance'])).toBeCloseTo(2.5, 0);
	// 600 px on 36 mm: px per cm
	expect(tags['FocalPlaneXResolution']).toBeCloseTo(600 / 3.6, 2);
	expect(Object.keys(tags).filter((tag) => /serial|owner|gps/i.test(tag))).toEqual([]);
});

test('files tell whether the shutter followed the light', async ({ lab }, info) => {
	const planned = await read(lab, sketch, { ...roll, own: {} }, info);
	expect(planned).toMatchObject({ ExposureProgram: 3, FNumber: 2.8 });
});

test('an upright frame lies as the sensor does, and says so; a flash has fired', async ({
	lab
}, info) => {
	const upright: Sketch = {
		...sketch,
		camera: { orientation: 'portrait' },
		light: {
			mode: 'flash',
			guideNumberM: 40,
			distanceM: 2.5,
			ambientEv100: 0,
			leastPower: 1 / 128
		}
	};
	const tags = await read(lab, upright, { ...roll, own: {} }, info);
	expect(tags['Validate']).toBe('0 0 0');
	expect(tags).toMatchObject({
		Orientation: 8,
		ImageWidth: 600,
		ImageHeight: 400,
		Flash: 9,
		ExposureProgram: 1
	});
});
