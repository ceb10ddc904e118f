import { type FourReadings, truingRound } from '../src/hold/index.ts';
import { usualTruing } from '../src/lathe/index.ts';
import { PretendChuck } from '../src/testing/four-jaw.ts';
import { row } from './measure.ts';

/** How many rounds of adjusting pretended chucks want: hands that stop early or late, pairs that move each other, a trembling indicator. */
const RUNS = 1000;
const WANTED_MM = 0.03;

for (const [name, chuck] of Object.entries(usualTruing)) {
  const rounds: number[] = [];
  let worstMm = 0;
  for (let seed = 1; seed <= RUNS; seed++) {
    const piece = new PretendChuck(seed, chuck.sense);
    const readings: FourReadings[] = [piece.read()];
    let next = truingRound(readings, WANTED_MM, chuck);
    while (next.kind === 'move' && readings.length < 12) {
      for (const move of next.moves) piece.turn(move);
      readings.push(piece.read());
      next = truingRound(readings, WANTED_MM, chuck);
    }
    rounds.push(readings.length - 1);
    worstMm = Math.max(worstMm, piece.runoutMm);
  }
  const within = (n: number) => rounds.filter((r) => r <= n).length;
  row(
    `truing ${name} to ${WANTED_MM} from up to 3 mm, ${RUNS} runs`,
    `2 rounds ${((within(2) / RUNS) * 100).toFixed(1)} %, 3 rounds ${((within(3) / RUNS) * 100).toFixed(1)} %, worst left ${worstMm.toFixed(3)} mm`,
    'target 99 % in 3 rounds',
  );
}
