import { dayAfter, daysBetween, moistureOn, type DryingBundle, type DryingForecast } from '@compas/core';
import { useMemo } from 'react';
import { Chart } from '../ui/Chart.js';
import { dayWords } from '../ui/clock.js';

interface DryingChartProps {
  bundle: DryingBundle;
  forecast: DryingForecast;
  today: string;
}

/** Moisture over the days: weighed, by the curve, until the target; the days it may fall on shaded. */
export default function DryingChart({ bundle, forecast, today }: DryingChartProps) {
  const option = useMemo(() => optionsFor(bundle, forecast, today), [bundle, forecast, today]);
  return <Chart option={option} label={`Moisture of ${bundle.label} over the days`} size="tall" />;
}

function optionsFor(bundle: DryingBundle, forecast: DryingForecast, today: string) {
  const first = bundle.weighings[0]?.day ?? today;
  const now = daysBetween(first, today);
  const { ready } = forecast;
  const until = Math.ceil(1.15 * Math.max(now, ready?.latest ?? ready?.days ?? 4 * forecast.timeConstant, 7));
  const day = (days: number) => dayAfter(first, days);
  const curve = Array.from({ length: 81 }, (_, i) => (until * i) / 80).map((d) => [
    Date.parse(first) + d * 86_400_000,
    Number(moistureOn(forecast, d).toFixed(2)),
  ]);
  const weighed = bundle.weighings.map((w) => [
    w.day,
    Number(((w.grams / forecast.dryWeight - 1) * 100).toFixed(2)),
  ]);
  const line = (name: string) => ({
    silent: true,
    symbol: 'none',
    label: { formatter: name, position: 'insideEndTop' as const },
  });
  return {
    grid: { left: 50, right: 20, top: 16, bottom: 28 },
    tooltip: { trigger: 'axis', valueFormatter: (v: unknown) => `${Number(v).toFixed(1)} %` },
    xAxis: {
      type: 'time',
      min: first,
      max: day(until),
      axisPointer: {
        label: {
          formatter: ({ value }: { value: number }) => dayWords(new Date(value).toISOString().slice(0, 10)),
        },
      },
    },
    yAxis: { type: 'value', name: '', axisLabel: { formatter: '{value} %' }, min: 0 },
    series: [
      {
        type: 'line',
        name: 'by the curve',
        data: curve,
        showSymbol: false,
        lineStyle: { color: '#17695c', width: 2.4 },
        itemStyle: { color: '#17695c' },
        markLine: {
          ...line(''),
          data: [
            {
              yAxis: bundle.target,
              label: { formatter: `target ${bundle.target} %` },
              lineStyle: { color: '#6f4f0b', type: 'dashed' },
            },
            { xAxis: today, label: { formatter: 'today', position: 'end' }, lineStyle: { color: '#1c322d' } },
          ],
        },
        markArea: {
          silent: true,
          itemStyle: { color: '#b98a2f', opacity: 0.22 },
          data: ready ? [[{ xAxis: day(ready.earliest) }, { xAxis: day(ready.latest ?? until) }]] : [],
        },
      },
      {
        type: 'scatter',
        name: 'weighed',
        data: weighed,
        symbol: 'diamond',
        symbolSize: 11,
        itemStyle: { color: '#6f4f0b' },
      },
    ],
  };
}
