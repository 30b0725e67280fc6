/** One's own time costs nothing and needs no quote. */
export const FOR_WHOM = [
  ['client', 'I do it for a client'],
  ['own', 'I do it myself, for myself'],
] as const;
