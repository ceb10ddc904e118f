import { type CutMap, type CutSetup, cutMap, type School, speedTable } from '@whelk/core/cutting';
import { feedsOf } from '@whelk/core/lathe';
import { expose } from 'comlink';

/** A setup as it crosses to the worker: what is derived from the lathe is made there. */
export type PlainSetup = Omit<CutSetup, 'table' | 'feeds'> & { readonly mostRpm: number };

const api = {
  map(setup: PlainSetup, school: School, deepestMm: number, coarsestMm: number): CutMap {
    const { lathe, mostRpm } = setup;
    return cutMap(
      { ...setup, table: speedTable(lathe, mostRpm), feeds: feedsOf(lathe) },
      school,
      deepestMm,
      coarsestMm,
    );
  },
};
export type CutMapApi = typeof api;
expose(api);
