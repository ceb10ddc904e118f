import { usualHabits } from '@whelk/core/hold';
import type { Settings } from '@whelk/core/job';
import { useState } from 'react';
import { schoolNames, schoolNotes } from '../messages/words.ts';
import { ask } from '../ui/api.ts';
import { GeneralTolerance } from '../ui/GeneralTolerance.tsx';
import { HoldHabitFields } from '../ui/HoldHabits.tsx';
import { LastCutsFields } from '../ui/LastCutsFields.tsx';
import { PolicyFields } from '../ui/PolicyFields.tsx';
import { UnitOfPage } from '../ui/unit.ts';

/** What the shop prefers; saved at each change. */
export default function SettingsForm({ given }: { given: Settings }) {
  const [settings, setSettings] = useState(given);
  const [told, setTold] = useState('');
  const set = async (more: Partial<Settings>) => {
    const next = { ...settings, ...more };
    setSettings(next);
    const result = await ask('PUT', '/api/settings', next);
    setTold(result.ok ? 'Saved.' : result.problems.map((p) => `${p.what} ${p.right}`).join(' '));
  };
  const habits = { ...usualHabits, ...settings.hold };
  return (
    <UnitOfPage.Provider value={settings.unit}>
      <div className="mt-5 flex max-w-2xl flex-col gap-6">
        <label>
          <b>Unit of new drawings</b>
          <select
            className="select mt-1 flex w-48"
            value={settings.unit}
            onChange={(e) => set({ unit: e.target.value as 'mm' })}
          >
            <option value="mm">mm</option>
            <option value="in">inch</option>
          </select>
        </label>
        <div>
          <b>General tolerance of new drawings</b>
          <GeneralTolerance
            generalClass={settings.generalClass}
            decimals={settings.decimals}
            shop={settings.decimals}
            onChange={(general) => set(general)}
          />
        </div>
        <fieldset>
          <legend className="font-bold">How speeds are chosen, for new jobs</legend>
          {(['shopRule', 'conditions', 'machineFirst'] as const).map((name) => (
            <label key={name} className="flex min-h-11 items-center gap-3">
              <input
                type="radio"
                className="h-5 w-5"
                name="school"
                checked={settings.school === name}
                onChange={() => set({ school: name })}
              />
              <span>
                <b>{schoolNames[name]}</b> <span className="muted">{schoolNotes[name]}</span>
              </span>
            </label>
          ))}
        </fieldset>
        <fieldset>
          <legend className="font-bold">Which of the lathe’s speeds, for the bench book and new jobs</legend>
          <div className="mt-1">
            <PolicyFields policy={settings.policy} onChange={(policy) => set({ policy })} />
          </div>
        </fieldset>
        <fieldset>
          <legend className="font-bold">Left for holding and facing, for new jobs</legend>
          <div className="mt-1">
            <HoldHabitFields habits={habits} onChange={(more) => set({ hold: { ...habits, ...more } })} />
          </div>
        </fieldset>
        <fieldset>
          <legend className="font-bold">Last cuts, for new jobs</legend>
          <div className="mt-1">
            <LastCutsFields wanted={settings.lastCuts} onChange={(lastCuts) => set({ lastCuts })} />
          </div>
        </fieldset>
        <label>
          <b>Tools, for new jobs</b>
          <select
            className="select mt-1 flex w-48"
            value={settings.tools}
            onChange={(e) => set({ tools: e.target.value as 'hss' })}
          >
            <option value="hss">HSS first</option>
            <option value="carbide">Carbide first</option>
          </select>
        </label>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="h-5 w-5"
            checked={settings.keys}
            onChange={(e) => set({ keys: e.target.checked })}
          />
          <span>
            <b>Single keys at the lathe</b>{' '}
            <span className="muted">Space: done · M: measure · N: note · T: trouble · B: back · C: cut once more</span>
          </span>
        </label>
        <p role="status" className="setting min-h-6">
          {told}
        </p>
      </div>
    </UnitOfPage.Provider>
  );
}
