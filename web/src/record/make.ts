import { homeRecordPdf, labelsPdf, type LabelSheet } from '@kovelin/core/exchange/record-pdf.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import type { Label } from '@kovelin/core/record/label.ts';
import type { JobRecord } from '@kovelin/core/whole/record.ts';
import { attempt } from '../app/database.ts';
import { savePdf } from '../app/save-pdf.ts';
import { fileName } from '../store/take-out.ts';
import { codeOf } from './LabelCard.tsx';

/** A PDF of labels, so many of each; each code is drawn once. */
export const makeLabels = (job: Job, labels: readonly Label[], each: number, sheet: LabelSheet, skip: number) =>
  attempt('The labels were not made', async () => {
    const printed = await Promise.all(labels.map(async (label) => ({ label, code: await codeOf(label) })));
    const all = printed.flatMap((one) => Array.from({ length: each }, () => one));
    await savePdf(`${fileName(job)}-labels.pdf`, labelsPdf(all, sheet, skip));
  });

export const makeHomeRecord = (job: Job, record: JobRecord) =>
  attempt('The record was not made', () => savePdf(`${fileName(job)}-home-record.pdf`, homeRecordPdf(job, record)));
