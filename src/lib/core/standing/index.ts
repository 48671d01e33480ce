export { goodsOf, massOf, NEVER, piecesOf, volumeOf, type Good } from './goods';
export { pileOf, stacksByTwo } from './pile';
export { clearIn, clearOf, roomOf, type Clear, type NookRoom, type Packing } from './room';
export {
	DAILY,
	standFree,
	waysFree,
	type Lane,
	type StandsFree,
	type TooLarge
} from './stand-free';
export { goesIn, type GoesIn } from './goes-in';
export { freeFrontMm, frontTaken, type FrontTaken } from './floor-taken';
export { liftOf } from './lift';
export { shortfall } from './stand-free';
