import { acceptancePdf, punchPdf } from '@kovelin/core/exchange/accept-pdf.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { attempt } from '../app/database.ts';
import { savePdf } from '../app/save-pdf.ts';
import { fileName } from '../store/take-out.ts';

export const makeAcceptance = (job: Job, surfaces: readonly Specified[]) =>
  attempt('The sheet was not made', () => savePdf(`${fileName(job)}-acceptance.pdf`, acceptancePdf(job, surfaces)));

export const makePunchList = (job: Job, surfaces: readonly Specified[]) =>
  attempt('The list was not made', () => savePdf(`${fileName(job)}-punch-list.pdf`, punchPdf(job, surfaces)));
