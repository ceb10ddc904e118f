import type { Problem } from '../quantity/index.ts';
import type { Lathe } from './schema.ts';

/** What makes a lathe's description unusable for planning: problems with paths into the lathe. Empty when it can be planned for. */
export function checkLathe(lathe: Lathe): Problem[] {
  const problems: Problem[] = [];
  if (lathe.spindle.settings.length === 0) problems.push({ code: 'lathe.noSpeeds', path: ['spindle', 'settings'] });
  for (const [i, setting] of lathe.spindle.settings.entries()) {
    for (const control of lathe.spindle.controls) {
      const position = setting.at[control.id];
      if (position === undefined || !control.positions.includes(position))
        problems.push({
          code: 'lathe.noSuchPosition',
          path: ['spindle', 'settings', i, 'at', control.id],
          value: position ?? '',
        });
    }
    if (setting.kind === 'stepless' && setting.minRpm >= setting.maxRpm)
      problems.push({
        code: 'lathe.rangeReversed',
        path: ['spindle', 'settings', i],
        value: setting.minRpm,
        limit: setting.maxRpm,
      });
  }
  return problems;
}
