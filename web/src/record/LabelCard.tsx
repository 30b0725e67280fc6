import { writeLabel, type Label } from '@kovelin/core/record/label.ts';
import { toDataURL } from 'qrcode';
import { useEffect, useState } from 'react';

/** The picture of a label’s code: coarse enough for a lid, and for a phone that is held by hand. */
export const codeOf = (label: Label): Promise<string> =>
  toDataURL([{ data: new TextEncoder().encode(writeLabel(label)), mode: 'byte' }], {
    errorCorrectionLevel: 'M',
    margin: 2,
    scale: 6,
  });

/** A label as it is printed: its code, and the same in words. */
export function LabelCard({ label }: { readonly label: Label }) {
  const text = writeLabel(label);
  const [made, setMade] = useState<{ readonly text: string; readonly picture: string } | null>(null);
  useEffect(() => {
    let left = false;
    void codeOf(label).then((picture) => {
      if (!left) setMade({ text, picture });
    });
    return () => {
      left = true;
    };
  }, [label, text]);
  return (
    <figure className="label-card">
      {made?.text === text ? <img src={made.picture} alt="Code of this label" /> : <span className="label-wait" />}
      <figcaption>
        <pre>{text}</pre>
      </figcaption>
    </figure>
  );
}
