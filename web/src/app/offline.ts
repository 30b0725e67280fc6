import { registerSW } from 'virtual:pwa-register';
import { say } from './say.ts';

/**
 * Keeps the application on the device, so that it opens without a network; a newer one is offered and never forced. Where a browser does
 * not let it, all works as long as there is a network.
 */
export function workOffline(): void {
  const load = registerSW({
    onNeedRefresh: () =>
      say('A newer Kovelin is there. What is open stays as it is until you load it.', {
        label: 'Load it',
        run: () => void load(true),
      }),
  });
}
