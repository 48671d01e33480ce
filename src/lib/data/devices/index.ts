export { PATIENCE_MS } from './ask';
export { hasCamera, nativeReader, openCamera, type FrameReader } from './camera';
export { standInMeter } from './distance-meter';
export { standInThermometer } from './thermometer';
export { standInDirectory, standInScanner } from './scanner';
