/** Is it a day there is, written `2026-11-26`? 2026-02-31 is none. Apart from date.ts, for the rules of the document need no calendar. */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const at = new Date(`${text}T00:00:00Z`);
  // a day too many rolls over into the next month
  return !Number.isNaN(at.getTime()) && at.toISOString().startsWith(text);
}

/** Is it a time zone that is known here, written `Europe/London`? */
export function isZone(name: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone);
  } catch (reason) {
    // said by the language in this way alone
    if (reason instanceof RangeError) return false;
    throw reason;
  }
}

/** The day of a moment (ms since 1970), where the reader is. */
export function dayAt(moment: number): string {
  const at = new Date(moment);
  return [at.getFullYear(), at.getMonth() + 1, at.getDate()].map((n) => String(n).padStart(2, '0')).join('-');
}
