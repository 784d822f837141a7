import {
  formatFine,
  formatLength,
  MM_PER_INCH,
  speak,
  asTolerance,
  type InspectedPiece,
  type StationSpread,
} from '@compas/core';
import { useMemo } from 'react';
import { Chart } from '../ui/Chart.js';
import { useUnits } from '../ui/units.js';

const SHAPE = { good: 'circle', fat: 'triangle', thin: 'rect', off: 'diamond' };
const SHADE = { good: '#17695c', fat: '#8a6414', thin: '#a3211b', off: '#a3211b' };

/** One station's readings in the order of making, with the tolerance as a band. */
export default function StationChart({
  spread,
  pieces,
}: {
  spread: StationSpread;
  pieces: readonly InspectedPiece[];
}) {
  const { units } = useUnits();
  const { station, trend } = spread;
  const option = useMemo(() => optionsFor(spread, pieces, units), [spread, pieces, units]);
  return (
    <figure className="twins-chart">
      <figcaption>
        <b>{station.label}</b>{' '}
        <span className="soft">
          {formatLength(station.finished, units)} ± {speak(asTolerance(station.tolerance), units)}
          {trend.drifts
            ? `, drifts ${formatFine(trend.slope, units)} a piece`
            : trend.told
              ? ', steady'
              : ', too few readings to tell a drift'}
        </span>
      </figcaption>
      <Chart option={option} label={`Readings of ${station.label} from piece to piece`} size="low" />
    </figure>
  );
}

function optionsFor({ station }: StationSpread, pieces: readonly InspectedPiece[], units: string) {
  const inUnits = (mm: number) =>
    Number((units === 'mm' ? mm : mm / MM_PER_INCH).toFixed(units === 'mm' ? 2 : 4));
  const points = pieces.flatMap((p) => {
    const found = p.rejected ? undefined : p.judgements.find((j) => j.station.id === station.id);
    return found ? [{ piece: p.piece, mm: found.reading, verdict: found.judgement.verdict }] : [];
  });
  const room = Math.max(
    station.tolerance * 1.3,
    ...points.map((p) => Math.abs(p.mm - station.finished) * 1.1),
  );
  return {
    grid: { left: 58, right: 14, top: 10, bottom: 24 },
    tooltip: { trigger: 'axis' },
    xAxis: { type: 'category', data: pieces.map((p) => String(p.piece)), axisTick: { show: false } },
    yAxis: {
      type: 'value',
      min: inUnits(station.finished - room),
      max: inUnits(station.finished + room),
      splitNumber: 3,
      axisLabel: { showMinLabel: false, showMaxLabel: false },
      splitLine: { lineStyle: { color: '#dde1da' } },
    },
    series: [
      {
        type: 'line',
        lineStyle: { color: '#7d8f88', width: 1 },
        data: points.map((p) => ({
          value: [String(p.piece), inUnits(p.mm)],
          symbol: SHAPE[p.verdict],
          symbolSize: 9,
          itemStyle: { color: SHADE[p.verdict] },
        })),
        markArea: {
          silent: true,
          itemStyle: { color: '#17695c', opacity: 0.12 },
          data: [
            [
              { yAxis: inUnits(station.finished - station.tolerance) },
              { yAxis: inUnits(station.finished + station.tolerance) },
            ],
          ],
        },
        markLine: {
          silent: true,
          symbol: 'none',
          label: { show: false },
          lineStyle: { color: '#17695c', type: 'dashed' },
          data: [{ yAxis: inUnits(station.finished) }],
        },
      },
    ],
  };
}
