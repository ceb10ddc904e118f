import {
  actOf,
  actsOf,
  adviseStep,
  type EventBody,
  type FrozenRun,
  type RunEvent,
  type RunState,
  replay,
  type Step,
  type StepAdvice,
} from '../run/index.ts';
import { reachOf } from '../work/index.ts';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

/** Makes events in a row, each following the one before, as one device at the lathe does. */
export class AtTheLathe {
  readonly events: RunEvent[] = [];
  readonly run: FrozenRun;
  constructor(run: FrozenRun) {
    this.run = run;
  }
  add(body: EventBody): RunEvent {
    const n = this.events.length + 1;
    const event = {
      ...{ schema: 2, id: uuid(n), runId: uuid(999_999), piece: 1, device: uuid(500), seq: n },
      ...{ parents: n > 1 ? [uuid(n - 1)] : [], at: '2026-01-12T09:00:00.000Z', ...body },
    } as RunEvent;
    this.events.push(event);
    return event;
  }
  get state(): RunState {
    return replay(this.run, this.events);
  }
  get advice(): StepAdvice | undefined {
    return adviseStep(this.run, this.state);
  }
  get step(): Step | undefined {
    return this.advice?.step;
  }
  /** reads a size at the present step */
  read(mm: number | string, more: Partial<Extract<RunEvent, { kind: 'reading' }>> = {}): RunEvent {
    return this.add({
      kind: 'reading',
      stepId: this.step!.id,
      raw: { text: typeof mm === 'string' ? mm : mm.toFixed(3), unit: 'mm' },
      instrumentId: this.run.means.instruments[0]?.id ?? 'unlisted',
      place: 'middle',
      ...more,
    });
  }
  /** reads a cone at all its places: as large at its end towards the tail, and so much steeper than it is wanted */
  readCone(tailMm: number, steeper = 0): void {
    const { step } = this;
    const cone = step?.kind === 'measure' ? step.cone : undefined;
    if (!cone) throw new Error(`no cone at ${step?.id}`);
    const sign = this.run.piece.part.surfaces.find((s) => s.id === step!.featureId)?.side === 'inside' ? -1 : 1;
    for (const stationMm of cone.stationsMm)
      this.read(tailMm + sign * (cone.perLength + steeper) * stationMm, { stationMm, place: `${stationMm}` });
  }
  touch(mm: number, crossNumber = '0.30', endNumber = '5.0'): RunEvent {
    const { step } = this;
    return this.add({
      ...{
        kind: 'touchedOff',
        stepId: step!.id,
        diameter: { text: mm.toFixed(4), unit: 'mm' },
        crossNumber,
        endNumber,
      },
      ...(step?.kind !== 'touchOff' || step.compoundDeg === undefined ? {} : { compoundNumber: '0.50' }),
      approach: 'in',
    });
  }
  /** does the one next act, or the one of that name */
  act(code?: string): RunEvent {
    const acts = actsOf(this.advice!);
    const act = code === undefined ? acts[0] : acts.find((a) => a.code === code);
    if (!act) throw new Error(`no act ${code ?? ''} at ${this.step?.id}, only ${acts.map((a) => a.code).join(', ')}`);
    return this.add(act.body);
  }
  /** does steps until one of that id is the present one; measuring finds what was told */
  to(id: string): this {
    for (let guard = 0; this.step && this.step.id !== id && guard < 400; guard++) {
      const { step, expected, measured } = this.advice!;
      if (step.kind === 'touchOff' && step.inGroove)
        this.add({ kind: 'pickedUp', stepId: step.id, crossNumber: '0.30' });
      else if (step.kind === 'touchOff')
        this.touch(step.targetMm === undefined ? reachOf(this.run.piece).largestMm - 0.4 : expected!.mm);
      else if (actOf(step) === 'measure' && !measured) {
        const { lastCut } = this.state;
        if (step.kind === 'measure' && step.cone) this.readCone(lastCut!.told.comesToMm);
        else this.read(lastCut?.featureId === step.featureId ? lastCut!.told.comesToMm : expected!.mm);
      } else this.act();
    }
    return this;
  }
}
