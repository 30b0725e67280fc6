import { type RefObject, useEffect, useRef, useState } from 'react';

interface Zoomer {
  readonly by: (factor: number) => void;
  readonly whole: () => void;
  readonly stop: () => void;
}

const MOST = 8;

/**
 * Zoom and pan of a drawing: pinch, Ctrl and the wheel, buttons; dragging pans what is larger than its sheet. The library
 * comes after the first drawing is shown. The group is moved directly, not through a render.
 */
export function useZoom(sheet: RefObject<SVGSVGElement | null>, group: RefObject<SVGGElement | null>, size: string) {
  const [scale, setScale] = useState(1);
  const zoomer = useRef<Zoomer | null>(null);
  useEffect(() => {
    const svg = sheet.current;
    const moved = group.current;
    if (!svg) return;
    let gone = false;
    void Promise.all([import('d3-zoom'), import('d3-selection')]).then(([{ zoom, zoomIdentity }, { select }]) => {
      if (gone) return;
      const [width = 0, height = 0] = size.split('x').map(Number);
      const behaviour = zoom<SVGSVGElement, unknown>()
        .scaleExtent([1, MOST])
        .extent([
          [0, 0],
          [width, height],
        ])
        .translateExtent([
          [0, 0],
          [width, height],
        ])
        .filter((event: WheelEvent | MouseEvent | TouchEvent) => {
          const zoomed = svg.dataset['zoomed'] === 'yes';
          if (event.type === 'wheel') return event.ctrlKey || event.metaKey;
          if ('touches' in event) return event.touches.length > 1 || zoomed;
          return zoomed && (event as MouseEvent).button === 0;
        })
        .on('zoom', ({ transform }: { transform: { k: number; toString(): string } }) => {
          moved?.setAttribute('transform', transform.toString());
          svg.dataset['zoomed'] = transform.k > 1 ? 'yes' : 'no';
          setScale(transform.k);
        });
      const selected = select(svg);
      selected.call(behaviour).on('dblclick.zoom', null);
      zoomer.current = {
        by: (factor) => behaviour.scaleBy(selected, factor),
        whole: () => behaviour.transform(selected, zoomIdentity),
        stop: () => selected.on('.zoom', null),
      };
    });
    return () => {
      gone = true;
      zoomer.current?.stop();
      zoomer.current = null;
      moved?.removeAttribute('transform');
      setScale(1);
    };
  }, [sheet, group, size]);
  return { scale, by: (factor: number) => zoomer.current?.by(factor), whole: () => zoomer.current?.whole() };
}
