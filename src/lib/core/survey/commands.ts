import { idsFrom, withStem } from '../model';
import { addTemplate, addUsualRoom } from './templates';
import { acceptHidden } from './accept-hidden';
import { fitCatch, fitLock, raiseShelf } from './raise-shelf';
import { changeCabinet, changeNook, changeRoom, nameRun, nameStation } from './changes';
import {
	addCabinet,
	addObstruction,
	addRoom,
	changeObstruction,
	placeStation,
	removeCabinet,
	removeObstruction,
	setInside,
	setOpening
} from './edits';
import { bringPlaces } from './bring-places';
import {
	addPerson,
	addPet,
	addUsualPerson,
	changePerson,
	changePet,
	removePerson,
	removePet
} from './household';
import { PLAN_MOVES } from './plan-drag';
import {
	addCorner,
	addObstacle,
	addRun,
	removeCorner,
	removeObstacle,
	removeRoom,
	removeRun,
	removeStation,
	resizeRoom
} from './plan-edits';
import { addDoor, removeDoor, setDoorWidth, setWallLength } from './plan-items';
import { confirmSizes, copyMeasures, sameSize, takeSides } from './measure';
import { takePictured } from './picture-size';
import { setReadings, takeReading } from './readings';
import { addShelf, divideNook, duplicateCabinet, levelShelves, removeNook } from './shape-edits';
import { addSocket, removeSocket } from './sockets';

/** Every change that the survey makes to a home. */
export const SURVEY_COMMANDS = {
	...PLAN_MOVES,
	acceptHidden: withStem(acceptHidden, idsFrom),
	addCabinet: withStem(addCabinet, idsFrom),
	addCorner,
	addDoor,
	addObstacle,
	addObstruction,
	addPerson,
	addPet,
	addRoom,
	addRun,
	addShelf: withStem(addShelf, idsFrom),
	addUsualPerson,
	addTemplate: withStem(addTemplate, idsFrom),
	addUsualRoom: withStem(addUsualRoom, idsFrom),
	addSocket,
	bringPlaces: withStem(bringPlaces, idsFrom),
	changeCabinet,
	fitCatch,
	fitLock,
	raiseShelf,
	changeNook,
	changeObstruction,
	changePerson,
	changePet,
	changeRoom,
	confirmSizes,
	copyMeasures,
	divideNook: withStem(divideNook, idsFrom),
	duplicateCabinet: withStem(duplicateCabinet, idsFrom),
	levelShelves,
	nameRun,
	nameStation,
	placeStation: withStem(placeStation, idsFrom),
	removeCabinet,
	removeCorner,
	removeDoor,
	removeNook,
	removeObstacle,
	removeObstruction,
	removePerson,
	removePet,
	removeRoom,
	removeRun,
	removeSocket,
	removeStation,
	resizeRoom,
	sameSize,
	setDoorWidth,
	setInside,
	setOpening,
	setReadings,
	setWallLength,
	takePictured,
	takeReading,
	takeSides
} as const;
