/** The Chromium of this machine; undefined: there is none. */
export function chromiumHere(): string | undefined;
