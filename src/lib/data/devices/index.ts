export { PATIENCE_MS } from './ask';
export { standInMeter } from './distance-meter';
export { standInDirectory, standInScanner } from './scanner';
