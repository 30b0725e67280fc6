import { readForView } from '@kovelin/core/exchange/read.ts';

/** In a module of its own: the schema it needs is loaded when a file is opened, not before. */
export const importText = readForView;
