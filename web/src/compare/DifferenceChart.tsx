import { MM_PER_INCH, type Comparison } from '@compas/core';
import { useMemo } from 'react';
import { Chart } from '../ui/Chart.js';
import { useUnits } from '../ui/units.js';

/** Difference of the two diameters along the axis. */
export default function DifferenceChart({ comparison }: { comparison: Comparison }) {
  const { units } = useUnits();
  const option = useMemo(() => optionsFor(comparison, units === 'mm'), [comparison, units]);
  return (
    <figure className="sheet flush">
      <figcaption>
        <b>Difference of the diameter along the axis</b>{' '}
        <span className="soft">{units === 'mm' ? 'mm' : 'inches'}; above the line that is thicker</span>
      </figcaption>
      <Chart option={option} label="Difference of the diameter along the axis" size="middling" />
    </figure>
  );
}

function optionsFor({ along, largest }: Comparison, metric: boolean) {
  const scale = metric ? 1 : 1 / MM_PER_INCH;
  const digits = metric ? 2 : 4;
  const round = (mm: number) => Number((mm * scale).toFixed(digits));
  return {
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
          symbol: 'diamond',
          symbolSize: 11,
          itemStyle: { color: '#6f4f0b' },
          label: { position: 'left', fontSize: 13, fontWeight: 600, color: '#6f4f0b' },
          data:
            Math.abs(largest.difference) > 0.005
              ? [{ coord: [round(largest.x), round(largest.difference)], value: round(largest.difference) }]
              : [],
        },
      },
    ],
  };
}
