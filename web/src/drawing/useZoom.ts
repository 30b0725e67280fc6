import { type RefObject, useEffect, useRef, useState } from 'react';

interface Zoomer {
  readonly by: (factor: number) => void;
  readonly whole: () => void;
  readonly stop: () => void;
}

const MOST = 8;

/** Binds the library to a sheet of a size; the group is moved directly, not through a render. */
async function bind(
  svg: SVGSVGElement,
  group: SVGGElement | null,
  size: string,
  onScale: (scale: number) => void,
): Promise<Zoomer> {
  const [{ zoom, zoomIdentity }, { select }] = await Promise.all([import('d3-zoom'), import('d3-selection')]);
  const [width = 0, height = 0] = size.split('x').map(Number);
  const whole: [[number, number], [number, number]] = [
    [0, 0],
    [width, height],
  ];
  const behaviour = zoom<SVGSVGElement, unknown>()
    .scaleExtent([1, MOST])
    .extent(whole)
    .translateExtent(whole)
    .filter((event: WheelEvent | MouseEvent | TouchEvent) => {
      const zoomed = svg.dataset['zoomed'] === 'yes';
      if (event.type === 'wheel') return event.ctrlKey || event.metaKey;
      if ('touches' in event) return event.touches.length > 1 || zoomed;
      return zoomed && (event as MouseEvent).button === 0;
    })
    .on('zoom', ({ transform }: { transform: { k: number; toString(): string } }) => {
      group?.setAttribute('transform', transform.toString());
      svg.dataset['zoomed'] = transform.k > 1 ? 'yes' : 'no';
      onScale(transform.k);
    });
  const selected = select(svg);
  selected.call(behaviour).on('dblclick.zoom', null);
  return {
    by: (factor) => behaviour.scaleBy(selected, factor),
    whole: () => behaviour.transform(selected, zoomIdentity),
    stop: () => {
      selected.on('.zoom', null);
      group?.removeAttribute('transform');
    },
  };
}

/**
 * Zoom and pan of a drawing: pinch, Ctrl and the wheel, buttons; dragging pans what is larger than its sheet. The library
 * comes when a pointer first reaches the drawing, not before.
 */
export function useZoom(sheet: RefObject<SVGSVGElement | null>, group: RefObject<SVGGElement | null>, size: string) {
  const [scale, setScale] = useState(1);
  const arm = useRef<() => Promise<Zoomer | null>>(() => Promise.resolve(null));
  useEffect(() => {
    const svg = sheet.current;
    if (!svg) return;
    let zoomer: Promise<Zoomer> | null = null;
    const start = () => {
      zoomer = zoomer ?? bind(svg, group.current, size, setScale);
      return zoomer;
    };
    arm.current = start;
    const events = ['pointerenter', 'touchstart', 'wheel'] as const;
    const listen = () => void start();
    for (const event of events) svg.addEventListener(event, listen, { once: true, passive: true });
    return () => {
      for (const event of events) svg.removeEventListener(event, listen);
      void zoomer?.then((z) => z.stop());
      setScale(1);
    };
  }, [sheet, group, size]);
  return {
    scale,
    by: (factor: number) => void arm.current().then((z) => z?.by(factor)),
    whole: () => void arm.current().then((z) => z?.whole()),
  };
}
