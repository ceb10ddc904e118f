export { type Chance, chanceOf } from './chance.ts';
export { FINDING_CODES, type Finding, type FindingCode } from './finding.ts';
export { type Moment, momentOf } from './moment.ts';
export { type Gauge, PretendedLathe, type Screw, type World } from './pretended-lathe.ts';
export { type Frame, type Simulated, type Simulates, simulate } from './simulate.ts';
