/** Small things kept in the browser by key. Where it keeps nothing, they hold as long as the page. */
const page = new Map<string, string>();

export function recall(key: string): string | null {
  try {
    return localStorage.getItem(key) ?? page.get(key) ?? null;
  } catch {
    return page.get(key) ?? null;
  }
}
export function keep(key: string, value: string): void {
  page.set(key, value);
  try {
    localStorage.setItem(key, value);
  } catch {
    // denied or full: kept for this page
  }
}
