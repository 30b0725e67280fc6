/** Ids for new things, from the browser's random source. */
export const freshId = (): string =>
  `k${[...crypto.getRandomValues(new Uint8Array(8))].map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;
