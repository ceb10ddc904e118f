import { type CutSetup, cuttingSpeedMPerMin, edgeLifeMin, LIFE_RANGE_MIN } from '@whelk/core/cutting';
import { CartesianGrid, Line, LineChart, ReferenceDot, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';

interface Props {
  readonly setup: CutSetup;
  readonly depthMm: number;
  readonly feedMm: number;
  readonly rpm: number;
}

const inside = (minutes: number | undefined): boolean =>
  minutes !== undefined && minutes > LIFE_RANGE_MIN.shortest && minutes < LIFE_RANGE_MIN.longest;
const told = (minutes: number): string =>
  minutes >= LIFE_RANGE_MIN.longest
    ? `more than ${LIFE_RANGE_MIN.longest} min`
    : minutes <= LIFE_RANGE_MIN.shortest
      ? 'no time worth speaking of'
      : `about ${minutes} min`;

/** How long the edge lasts at each speed that the lathe has: what one step of the lever buys. */
export default function EdgeLife({ setup, depthMm, feedMm, rpm }: Props) {
  const reference = setup.material.speeds[setup.tool.material];
  const lifeAt = (n: number) => edgeLifeMin(reference, feedMm, depthMm, cuttingSpeedMPerMin(n, setup.diameterMm));
  const rpms =
    setup.table.fixed.length > 0
      ? setup.table.fixed.map((s) => s.rpm)
      : [0.5, 0.7, 0.85, 1, 1.2, 1.5].map((x) => Math.round((rpm * x) / 10) * 10);
  const points = rpms
    .map((n) => ({ rpm: n, minutes: Number(lifeAt(n).toPrecision(2)) }))
    // beyond what the equation can say one point on either side is enough
    .filter((p, i, all) => inside(p.minutes) || inside(all[i - 1]?.minutes) || inside(all[i + 1]?.minutes));
  const now = Number(lifeAt(rpm).toPrecision(2));
  const slower = points.findLast((p) => p.rpm < rpm);
  const faster = points.find((p) => p.rpm > rpm);
  return (
    <figure>
      <p className="mb-2">
        At {rpm} rpm an edge lasts <b>{told(now)}</b> of cutting
        {slower && `; one step slower, ${slower.rpm} rpm, ${told(slower.minutes)}`}
        {faster && `; one step faster, ${faster.rpm} rpm, ${told(faster.minutes)}`}.
      </p>
      {points.length > 1 && (
        <div className="h-56">
          <ResponsiveContainer width="100%" height="100%">
            <LineChart data={points} margin={{ top: 8, right: 16, bottom: 20, left: 8 }} accessibilityLayer>
              <CartesianGrid stroke="var(--line)" strokeDasharray="2 3" />
              <XAxis
                dataKey="rpm"
                type="number"
                scale="log"
                domain={['dataMin', 'dataMax']}
                ticks={points.map((p) => p.rpm)}
                tick={{ fill: 'var(--color-base-content)', fontSize: 13 }}
                label={{ value: 'rpm', position: 'insideBottom', offset: -12, fill: 'var(--muted)' }}
              />
              <YAxis
                tick={{ fill: 'var(--color-base-content)', fontSize: 13 }}
                label={{ value: 'min', angle: -90, position: 'insideLeft', fill: 'var(--muted)' }}
                scale="log"
                domain={['dataMin', 'dataMax']}
              />
              <Tooltip
                formatter={(value) => [`${value} min`, 'edge']}
                labelFormatter={(n) => `${n} rpm`}
                contentStyle={{ background: 'var(--color-base-100)', border: '1px solid var(--line)' }}
              />
              <Line
                dataKey="minutes"
                stroke="var(--good)"
                strokeWidth={2.5}
                dot={{ r: 4, fill: 'var(--good)' }}
                isAnimationActive={false}
              />
              {points.some((p) => p.rpm === rpm) && (
                <ReferenceDot x={rpm} y={now} r={7} fill="var(--now)" stroke="var(--color-base-100)" />
              )}
            </LineChart>
          </ResponsiveContainer>
        </div>
      )}
    </figure>
  );
}
