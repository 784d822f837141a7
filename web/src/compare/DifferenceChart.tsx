import { MM_PER_INCH, type Comparison } from '@compas/core';
import { LineChart } from 'echarts/charts';
import { GridComponent, MarkPointComponent, TooltipComponent } from 'echarts/components';
import { init, use as withParts } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { useUnits } from '../ui/units.js';

withParts([LineChart, GridComponent, TooltipComponent, MarkPointComponent, SVGRenderer]);

/** Difference of the two diameters along the axis. */
export default function DifferenceChart({ comparison }: { comparison: Comparison }) {
  const { units } = useUnits();
  const ref = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!ref.current) return;
    const chart = init(ref.current, null, { renderer: 'svg' });
    chart.setOption(optionsFor(comparison, units === 'mm'));
    const observer = new ResizeObserver(() => chart.resize());
    observer.observe(ref.current);
    return () => {
      observer.disconnect();
      chart.dispose();
    };
  }, [comparison, units]);
  return (
    <figure className="sheet" style={{ margin: 0 }}>
      <figcaption>
        <b>Difference of the diameter along the axis</b>{' '}
        <span className="soft">{units === 'mm' ? 'mm' : 'inches'}; above the line that is thicker</span>
      </figcaption>
      <div
        ref={ref}
        style={{ height: 190 }}
        role="img"
        aria-label="Difference of the diameter along the axis"
      />
    </figure>
  );
}

function optionsFor({ along, largest }: Comparison, metric: boolean) {
  const scale = metric ? 1 : 1 / MM_PER_INCH;
  const digits = metric ? 2 : 4;
  const round = (mm: number) => Number((mm * scale).toFixed(digits));
  return {
    animation: false,
    textStyle: { fontFamily: 'Atkinson Hyperlegible Mono Variable' },
    grid: { left: 60, right: 24, top: 16, bottom: 34 },
    tooltip: { trigger: 'axis' },
    xAxis: {
      type: 'value',
      min: 'dataMin',
      max: 'dataMax',
      axisLabel: { formatter: (v: number) => v.toFixed(metric ? 0 : 2) },
    },
    yAxis: { type: 'value', scale: true, minInterval: metric ? 0.05 : 0.002 },
    series: [
      {
        type: 'line',
        name: 'difference',
        showSymbol: false,
        lineStyle: { color: '#17695c', width: 2 },
        areaStyle: { color: '#17695c', opacity: 0.15 },
        data: along.map((d) => [round(d.x), round(d.difference)]),
        markPoint: {
          symbol: 'pin',
          symbolSize: 48,
          itemStyle: { color: '#6f4f0b' },
          label: { fontSize: 10, color: '#fff' },
          data:
            Math.abs(largest.difference) > 0.005
              ? [{ coord: [round(largest.x), round(largest.difference)], value: round(largest.difference) }]
              : [],
        },
      },
    ],
  };
}
