declare module '*.css';
declare module '*?url' {
  const url: string;
  export default url;
}
/** Addresses of a typeface's files, one for each script. */
declare module '*?by-script' {
  import type { Script } from '@kovelin/core/exchange/pdf.ts';
  const files: Readonly<Record<Script, string>>;
  export default files;
}
declare module 'virtual:pwa-register' {
  export function registerSW(options: { readonly onNeedRefresh?: () => void }): (reload?: boolean) => Promise<void>;
}

/** A guide, made into a component when the application is built. */
declare module '*.md' {
  import type { ComponentType, ReactNode } from 'react';
  const Guide: ComponentType<{
    readonly components: { readonly a: ComponentType<{ href?: string; children?: ReactNode }> };
  }>;
  export default Guide;
}
