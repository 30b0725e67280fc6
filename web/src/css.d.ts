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
  import type { ComponentType, ReactNode } from 'react';
  const Guide: ComponentType<{
    readonly components: { readonly a: ComponentType<{ href?: string; children?: ReactNode }> };
  }>;
  export default Guide;
}
