import { areaMm2, cutAway, ring, unite } from '../src/contour/index.ts';
import { median, row } from './measure.ts';

/** A half-section of 300 mm cut 500 times one after another, each cut a neck of its own, so that the outline grows with them. */
const bar = unite(ring(0, 300, 0, 40), ring(300, 320, 0, 20));
const cuts = Array.from({ length: 500 }, (_, i) => ring(i * 0.6, i * 0.6 + 0.3, 39.5 - (i % 70) * 0.3, 50));
const seconds =
  median(3, () => {
    let left = bar;
    for (const cut of cuts) left = cutAway(left, cut);
    return areaMm2(left);
  }) / 1000;
row('contour of 500 cuts one after another', `${seconds.toFixed(2)} s`, 'target < 1 s');
