import type { Mates } from '@whelk/core/job';
import type { Mate } from '@whelk/core/part';
import { useCallback, useEffect, useState } from 'react';
import { ask } from '../../ui/api.ts';

/** How often a linked size is asked for while the page is looked at. */
const EVERY_MS = 4000;

/** Other jobs' features and what was measured of them, asked anew while the page is seen and a size is awaited. */
export function useMates(jobId: string, mates: readonly Mate[], saved: boolean): Mates | undefined {
  const [known, setKnown] = useState<Mates>();
  const links = mates.map((m) => `${m.from?.jobId}/${m.from?.featureId}`).join();
  const awaits = mates.some((m) => m.from !== null);
  const look = useCallback(async () => {
    const result = await ask<Mates>('GET', `/api/jobs/${jobId}/mates`);
    if (result.ok) setKnown(result.data);
  }, [jobId]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew when the links change and when they were saved
  useEffect(() => {
    void look();
    if (!awaits) return;
    const timer = setInterval(() => {
      if (document.visibilityState === 'visible') void look();
    }, EVERY_MS);
    return () => clearInterval(timer);
  }, [look, awaits, links, saved]);
  return known;
}
