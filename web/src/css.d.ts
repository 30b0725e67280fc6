declare module '*.css';
declare module '*?url' {
  const url: string;
  export default url;
}
declare module 'virtual:pwa-register' {
  export function registerSW(options: { readonly onNeedRefresh?: () => void }): (reload?: boolean) => Promise<void>;
}

/** A text, as it stands in its file. */
declare module '*?raw' {
  const text: string;
  export default text;
}
