import { readFileSync } from 'node:fs';
import { fuzzRequests } from '../bench/mutate';

/** Makes home files that something is wrong with: the homes of odd requests, and files that are cut or of odd layouts. */
export function fuzzFiles(count: number): { name: string; text: string }[] {
	const path = new URL('../src/lib/core/interchange/fixtures/v6.keepnook.json', import.meta.url);
	const good = readFileSync(path, 'utf8');
	const home = JSON.parse(good).home as Record<string, Record<string, { id: string }>>;
	const linked = (from: string, to: string) => good.replaceAll(`"${from}"`, `"${to}"`);
	const lot = Object.values(home.lots!)[0] as unknown as { thingId: string; nookId: string };
	const special = [
		good.slice(0, good.length / 2),
		good.replace('"version":6', '"version":0'),
		good.replace('"version":6', '"version":-3'),
		good.replace('"version":6', '"version":99'),
		'{"format":"keepnook-home","version":2,"home":null}',
		'{"format":"keepnook-home","version":6,"home":{}}',
		linked(lot.thingId, 'constructor'),
		linked(lot.thingId, '__proto__'),
		good.replace(`"nookId":"${lot.nookId}"`, '"nookId":"toString"'),
		good.replace(`"thingId":"${lot.thingId}"`, '"thingId":"nowhere"'),
		good.replace('"activePlanId":"p1"', '"activePlanId":"gone"'),
		good.replace('"placementId"', '"placement"')
	];
	const more = fuzzRequests(909, 400, [home])
		.map(({ body }) => body)
		.filter((body) => body.length < 200_000)
		.map((body) => `{"format":"keepnook-home","version":6,${body.slice(1)}`)
		.filter((text) => text !== good);
	return [...special, ...more]
		.slice(0, count)
		.map((text, i) => ({ name: `broken-${i + 1}.keepnook.json`, text }));
}
