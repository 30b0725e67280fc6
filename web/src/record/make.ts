import { homeRecordPdf, labelsPdf, type LabelSheet } from '@kovelin/core/exchange/record-pdf.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import type { Label } from '@kovelin/core/record/label.ts';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import type { JobRecord } from '@kovelin/core/whole/record.ts';
import { attempt } from '../app/database.ts';
import { download, fileName } from '../store/take-out.ts';
import { codeOf } from './LabelCard.tsx';

// what makes PDFs is large, and comes when one is asked for
const pdfOf = async (document: TDocumentDefinitions): Promise<Blob> => (await import('../app/pdf.ts')).pdfOf(document);

/** A PDF of labels, so many of each; each code is drawn once. */
export const makeLabels = (job: Job, labels: readonly Label[], each: number, sheet: LabelSheet, skip: number) =>
  attempt('The labels were not made', async () => {
    const printed = await Promise.all(labels.map(async (label) => ({ label, code: await codeOf(label) })));
    const all = printed.flatMap((one) => Array.from({ length: each }, () => one));
    download(`${fileName(job)}-labels.pdf`, await pdfOf(labelsPdf(all, sheet, skip)), 'application/pdf');
  });

export const makeHomeRecord = (job: Job, record: JobRecord) =>
  attempt('The record was not made', async () => {
    download(`${fileName(job)}-home-record.pdf`, await pdfOf(homeRecordPdf(job, record)), 'application/pdf');
  });
