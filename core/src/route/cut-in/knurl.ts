import { usualFeedMmPerRev } from '../../cutting/index.ts';
import { onTailCentre } from '../../hold/index.ts';
import { type CutIn, cutInto, knurlStart, type Outside, type Part } from '../../part/index.ts';
import type { Problem } from '../../quantity/index.ts';
import { type KnurlTool, type Tool, toolsOf } from '../../tool/index.ts';
import { handSetting } from '../hand-setting.ts';
import { bare } from '../operation/kind.ts';
import type { KnurlOperation } from '../operation/knurl.ts';
import type { PlansCutIn } from './kind.ts';

type Knurl = Extract<CutIn, { kind: 'knurl' }>;

/** A pitch may differ by so much and still be the drawn one: sizes of wheels come in tenths. */
const PITCH_MM = 0.06;
const FEED = 0.3;
/** Setting the wheels square, pressing them in and trying; a way out and back over the length. Minutes and passes */
const SET_MIN = 4;
const WAYS = 2;
/** Wheels push hard: beyond so many diameters out of the jaws the tail carries the work. Practice */
const FREE_DIAMETERS = 2;

const wheelsFor = (tools: readonly Tool[], { pattern, pitchMm }: Knurl): KnurlTool | undefined =>
  toolsOf(tools, 'knurling')
    .filter((t) => (t.pattern === 'straight') === (pattern === 'straight'))
    .filter((t) => Math.abs(t.pitchMm - pitchMm) <= PITCH_MM)
    .toSorted((a, b) => Math.abs(a.pitchMm - pitchMm) - Math.abs(b.pitchMm - pitchMm))[0];

const lacks = ({ pitchMm, pattern }: Knurl): Problem => ({
  ...{ code: 'route.lacks.knurl', path: ['tools'], value: pitchMm, limit: pattern === 'straight' ? 1 : 2 },
  severity: 'warning',
});

/** So near to both ends a knurl goes over all of its length, mm; what is turned before is held to this, mm. */
const ENDS_MM = 2;
const BEFORE_MM = 0.05;

/**
 * A length as it is turned before it is knurled all over: a whole number of teeth, which grow to what is drawn. Any other as it is.
 * @param tools the wheels that there are
 */
export function beforeKnurl(part: Part, f: Outside, tools: readonly Tool[]): Outside {
  const made = cutInto(part, f.id).find((d): d is Knurl => d.kind === 'knurl');
  const wheels = made && wheelsFor(tools, made);
  if (!made || !wheels || made.zFromMm > f.zFromMm + ENDS_MM || made.zToMm < f.zToMm - ENDS_MM) return f;
  const { diameterMm } = knurlStart(f.diameterMm, wheels.pitchMm, made.pattern);
  const limits = { ...f.limits, lowerMm: diameterMm - BEFORE_MM, upperMm: diameterMm + BEFORE_MM };
  return { ...f, diameterMm, leftMm: diameterMm, rightMm: diameterMm, limits };
}

/** Plans a knurl over a length or a part of it: wheels of its pattern and pitch, on a whole number of teeth. */
export const planKnurl: PlansCutIn<Knurl> = (context, made, on, recorderFor) => {
  const tool = wheelsFor(context.means.tools, made);
  if (!tool) return { why: 'noTool', problem: lacks(made) };
  const { material } = context.means;
  const { held } = context;
  const { zFromMm, zToMm, pattern } = made;
  const id = `${made.id}-knurl`;
  const record = recorderFor(id);
  // by the wheels that there are
  const start = knurlStart(on.diameterMm, tool.pitchMm, pattern);
  const feed = usualFeedMmPerRev('knurling', 'finish', on.diameterMm, material) ?? FEED;
  const setting = handSetting(context, on.diameterMm, 'knurling', tool, feed, record);
  if (!setting) return { why: 'noTool' };
  record?.({
    code: 'route.knurlStart',
    values: { drawnMm: on.diameterMm, pitchMm: tool.pitchMm, ...start },
  });
  const minutes = SET_MIN + (WAYS * (zToMm - zFromMm)) / (feed * setting.rpm);
  const beganMm =
    on.side === 'outside' ? beforeKnurl(context.piece.part, on, context.means.tools).diameterMm : on.diameterMm;
  const out = (zToMm - held.jawsMm) / on.diameterMm;
  const operation: KnurlOperation = {
    ...{ ...bare, id, kind: 'knurl', featureId: on.id, knurlId: made.id, zFromMm, zToMm, toolId: tool.id, setting },
    ...{ minutes, pattern, pitchMm: tool.pitchMm, startMm: start.diameterMm, toothCount: start.count },
    ...{ growsMm: start.growsMm, wheelMm: tool.widthMm, fromDiameterMm: beganMm, caution: 'knurlWet' },
    ...(out > FREE_DIAMETERS && !onTailCentre(held.method) ? { standsOut: Number(out.toFixed(1)) } : {}),
  };
  return { operations: [operation] };
};
