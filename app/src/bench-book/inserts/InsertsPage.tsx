import type { LengthUnit } from '@whelk/core/quantity';
import { type HolderRecord, type InsertRecord, isCodeFault, readHolder, readInsert } from '@whelk/core/tool';
import { useState } from 'react';
import { fromJson } from '../../ui/from-json.tsx';
import { TextField } from '../../ui/number-field/TextField.tsx';
import { UnitOfPage } from '../../ui/unit.ts';
import { BoreBars } from './BoreBars.tsx';
import { HolderCard, InsertCard } from './Cards.tsx';
import { ComposeHolder } from './ComposeHolder.tsx';
import { ComposeInsert } from './ComposeInsert.tsx';
import { WhatFits } from './Fits.tsx';

interface Props {
  readonly holders: readonly HolderRecord[];
  readonly inserts: readonly InsertRecord[];
  readonly unit: LengthUnit;
}

/** A designation read letter by letter, put together the other way round, and what of the drawer fits what. */
function InsertsPage({ holders, inserts, unit }: Props) {
  const [code, setCode] = useState('DCMT 11 T3 04');
  const text = code.trim();
  // five letters before the first figure, or a bar's diameter after one letter: a holder
  const asHolder = /^[A-Za-z](\d{2}[A-Za-z]|[A-Za-z]{4}[\s._-]*\d{2}[\s._-]*\d{2}[\s._-]*[A-Za-z])/.test(text);
  const read = asHolder ? readHolder(text) : readInsert(text);
  return (
    <UnitOfPage.Provider value={unit}>
      <h1>Inserts and bars</h1>
      <div className="mt-3 flex flex-wrap items-start gap-3">
        <TextField
          className="w-96"
          label="Designation of an insert, a holder or a boring bar"
          value={code}
          onChange={(next) => setCode(next.slice(0, 40))}
          problem={
            text !== '' && isCodeFault(read)
              ? { code: read.code, path: [], value: `${read.position}: ${read.value || '–'}`, limit: read.allowed }
              : undefined
          }
          data="code"
        />
        <p className="muted mt-7 text-sm">for example CNMG 12 04 08 · PCLNR 2020 K12 · S16R-SCLCR 09</p>
      </div>
      {!isCodeFault(read) &&
        ('form' in read ? (
          <>
            <InsertCard insert={read} unit={unit} />
            <WhatFits insert={read} holders={holders} inserts={inserts} />
          </>
        ) : (
          <>
            <HolderCard holder={read} />
            <WhatFits
              holder={read}
              seatMm={holders.find((h) => h.code.replace(/\W/g, '') === read.code.replace(/\W/g, ''))?.seatMm}
              holders={holders}
              inserts={inserts}
            />
          </>
        ))}
      <ComposeInsert onUse={setCode} />
      <ComposeHolder onUse={setCode} />
      <BoreBars holders={holders} unit={unit} />
    </UnitOfPage.Provider>
  );
}

export default fromJson(InsertsPage);
