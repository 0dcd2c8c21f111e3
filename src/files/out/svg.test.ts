import { describe, expect, it } from 'vitest';
import { frameSvg, plain, svgFile } from './svg';

describe('text in a drawing', () => {
	// the five characters that XML 1.0, section 4.6, has names or numbers for
	it.each([
		['<script>', '&lt;script&gt;'],
		['a & "b"', 'a &amp; &quot;b&quot;'],
		["O'Neil", 'O&#39;Neil'],
		['שירה 🎺', 'שירה 🎺'],
		// no XML 1.0 document may hold these, section 2.2
		['a\u0000b\u0008c\uffff', 'abc'],
		['two\nlines', 'two\nlines']
	])('%j is shown as it is and never run', (text, escaped) => {
		expect(plain(text)).toBe(escaped);
	});

	it('is escaped in titles, labels and words', () => {
		const word = { kind: 'text', x: 1, y: 2, size: 10, text: '<b>', fill: '#000000' } as const;
		const file = svgFile(10, 20, [word, { ...word, isBefore: true }], '</title>');
		expect(file).toContain('<title>&lt;/title&gt;</title>');
		expect(file.match(/&lt;b&gt;/g)).toHaveLength(2);
		expect(file.match(/text-anchor="end"/g)).toHaveLength(1);
		const frame = { width: 36, height: 24, shapes: [], ring: null };
		expect(frameSvg(frame, '" onload="')).toContain('aria-label="&quot; onload=&quot;"');
	});
});

describe('the frame in small', () => {
	const frame = { width: 36, height: 24, shapes: [], ring: { x: 3, y: -2, radius: 4 } };

	it('has its middle at zero, and a ring where the face is', () => {
		const svg = frameSvg(frame, 'x');
		expect(svg).toContain('viewBox="-18 -12 36 24"');
		expect(svg.match(/<circle cx="3" cy="-2" r="4"/g)).toHaveLength(2);
	});

	it('is the picture itself where there is one, the ring still over it', () => {
		const shapes = [{ kind: 'rect', x: 0, y: 0, width: 1, height: 1, fill: '#123456' }] as const;
		const svg = frameSvg({ ...frame, shapes, picture: 'AAAA' }, 'x');
		expect(svg).toContain(
			'<image x="-18" y="-12" width="36" height="24" href="data:image/jpeg;base64,AAAA"/>'
		);
		expect(svg).not.toContain('#123456');
		expect(svg.match(/<circle/g)).toHaveLength(2);
	});

	it('has no ring when there is nothing to focus on', () => {
		expect(frameSvg({ ...frame, ring: null }, 'x')).not.toContain('<circle');
	});
});
