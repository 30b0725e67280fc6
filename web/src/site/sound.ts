let context: AudioContext | null = null;

/** Two short tones; silent where the browser lets no page sound unasked. */
export function sound(): void {
  context ??= new AudioContext();
  void context.resume();
  const at = context.currentTime;
  for (const [n, pitch] of [660, 880].entries()) {
    const tone = context.createOscillator();
    const loud = context.createGain();
    tone.frequency.value = pitch;
    loud.gain.setValueAtTime(0.0001, at + n * 0.25);
    loud.gain.exponentialRampToValueAtTime(0.3, at + n * 0.25 + 0.02);
    loud.gain.exponentialRampToValueAtTime(0.0001, at + n * 0.25 + 0.22);
    tone.connect(loud).connect(context.destination);
    tone.start(at + n * 0.25);
    tone.stop(at + n * 0.25 + 0.24);
  }
}

/** A notice beside the page, where that is allowed: phones let the service worker alone show one. */
export async function notify(text: string): Promise<void> {
  const options = { body: text, tag: 'kovelin-clock' };
  const worker = await navigator.serviceWorker?.getRegistration();
  if (worker) await worker.showNotification('Kovelin', options);
  else new Notification('Kovelin', options);
}
