import { chipSize, cuttingSpeedMPerMin, thinnestChipMm } from '@whelk/core/cutting';
import { onTailCentre } from '@whelk/core/hold';
import { feedsOf, fixedSpeeds } from '@whelk/core/lathe';
import type { FrozenRun, RunState } from '@whelk/core/run';
import { currentStep, stockOf } from '@whelk/core/run';
import { hasEdge } from '@whelk/core/tool';
import { builtUpBelowMPerMin, type Conditions } from '@whelk/core/trouble';
import { KnownBeside, useKnownBeside } from '../../../desks/trouble/KnownBeside.tsx';
import { TroubleList } from '../../../desks/trouble/TroubleList.tsx';
import { Panel } from './Panel.tsx';

interface Props {
  readonly frozen: FrozenRun;
  readonly state: RunState;
  readonly onOutcome: (text: string) => void;
  readonly onClose: () => void;
}

/** What this step's own figures say when something goes wrong at it. */
function conditionsNow(frozen: FrozenRun, state: RunState): { conditions: Conditions; rpm: number; feedMm: number } {
  const step = currentStep(frozen.steps, state);
  const operation = frozen.plan.operations.find((o) => o.id === step?.operationId);
  const tool = frozen.means.tools.filter(hasEdge).find((t) => t.id === step?.toolId);
  const { loads } = operation ?? {};
  const setting = step?.setting;
  const diameterMm = step?.fromMm ?? step?.targetMm ?? stockOf(frozen);
  const depthMm = step?.fromMm !== undefined && step.targetMm !== undefined ? (step.fromMm - step.targetMm) / 2 : 0;
  const rightMPerMin = setting && cuttingSpeedMPerMin(setting.idealRpm, diameterMm);
  const rpm = setting?.rpm ?? 0;
  const feedMm = setting?.feedMmPerRev ?? 0;
  return {
    rpm,
    feedMm,
    conditions: {
      operation: step?.kind === 'face' ? 'facing' : 'turning',
      overhangDiameters: frozen.plan.held.overhangDiameters,
      tailCentre: onTailCentre(frozen.plan.held.method),
      ...(setting && { feedMmPerRev: feedMm }),
      ...(setting && { speedMPerMin: setting.cuttingSpeedMPerMin }),
      ...(rightMPerMin && {
        rightMPerMin,
        builtUpBelowMPerMin: builtUpBelowMPerMin(frozen.means.material.group, rightMPerMin),
      }),
      wantsWet: frozen.means.material.coolant === 'wet',
      ...(tool && { noseRadiusMm: tool.noseRadiusMm }),
      ...(tool &&
        setting &&
        depthMm > 0 && {
          thinnestChipMm: thinnestChipMm(tool.edgeRadiusMm),
          chipThicknessMm: chipSize({ ...tool, depthMm, feedMmPerRev: feedMm }).thicknessMm,
        }),
      ...(loads && { powerShare: loads.powerKw / loads.availableKw, gripShare: loads.gripShare }),
      ...(loads?.bendMm !== undefined && loads.bendAllowedMm && { bendShare: loads.bendMm / loads.bendAllowedMm }),
    },
  };
}

/** Trouble at this step: causes from its own conditions; what helped goes into the log. */
export function TroublePanel({ frozen, state, onOutcome, onClose }: Props) {
  const { conditions, rpm, feedMm } = conditionsNow(frozen, state);
  const beside = useKnownBeside();
  return (
    <Panel title="Trouble" onClose={onClose} wide>
      <TroubleList
        conditions={{ ...conditions, ...beside.conditions }}
        speeds={fixedSpeeds(frozen.means.lathe)}
        feeds={feedsOf(frozen.means.lathe)}
        rpm={rpm}
        feedMm={feedMm}
        unit={frozen.means.lathe.unit}
        beside={<KnownBeside {...beside} />}
        onOutcome={onOutcome}
      />
      <button type="button" className="act mt-3" onClick={onClose}>
        Close
      </button>
    </Panel>
  );
}
