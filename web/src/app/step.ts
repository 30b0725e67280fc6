import type { Job } from '@kovelin/core/job/types.ts';
import type { System } from '@kovelin/core/units/si.ts';
import type { Ledger } from '@kovelin/core/whole/ledger.ts';
import type { StepKey } from '@kovelin/core/whole/next.ts';
import { createContext, useContext, type ComponentType } from 'react';
import type { BasePlan } from '../workers/whole.worker.ts';

/** What a figure of the ledger is read from. */
export interface Facts {
  readonly ledger: Ledger;
  /** null: none yet. */
  readonly plan: BasePlan | null;
  /** What stands where a figure waits for the plan: it is worked out, or was stopped. */
  readonly waiting: string;
  readonly job: Job;
  readonly system: System;
}
/** One figure at the bottom of every screen, a link to the step it comes from. */
export interface Figure {
  readonly label: string;
  /** What it is called in this job, where not by its label. */
  readonly called?: (facts: Facts) => string;
  readonly isRisk?: true;
  /** As people read it, and in SI; null: not known. */
  readonly of: (facts: Facts) => readonly [text: string, value: number | null];
}
/** A step of the work: a row of steps.ts and a folder. */
export interface Step {
  /** Its place in the address, and its name. */
  readonly key: StepKey;
  readonly word: string;
  /** From 1: its place on the tape, and the digit of its shortcut. */
  readonly place: number;
  readonly View: ComponentType;
  /** Sheets and lists that belong to it, by their place in the address. */
  readonly papers: readonly { readonly key: string; readonly View: ComponentType }[];
  readonly figures: readonly Figure[];
}
/** Places on the tape; those of steps that are not there yet stay empty. */
export const PLACES = 8;

export const StepsContext = createContext<readonly Step[]>([]);
export const useSteps = (): readonly Step[] => useContext(StepsContext);
