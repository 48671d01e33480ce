/** Plurals and spellings that no rule below gives; both sides of a comparison go through the same table. */
const IRREGULAR: Readonly<Record<string, string>> = {
	knives: 'knife',
	loaves: 'loaf',
	leaves: 'leaf',
	halves: 'half',
	shelves: 'shelf',
	scarves: 'scarf',
	mice: 'mouse',
	geese: 'goose',
	teeth: 'tooth',
	shoes: 'shoe',
	hoes: 'hoe',
	lenses: 'lens',
	quiches: 'quiche',
	brioches: 'brioche',
	menus: 'menu',
	chili: 'chilli',
	chilies: 'chilli',
	chillies: 'chilli',
	chile: 'chilli',
	chiles: 'chilli',
	yogurt: 'yoghurt',
	yogurts: 'yoghurt',
	yoghourt: 'yoghurt',
	color: 'colour',
	colors: 'colour',
	coloring: 'colouring',
	colored: 'coloured',
	flavor: 'flavour',
	flavors: 'flavour',
	flavored: 'flavoured',
	flavoring: 'flavouring',
	gray: 'grey',
	aluminum: 'aluminium',
	fiber: 'fibre',
	microfiber: 'microfibre',
	mold: 'mould',
	molds: 'mould',
	donut: 'doughnut',
	donuts: 'doughnut',
	omelet: 'omelette',
	jewelry: 'jewellery',
	pajamas: 'pyjama',
	whiskey: 'whisky',
	tire: 'tyre',
	sulfur: 'sulphur',
	sulfuric: 'sulphuric',
	sulfate: 'sulphate',
	diarrhea: 'diarrhoea',
	catsup: 'ketchup',
	houmous: 'hummus',
	humus: 'hummus',
	fertilizer: 'fertiliser',
	fertilizers: 'fertiliser',
	sanitizer: 'sanitiser',
	sterilizer: 'steriliser',
	sterilizing: 'sterilising',
	moisturizer: 'moisturiser',
	deodorizer: 'deodoriser',
	tenderizer: 'tenderiser',
	spiralizer: 'spiraliser',
	organizer: 'organiser',
	organizers: 'organiser',
	center: 'centre',
	choc: 'chocolate',
	choccy: 'chocolate',
	veg: 'vegetable',
	veggies: 'vegetable',
	marg: 'margarine',
	spag: 'spaghetti',
	toms: 'tomato',
	spuds: 'potato',
	lollies: 'lolly',
	brolly: 'umbrella',
	makeup: 'make-up'
};

const stem = (word: string): string =>
	(
		IRREGULAR[word] ??
		word
			.replace(/ies$/, 'y')
			.replace(/(?<=ss|x|zz|ch|sh|o)es$|(?<![su])s$/, '')
			.replace(/(?<=[a-z]{2})us$/, 'us')
	).replace(/(?<=[a-z])ie$/, 'y');

/**
 * Splits a name into its words, in lower case and in the singular, with one spelling for what is spelt in several
 * ways; accents and what follows an apostrophe go.
 * @example wordStems('Cherry Tomatoes') // ['cherry', 'tomato']
 */
export const wordStems = (text: string): string[] =>
	text
		.toLowerCase()
		.normalize('NFD')
		.replace(/\p{M}/gu, '')
		.replace(/(?<=\p{L})['’]s\b/gu, 's')
		.replace(/['’]/g, '')
		.split(/[^\p{L}-]+/u)
		.map((word) => word.replace(/^-+|-+$/g, ''))
		.filter(Boolean)
		.map(stem);
