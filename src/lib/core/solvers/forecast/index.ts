export {
	bestLevels,
	forecastThing,
	type ForecastLot,
	type ForecastOptions,
	type ForecastThing,
	type LevelCost,
	type ThingForecast
} from './forecast';
