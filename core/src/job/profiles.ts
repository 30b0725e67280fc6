/** Developed girth of a moulding over its face, by profile: starting judgements, to be measured with a strip of paper. */
export const PROFILES = [
  { name: 'flat board', factor: 1 },
  { name: 'bevelled', factor: 1.08 },
  { name: 'curved', factor: 1.2 },
  { name: 'built up of several', factor: 1.4 },
] as const;
