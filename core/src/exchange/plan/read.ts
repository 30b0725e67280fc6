import type { Result } from '../../units/problem.ts';
import type { PlanFile } from './chains.ts';
import { readDxf } from './dxf-read.ts';
import { readSvg } from './svg.ts';

/** A floor plan from a DXF or an SVG, told apart by their first characters. */
export const readPlan = (text: string): Result<PlanFile> => (/^\s*</.test(text) ? readSvg(text) : readDxf(text));
