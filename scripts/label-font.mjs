// Unpacks the fonts of prints from the font package into static/fonts (WOFF is a zipped TrueType) and writes the
// advance of every character into data/, so that core can measure text without a browser.
// Run by hand when the font package changes: node scripts/label-font.mjs
import { readFileSync, writeFileSync, mkdirSync } from 'node:fs';
import { inflateSync } from 'node:zlib';

function unpack(weight, ttf, json) {
	const source = `node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`;
	const woff = readFileSync(source);
	const count = woff.readUInt16BE(12);
	const tables = [];
	for (let i = 0; i < count; i++) {
		const at = 44 + i * 20;
		const [offset, packed, size] = [4, 8, 12].map((k) => woff.readUInt32BE(at + k));
		const raw = woff.subarray(offset, offset + packed);
		tables.push({
			tag: woff.toString('latin1', at, at + 4),
			sum: woff.readUInt32BE(at + 16),
			data: packed < size ? inflateSync(raw) : raw
		});
	}
	const power = Math.floor(Math.log2(count));
	const head = Buffer.alloc(12 + 16 * count);
	head.writeUInt32BE(woff.readUInt32BE(4), 0);
	head.writeUInt16BE(count, 4);
	head.writeUInt16BE(16 * 2 ** power, 6);
	head.writeUInt16BE(power, 8);
	head.writeUInt16BE(16 * count - 16 * 2 ** power, 10);
	let offset = head.length;
	const bodies = tables.map(({ tag, sum, data }, i) => {
		const at = 12 + i * 16;
		head.write(tag, at, 'latin1');
		head.writeUInt32BE(sum, at + 4);
		head.writeUInt32BE(offset, at + 8);
		head.writeUInt32BE(data.length, at + 12);
		const padded = Buffer.concat([data, Buffer.alloc((4 - (data.length % 4)) % 4)]);
		offset += padded.length;
		return padded;
	});
	mkdirSync('static/fonts', { recursive: true });
	writeFileSync(ttf, Buffer.concat([head, ...bodies]));

	const table = (tag) => tables.find((t) => t.tag === tag).data;
	const unitsPerEm = table('head').readUInt16BE(18);
	const metrics = table('hhea').readUInt16BE(34);
	const advanceOf = (glyph) => table('hmtx').readUInt16BE(4 * Math.min(glyph, metrics - 1));
	const cmap = table('cmap');
	const advances = {};
	for (let i = 0, n = cmap.readUInt16BE(2); i < n; i++) {
		const sub = cmap.subarray(cmap.readUInt32BE(4 + i * 8 + 4));
		if (sub.readUInt16BE(0) !== 4) continue;
		const segments = sub.readUInt16BE(6) / 2;
		for (let s = 0; s < segments; s++) {
			const end = sub.readUInt16BE(14 + 2 * s);
			const start = sub.readUInt16BE(16 + 2 * segments + 2 * s);
			const delta = sub.readInt16BE(16 + 4 * segments + 2 * s);
			const rangeAt = 16 + 6 * segments + 2 * s;
			const range = sub.readUInt16BE(rangeAt);
			for (let code = start; code <= end && code < 0xffff; code++) {
				const glyph = range
					? sub.readUInt16BE(rangeAt + range + 2 * (code - start))
					: (code + delta) & 0xffff;
				if (glyph) advances[String.fromCodePoint(code)] = advanceOf(glyph);
			}
		}
	}
	writeFileSync(
		json,
		JSON.stringify({
			family: 'Atkinson Hyperlegible Next',
			weight,
			unitsPerEm,
			capHeight: table('OS/2').readInt16BE(88),
			advances
		})
	);
}

unpack(700, 'static/fonts/label-bold.ttf', 'data/label-font.json');
unpack(400, 'static/fonts/label-plain.ttf', 'data/plain-font.json');
