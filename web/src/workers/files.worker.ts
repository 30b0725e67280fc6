import { readClimateLog, type ClimateLog } from '@kovelin/core/exchange/climate-log.ts';
import { readHouse, type House } from '@kovelin/core/exchange/house.ts';
import { readLog, type ReadLog } from '@kovelin/core/exchange/site-log.ts';
import { readPalette, type Palette } from '@kovelin/core/exchange/palette.ts';
import { outlinesOf, type Chain, type PlanFile } from '@kovelin/core/exchange/plan/chains.ts';
import { readPlan } from '@kovelin/core/exchange/plan/read.ts';
import { readForView } from '@kovelin/core/exchange/read.ts';
import { assignReadings, readReadings } from '@kovelin/core/exchange/readings.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { good, type Result } from '@kovelin/core/units/problem.ts';
import type { System } from '@kovelin/core/units/si.ts';

/** A plan as a dialog shows it: what its layers are called; their lines stay out of the page. */
export type PlanHead = Omit<PlanFile, 'layers'> & { readonly layers: readonly string[] };

/** Everything that reads a file, beside the page. */
export const api = {
  job: async (text: string, name: string): Promise<Result<Job>> => readForView(text, name),
  house: async (text: string, system: System, seed: string): Promise<Result<House>> => readHouse(text, system, seed),
  log: async (file: File, job: Pick<Job, 'id' | 'name'>): Promise<Result<ReadLog>> => readLog(await file.text(), job),
  climate: async (text: string): Promise<Result<ClimateLog>> => readClimateLog(text),
  palette: async (text: string): Promise<Result<Palette>> => readPalette(text),
  async plan(text: string): Promise<Result<PlanHead>> {
    const read = readPlan(text);
    return read.ok ? good({ ...read.value, layers: read.value.layers.map((l) => l.name) }) : read;
  },
  /** The outlines on a layer, a dozen at most, the largest first. */
  async outlines(text: string, layer: string, metresPerUnit: number): Promise<Result<Chain[]>> {
    const read = readPlan(text);
    if (!read.ok) return read;
    const found = outlinesOf(read.value, layer, metresPerUnit);
    return found.ok ? good(found.value.slice(0, 12)) : found;
  },
  async readings(text: string, room: Room, system: System) {
    const list = readReadings(text, system);
    const { lengths, problems } = assignReadings(room, list.readings);
    return { lengths, problems: [...list.problems, ...problems] };
  },
};
export type FilesApi = typeof api;
