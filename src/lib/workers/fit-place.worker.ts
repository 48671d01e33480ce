import { fitPlaceHandler } from './fit-place.protocol';
import { serveHelp } from './helper';

serveHelp(fitPlaceHandler());
