export { type Chance, chanceOf } from './chance.ts';
export { type Gauge, PretendedLathe, type Screw, type World } from './pretended-lathe.ts';
