import { init, type EChartsCoreOption, type EChartsType } from 'echarts/core';
import { useEffect, useRef, type RefObject } from 'react';
import type { Palette } from '../ui/palette.ts';

/** Lettering of charts: the face of all figures. */
export const lettering = (colour: string, fontSize = 14) =>
  ({ color: colour, fontFamily: 'Barlow Condensed', fontSize }) as const;

/**
 * What every chart has: still, lettered, and a tooltip that needs no style element. @param says the chart in a sentence, for
 * those who hear it.
 */
export const charted = (palette: Palette, says: string): EChartsCoreOption => ({
  animation: false,
  aria: { enabled: true, label: { description: says } },
  textStyle: lettering(palette.ink),
  tooltip: {
    renderMode: 'richText',
    backgroundColor: palette.band,
    textStyle: lettering(palette.bandInk, 15),
  },
});

interface Chart {
  /** Where it is drawn. */
  readonly place: RefObject<HTMLDivElement | null>;
}

/**
 * A chart that is made once and told its options as they change; it follows the size of its place. `onClick` gets the value
 * of what was clicked. The parts it is made of are registered by its view.
 */
export function useChart(
  option: EChartsCoreOption,
  { onClick, onWidth }: { onClick?: (value: unknown) => void; onWidth?: (width: number) => void } = {},
): Chart {
  const place = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType | null>(null);
  useEffect(() => {
    const element = place.current;
    if (!element) return;
    const made = init(element);
    chart.current = made;
    return () => {
      made.dispose();
      chart.current = null;
    };
  }, []);
  useEffect(() => {
    const element = place.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      chart.current?.resize();
      if (entry) onWidth?.(entry.contentRect.width);
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [onWidth]);
  useEffect(() => {
    chart.current?.setOption(option, true);
  }, [option]);
  useEffect(() => {
    const made = chart.current;
    const listen = ({ value }: { value?: unknown }) => onClick?.(value);
    made?.on('click', listen);
    return () => {
      made?.off('click', listen);
    };
  }, [onClick]);
  return { place };
}
