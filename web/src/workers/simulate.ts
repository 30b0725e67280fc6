import type { SimPaint } from '@kovelin/core/order/simulate.ts';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { askers } from './ask.ts';
import { startWorker } from './start.ts';
import type { SimulateApi } from './simulate.worker.ts';

const ask = askers<SimulateApi>(() => startWorker('simulate'));
export const SIMULATED_JOBS = 100_000;

/** The risk curve of simulated jobs; asked only where a thin film may want another coat, for else the closed form says it. */
export function useSimulated(jobId: string, paint: SimPaint, litres: readonly number[]) {
  const asked = paint.surfaces.some((s) => s.thinnest > 0);
  return useQuery({
    queryKey: [jobId, 'simulate', paint, litres],
    queryFn: ({ signal }) => ask((api) => api.risk(paint, litres, SIMULATED_JOBS), signal),
    enabled: asked,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 30_000,
    retry: false,
  });
}
