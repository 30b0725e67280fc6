declare module '*.css';
declare module '*?url' {
  const url: string;
  export default url;
}
declare module 'virtual:pwa-register' {
  export function registerSW(options: { readonly onNeedRefresh?: () => void }): (reload?: boolean) => Promise<void>;
}

/** A guide, made into a component when the application is built. */
declare module '*.md' {
  const Guide: import('./help/guides.ts').Guide['Text'];
  export default Guide;
}
