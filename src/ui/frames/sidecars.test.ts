import { describe, expect, it } from 'vitest';
import { chosenFile } from '$tests/support/chosen';
import { ChosenSidecars, sidecarOf, sidecarPaths } from './sidecars';

const frame = (path: string) => ({ name: path.split('/').at(-1) ?? '', file: chosenFile(path) });

it.each([
	['IMG_1.xmp', 'img_1'],
	['IMG_1.JPG.xmp', 'img_1'],
	['img_1.jpeg', 'img_1'],
	['img_1.dng', 'img_1']
])('%s belongs to %s', (name, to) => expect(sidecarOf(name)).toBe(to));

describe('sidecars that were chosen along', () => {
	const among = (...paths: string[]) => {
		const sidecars = new ChosenSidecars();
		const files = paths.map((path) => chosenFile(path));
		for (const file of files) sidecars.add(file);
		return { sidecars, files };
	};

	it.each(['a.xmp', 'a.r0w.xmp'])('belong to raw files, whatever their ending: %s', (name) => {
		const { sidecars, files } = among(name, 'b.xmp');
		expect(sidecars.of(frame('a.r0w'))).toBe(files[0]);
		expect(sidecars.of(frame('c.r0w'))).toBeNull();
	});

	it('belong to the frame of their folder: two cameras name frames alike', () => {
		const { sidecars, files } = among('day/one/a.xmp', 'day/two/a.xmp');
		expect(sidecars.of(frame('day/one/a.jpg'))).toBe(files[0]);
		expect(sidecars.of(frame('day/two/a.jpg'))).toBe(files[1]);
		expect(sidecars.of(frame('day/three/a.jpg'))).toBeNull();
		expect(sidecars.of(frame('a.jpg'))).toBe('unsure');
	});

	it('belong to the only frame of their name where no folder is known', () => {
		const { sidecars, files } = among('a.xmp');
		expect(sidecars.of(frame('A.JPG'))).toBe(files[0]);
		expect(sidecars.of(frame('day/one/a.jpg'))).toBe(files[0]);
		expect(sidecars.of({ name: 'a.jpg', file: null })).toBe(files[0]);
		expect(sidecars.of(frame('b.jpg'))).toBeNull();
	});

	it('are told apart by the whole name, and taken once however often they are chosen', () => {
		const { sidecars, files } = among('a.jpg.xmp', 'a.dng.xmp', 'b.xmp', 'b.xmp');
		expect(sidecars.of(frame('a.jpg'))).toBe(files[0]);
		expect(sidecars.of(frame('a.dng'))).toBe(files[1]);
		expect(sidecars.of(frame('b.jpg'))).toBe(files[3]);
	});
});

describe('where sidecars lie', () => {
	const paths = (...of: string[]) => {
		const frames = of.map(frame);
		const pathOf = sidecarPaths(frames);
		return frames.map((one) => pathOf(one, null));
	};

	it('beside each other for one folder, in their folders for several', () => {
		expect(paths('day/one/a.jpg', 'day/one/b.jpg')).toEqual(['a.xmp', 'b.xmp']);
		expect(paths('a.jpg', 'b.jpg')).toEqual(['a.xmp', 'b.xmp']);
		expect(paths('day/one/a.jpg', 'day/two/a.jpg')).toEqual(['one/a.xmp', 'two/a.xmp']);
		expect(paths('day/a.jpg', 'day/two/a.jpg')).toEqual(['a.xmp', 'two/a.xmp']);
		expect(paths('one/a.jpg', 'two/a.jpg')).toEqual(['one/a.xmp', 'two/a.xmp']);
	});

	it('have the whole name where a picture lies beside its raw file', () => {
		expect(paths('a.jpg', 'a.dng', 'b.jpg')).toEqual(['a.jpg.xmp', 'a.dng.xmp', 'b.xmp']);
	});

	it('keep the name that they have', () => {
		const one = frame('day/a.jpg');
		expect(sidecarPaths([one])(one, chosenFile('day/A.JPG.xmp'))).toBe('A.JPG.xmp');
	});
});
