/** A job file is read whole; a larger one is refused before that. */
export const MAX_JOB_BYTES = 20 * 1024 * 1024;

export const tooLarge = (bytes: number): string =>
  `This file is ${Math.round(bytes / 1024 / 1024)} MB; a job file is at most ${MAX_JOB_BYTES / 1024 / 1024} MB. It was not read.`;
