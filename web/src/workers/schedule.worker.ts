import type { Job } from '@kovelin/core/job/types.ts';
import type { TrimOrder } from '@kovelin/core/job/vocabulary.ts';
import { derive } from '@kovelin/core/order/derive.ts';
import { viewSchedule, type ScheduleView } from '@kovelin/core/sequence/view.ts';
import { expose } from 'comlink';

const api = {
  /** The job's schedule, and what the other school of trim would take. */
  schedule(job: Job): { schedule: ScheduleView; other: { trimOrder: TrimOrder; finish: number } } {
    const { operations } = derive(job);
    const trimOrder: TrimOrder = job.practice.trimOrder === 'trim-first' ? 'trim-last' : 'trim-first';
    const otherJob: Job = { ...job, practice: { ...job.practice, trimOrder } };
    const other = viewSchedule(otherJob, derive(otherJob).operations);
    return { schedule: viewSchedule(job, operations), other: { trimOrder, finish: other.finish } };
  },
};
export type ScheduleApi = typeof api;

expose(api);
