import type { BarShank, BarTurnsBy, Tool, ToolKind } from '@whelk/core/tool';
import { inUnit } from './in-unit.ts';

/** The trade's words for each kind of tool. */
export const toolKindNames: Record<ToolKind, string> = {
  rougher: 'rougher',
  finisher: 'finisher',
  facing: 'facing tool',
  chamfer: 'chamfering tool',
  'centre drill': 'centre drill',
  drill: 'twist drill',
  reamer: 'reamer',
  countersink: 'countersink',
  'boring bar': 'boring bar',
  blade: 'grooving and parting blade',
  'inside blade': 'inside grooving blade',
  form: 'radius tool',
  vee: 'pointed bit',
  'face blade': 'blade for faces',
  knurling: 'knurling wheels',
  threading: 'threading bit',
  'inside threading': 'inside threading bit',
  tap: 'tap',
  die: 'die',
};
/** What carries a bar that turns itself. */
export const barTurnsNames: Readonly<Record<BarTurnsBy, string>> = {
  centres: 'between centres',
  head: 'in a head on the spindle',
};
export const shankNames: Record<BarShank, string> = {
  steel: 'steel',
  heavyMetal: 'tungsten alloy',
  carbide: 'carbide',
};
export const curveNames = { round: 'round nose, for hollows', hollow: 'hollow, for rounded edges' } as const;
export const handNames = { right: 'right-hand', left: 'left-hand' } as const;
export const patternNames = { straight: 'straight', diamond: 'diamond' } as const;

/** What a tool is, in a line: its own sizes and nothing that it has not. Sizes of tools are in millimetres, as they are marked. */
export function toolText(tool: Tool): string {
  const { len } = inUnit('mm');
  switch (tool.kind) {
    case 'rougher':
    case 'finisher':
    case 'facing': {
      const end = tool.flatMm ? `flat of ${len(tool.flatMm)}` : `nose ${len(tool.noseRadiusMm)}`;
      return `${end}, ${tool.kappaDeg}°, ${len(tool.deepestMm)} deep at the most`;
    }
    case 'chamfer':
      return `${tool.kappaDeg}°`;
    case 'centre drill':
      return tool.sizeMm === undefined ? 'pilot not noted' : `pilot ${len(tool.sizeMm)}`;
    case 'drill':
      return `Ø${len(tool.diameterMm)}, flutes ${len(tool.fluteMm)}, point ${tool.pointDeg}°`;
    case 'reamer':
      return `Ø${len(tool.diameterMm)}, teeth ${len(tool.fluteMm)}, lead ${len(tool.leadMm)}`;
    case 'countersink':
      return `${tool.angleDeg}°, up to Ø${len(tool.diameterMm)}`;
    case 'boring bar':
      return tool.turns
        ? `turns ${barTurnsNames[tool.turns.by]}, Ø${len(tool.leastBoreMm)} to ${len(tool.turns.mostBoreMm)}, Ø${len(tool.shankMm)} × ${len(tool.reachMm)}; screw ${tool.turns.travelPerTurn} ${tool.turns.unit} in ${tool.turns.divisions}`
        : `into Ø${len(tool.leastBoreMm)}, ${shankNames[tool.shank]} shank Ø${len(tool.shankMm)}, reaches ${len(tool.reachMm)}; nose ${len(tool.noseRadiusMm)}, ${tool.kappaDeg}°`;
    case 'blade':
      return `${len(tool.widthMm)} wide, reaches ${len(tool.reachMm)}${tool.frontDeg > 0 ? `, front leans ${tool.frontDeg}°` : ', square'}`;
    case 'inside blade':
      return `${tool.radiusMm === undefined ? `${len(tool.widthMm)} wide` : `round, R${len(tool.radiusMm)}`}, ${len(tool.deepestMm)} deep, into Ø${len(tool.leastBoreMm)}, reaches ${len(tool.reachMm)}`;
    case 'face blade':
      return `${len(tool.widthMm)} wide, ${len(tool.deepestMm)} deep, clears from Ø${len(tool.leastOuterMm)}${tool.leastBoreMm && tool.reachMm ? `; on a bar, into Ø${len(tool.leastBoreMm)}, reaches ${len(tool.reachMm)}` : ''}`;
    case 'vee':
      return `${tool.angleDeg}°, ${tool.tipMm > 0 ? `flat ${len(tool.tipMm)} at its tip` : 'to a point'}, ${len(tool.deepestMm)} deep`;
    case 'form':
      return `R${len(tool.radiusMm)}, ${curveNames[tool.curve]}, ${len(tool.widthMm)} wide`;
    case 'threading':
    case 'inside threading': {
      const end = tool.radiusMm
        ? `round ${len(tool.radiusMm)}`
        : tool.tipMm > 0
          ? `flat ${len(tool.tipMm)}`
          : 'to a point';
      const into = tool.kind === 'threading' ? '' : `, into Ø${len(tool.leastBoreMm)}, reaches ${len(tool.reachMm)}`;
      return `${tool.angleDeg}°, ${end}, ${len(tool.deepestMm)} deep, ${len(tool.widthMm)} broad${into}`;
    }
    case 'tap':
      return `${tool.designation}${tool.hand === 'left' ? ' left-hand' : ''}, ${tool.leadsOver} threads of lead`;
    case 'die':
      return `${tool.designation}${tool.hand === 'left' ? ' left-hand' : ''}`;
    case 'knurling':
      return `${patternNames[tool.pattern]}, pitch ${len(tool.pitchMm)}, ${len(tool.widthMm)} wide`;
  }
}
