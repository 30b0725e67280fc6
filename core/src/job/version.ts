/** Of the job document; older ones are brought up to it by `migrate`. */
export const JOB_VERSION = 14;
