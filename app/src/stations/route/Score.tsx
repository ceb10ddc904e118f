import type { Setup } from '@whelk/core/hold';
import type { Job, PlannedSetup } from '@whelk/core/job';
import { insides, outsides } from '@whelk/core/part';
import { stripPicture } from '@whelk/core/picture';
import { kindOf, type Operation, withMove } from '@whelk/core/route';
import type { Recorder } from '@whelk/core/working';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { Fragment, useState } from 'react';
import { operationTitle } from '../../desks/operation/kinds.ts';
import { surfaceText } from '../../messages/waiting.ts';
import { minutes } from '../../ui/format.ts';
import { useWidth } from '../../ui/useWidth.ts';
import { OperationDetail } from './OperationDetail.tsx';
import { brokenIn } from './OrderRules.tsx';
import { leaving, surfaceOfOperation } from './Placed.tsx';
import { Movable, Reordering } from './Reordering.tsx';
import { beginsFolded, isGrouped, type ToolGroup, toolGroups } from './tool-groups.ts';

interface Props {
  readonly jobId: string;
  readonly setup: PlannedSetup;
  readonly job: Job;
  readonly openId: string | undefined;
  readonly onOpen: (id: string) => void;
  readonly nameOf: (featureId: string | undefined) => string;
  readonly tell: (operationId: string) => (record: Recorder) => void;
  /** what the turner orders otherwise in this setup */
  readonly onSetup: (change: (setup: Setup) => Setup) => void;
}

/** The score: each operation a bar over the length it machines, on the work's own Z, downwards in order. */
export function Score(props: Props) {
  const { setup, openId, onOpen, job, nameOf, onSetup } = props;
  const { plan, piece } = setup;
  const { part } = piece;
  const [ref, width] = useWidth<HTMLDivElement>(1240);
  const { unit } = job.drawing;
  const narrow = width < 700;
  const strip = stripPicture(part, {
    width,
    height: 236,
    textSize: 15,
    labels: outsides(part).map((f) => ({ id: f.id, text: f.id })),
    overall: '',
    besides: true,
    held: plan.held,
    metal: piece.contour,
  });
  const x = (z: number) => strip.origin[0] + z * strip.unitsPerMm;
  const holes = new Set(insides(part).map((s) => s.id));
  const isInside = (o: Operation): boolean => holes.has(o.featureId ?? '') || kindOf(o.kind).opens !== undefined;
  const moves = setup.setup.moves ?? [];
  const against = new Set(brokenIn(setup).map((b) => b.other));
  const titleOf = (o: Operation): string =>
    operationTitle(o, { unit, name: nameOf(o.featureId), setupNumber: setup.number });
  const marked = (o: Operation): string => {
    const move = moves.find((m) => m.id === o.id);
    return `${move?.locked ? ' · locked' : move ? ' · moved' : ''}${against.has(o.id) ? ' · ▲ against a rule' : ''}`;
  };
  const count = plan.operations.length;
  const grouped = isGrouped(count);
  const groups = toolGroups(plan.operations);
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const isFolded = (group: ToolGroup): boolean =>
    grouped &&
    !group.operations.some((o) => o.id === openId) &&
    (beginsFolded(count) && group.operations.length > 1) !== turned.has(group.key);
  const fold = ({ key }: ToolGroup) => {
    const next = new Set(turned);
    if (!next.delete(key)) next.add(key);
    setTurned(next);
  };
  const toolName = (toolId: string | undefined): string =>
    setup.means.tools.find((t) => t.id === toolId)?.name ?? 'Before the first tool';
  const row = (o: Operation) => {
    const open = o.id === openId;
    return (
      <Movable
        key={o.id}
        id={o.id}
        title={titleOf(o)}
        open={open}
        className={`border-t border-[var(--line)] ${open ? 'score-open' : ''}`}
      >
        <button
          type="button"
          className="relative block w-full cursor-pointer text-left"
          aria-expanded={open}
          data-operation={o.id}
          onClick={() => onOpen(o.id)}
        >
          <ScoreRow
            operation={o}
            number={plan.operations.indexOf(o) + 1}
            width={width}
            narrow={narrow}
            from={x(o.zFromMm)}
            to={x(o.zToMm)}
            open={open}
            title={`${titleOf(o)}${marked(o)}`}
            unit={unit}
            inside={isInside(o)}
            marks={outsides(part).map((f) => x(f.zFromMm))}
          />
        </button>
        {open && <OperationDetail {...props} operation={o} />}
      </Movable>
    );
  };
  return (
    <div ref={ref}>
      <Reordering
        {...{ plan, part, titleOf }}
        laterText={(o) => {
          const surface = surfaceOfOperation(setup, o);
          return surface && `Let it go here: ${surfaceText(surface, part, nameOf)} is left for a later holding`;
        }}
        onLater={(o) => {
          const surface = surfaceOfOperation(setup, o);
          if (surface) onSetup(leaving(surface));
        }}
        onMove={(move) => onSetup((s) => ({ ...s, moves: [...withMove(s.moves ?? [], move)] }))}
      >
        <ol aria-label="Operations in order">
          {groups.map((group) => {
            const folded = isFolded(group);
            return (
              <Fragment key={group.key}>
                {grouped && group.operations.length > 1 && (
                  <GroupHead group={group} folded={folded} name={toolName(group.toolId)} onFold={() => fold(group)} />
                )}
                {!folded && group.operations.map(row)}
              </Fragment>
            );
          })}
        </ol>
      </Reordering>
    </div>
  );
}

/** One tool in the post, and what is done with it; folded, what it does stays told. */
function GroupHead({
  group,
  folded,
  name,
  onFold,
}: {
  readonly group: ToolGroup;
  readonly folded: boolean;
  readonly name: string;
  readonly onFold: () => void;
}) {
  const count = group.operations.length;
  const Chevron = folded ? ChevronRight : ChevronDown;
  return (
    <li className="score-group">
      <button
        type="button"
        className="flex w-full cursor-pointer items-center gap-2 py-1 pl-2 pr-[18px] text-left text-sm"
        aria-expanded={!folded}
        data-group={group.key}
        onClick={onFold}
      >
        <Chevron size={16} aria-hidden="true" />
        <b>{name}</b>
        <span className="muted grow">
          {count} {count === 1 ? 'operation' : 'operations'}
        </span>
        <span className="muted">{minutes(group.minutes)}</span>
      </button>
    </li>
  );
}

interface RowProps {
  /** in a hole: drawn below the axis */
  readonly inside: boolean;
  readonly operation: Operation;
  readonly number: number;
  readonly width: number;
  readonly narrow: boolean;
  readonly from: number;
  readonly to: number;
  readonly open: boolean;
  readonly title: string;
  readonly unit: 'mm' | 'in';
  readonly marks: readonly number[];
}
const RIGHT = 330;
/** Room of the minutes at the right of a row, and of a letter of its setting. */
const MINUTES_WIDE = 64;
const SETTING_LETTER = 6.9;
const cropped = (text: string, letters: number): string =>
  text.length <= letters ? text : `${text.slice(0, letters - 1).trimEnd()}…`;

/** One row: bar where it cuts, title inside the bar where it fits, else beside it; setting and minutes at the right. */
function ScoreRow({ operation: o, number, width, narrow, from, to, open, title, marks, inside }: RowProps) {
  const right = narrow ? 0 : RIGHT;
  // the bars keep to the work's own Z; the right column starts beyond the tail end or overlaps nothing by moving below
  const barFrom = Math.max(52, Math.min(from, to));
  const barTo = Math.max(barFrom + 8, Math.max(from, to));
  const titleWidth = title.length * 7.1 + 14;
  const insideFits = barTo - barFrom > titleWidth;
  const leftFits = barFrom - 58 > titleWidth;
  const textX = insideFits ? barFrom + 8 : leftFits ? barFrom - 8 : barTo + 8;
  const anchor = insideFits ? 'start' : leftFits ? 'end' : 'start';
  const { act, swept, finishes } = kindOf(o.kind);
  const lasting = act === 'half' || finishes !== undefined;
  const fill = open ? 'var(--now)' : act === 'rough' ? 'var(--good-soft)' : 'var(--color-base-100)';
  const setting = o.setting ? `${o.setting.speedLabel} · ${o.setting.feedLabel ?? 'by hand'}` : '';
  const room = (narrow ? width - 46 : RIGHT) - MINUTES_WIDE;
  const shownSetting = cropped(setting, Math.floor(room / SETTING_LETTER));
  const tight = barTo > width - right;
  const height = narrow || tight || (!insideFits && !leftFits && barTo + 8 + titleWidth > width - right) ? 58 : 34;
  const settingY = height === 58 ? 50 : 22;
  const inkInside = open && insideFits ? 'var(--now-ink)' : undefined;
  return (
    <svg
      width={width}
      height={height}
      className="pic block"
      aria-label={`${number}. ${title}. ${setting} ${minutes(o.minutes)}`}
      role="img"
    >
      {marks.map((m) => (
        <line key={m} x1={m} x2={m} y1={0} y2={height} stroke="var(--line)" strokeDasharray="3 4" />
      ))}
      <text x={28} y={22} fontSize={15} className="ladder-small">
        {number}
      </text>
      {inside && (
        <line x1={barFrom - 10} x2={barTo + 10} y1={6} y2={6} stroke="currentColor" strokeDasharray="9 3 2 3" />
      )}
      <rect
        x={barFrom}
        y={inside ? 10 : 5}
        width={barTo - barFrom}
        height={inside ? 18 : 23}
        rx={2}
        fill={fill}
        stroke="var(--good)"
        strokeWidth={1.2}
        strokeDasharray={swept ? undefined : '4 3'}
      />
      {lasting && <rect x={barFrom} y={24} width={barTo - barFrom} height={4} fill="var(--good)" />}
      <text
        x={textX}
        y={21}
        fontSize={15}
        textAnchor={anchor}
        fontWeight={open ? 600 : 400}
        ref={(node) => {
          if (inkInside) node?.style.setProperty('fill', inkInside);
          else node?.style.removeProperty('fill');
        }}
      >
        {title}
      </text>
      {!(narrow && settingY === 22) && (
        <text
          x={narrow ? 46 : width - RIGHT + 6}
          y={settingY}
          fontSize={14.5}
          fontWeight={600}
          className="setting-text"
        >
          {shownSetting}
          {shownSetting === setting ? null : <title>{setting}</title>}
          {o.exceeds.length > 0 ? ' ▲' : ''}
        </text>
      )}
      <text x={width - 18} y={settingY} fontSize={15} textAnchor="end" className="ladder-small">
        {minutes(o.minutes)}
      </text>
    </svg>
  );
}
