import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { codeIn } from '../workers/scan.ts';
import { FilePick } from '../ui/FilePick.tsx';
import Button from '@mui/material/Button';
import { say } from './say.ts';
import { Message } from '../ui/Message.tsx';

interface Props {
  /** Takes what a code says. @returns whether enough was read, and the camera can be let go. */
  readonly onRead: (text: string) => boolean;
  /** Bar codes as well as QR codes. */
  readonly withBars?: boolean;
}

const NO_CAMERA: Readonly<Record<string, string>> = {
  NotAllowedError: 'The camera was not allowed. Allow it for this page, or take a picture of the code and open that.',
  NotFoundError: 'There is no camera here. Take a picture of the code with something that has one, and open that.',
  NotReadableError: 'Something else uses the camera. Close that, or open a picture of the code.',
};

/** Reads codes from the camera, or from pictures where there is none. */
export function Scanner({ onRead, withBars = false }: Props) {
  const [isOn, setOn] = useState(false);
  return (
    <div className="scanner">
      {isOn && <Camera onRead={onRead} withBars={withBars} onOff={() => setOn(false)} />}
      <div className="row-buttons">
        <Button variant="outlined" onClick={() => setOn(!isOn)}>
          {isOn ? 'Camera off' : 'Use the camera'}
        </Button>
        <FilePick accept="image/*" multiple onFiles={(files) => void readPictures(files, withBars, onRead)}>
          Open pictures
        </FilePick>
      </div>
    </div>
  );
}

async function readPictures(files: readonly File[], withBars: boolean, onRead: Props['onRead']): Promise<void> {
  const without: string[] = [];
  for (const file of files) {
    // what cannot be shown as a picture has no code either
    const bitmap = await createImageBitmap(file).catch(() => null);
    const code = bitmap && (await codeIn(bitmap, withBars));
    if (!code) without.push(file.name);
    else if (onRead(code.text)) break;
  }
  if (without.length)
    say(
      `No code was found in ${without.slice(0, 3).join(', ')}${without.length > 3 ? ` and ${without.length - 3} more` : ''}. The whole code has to be in the picture, sharp and without a reflection.`,
    );
}

function Camera({ onRead, withBars, onOff }: Required<Props> & { onOff: () => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [why, setWhy] = useState<string | null>(null);
  const read = useEffectEvent((text: string): boolean => onRead(text));
  const off = useEffectEvent(() => onOff());
  useEffect(() => {
    let isOver = false;
    let stream: MediaStream | null = null;
    const watch = async (): Promise<void> => {
      stream = await navigator.mediaDevices.getUserMedia({
        video: { facingMode: 'environment', width: { ideal: 1280 }, height: { ideal: 960 } },
      });
      const shown = video.current;
      if (isOver || !shown) return;
      shown.srcObject = stream;
      await shown.play();
      while (!isOver) {
        const bitmap = await createImageBitmap(shown);
        const code = await codeIn(bitmap, withBars);
        // one that was let go meanwhile reads nothing more
        if (!isOver && code && read(code.text)) off();
        await new Promise((next) => requestAnimationFrame(next));
      }
    };
    const end = (): void => stream?.getTracks().forEach((track) => track.stop());
    watch()
      .catch((error: unknown) => {
        if (!isOver)
          setWhy(
            (error instanceof Error && NO_CAMERA[error.name]) ||
              `The camera cannot be used: ${error instanceof Error ? error.message : String(error)}`,
          );
      })
      .finally(() => isOver && end());
    return () => {
      isOver = true;
      end();
    };
  }, [withBars]);
  return why === null ? (
    <video ref={video} muted playsInline aria-label="What the camera sees" />
  ) : (
    <Message kind="wrong">{why}</Message>
  );
}
