export { clearsStuds, type GearTrain, gearTrains, offOverMm, type TrainWish } from './gear-trains.ts';
export { type ClosesAgain, closesAgain, type DialWheel, pitchesBetween, pitchesToStart } from './half-nuts.ts';
export { byCompound, equalAreaDepths, stepByCompound } from './infeed.ts';
