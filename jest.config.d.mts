/** What of it the bench reads; the rest is jest's. */
declare const config: { readonly transform: Readonly<Record<string, readonly [string, unknown]>> };
export default config;
