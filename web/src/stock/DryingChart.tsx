import { dayAfter, daysBetween, moistureOn, type DryingBundle, type DryingForecast } from '@compas/core';
import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { init, use as withParts } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

withParts([
  LineChart,
  ScatterChart,
  GridComponent,
  TooltipComponent,
  MarkAreaComponent,
  MarkLineComponent,
  SVGRenderer,
]);

interface DryingChartProps {
  bundle: DryingBundle;
  forecast: DryingForecast;
  today: string;
}

/** Moisture over the days: weighed, by the curve, until the target; the days it may fall on shaded. */
export default function DryingChart({ bundle, forecast, today }: DryingChartProps) {
  const ref = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!ref.current) return;
    const chart = init(ref.current, null, { renderer: 'svg' });
    chart.setOption(optionsFor(bundle, forecast, today));
    const observer = new ResizeObserver(() => chart.resize());
    observer.observe(ref.current);
    return () => {
      observer.disconnect();
      chart.dispose();
    };
  }, [bundle, forecast, today]);
  return (
    <div
      ref={ref}
      style={{ height: 270 }}
      role="img"
      aria-label={`Moisture of ${bundle.label} over the days`}
    />
  );
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
    animation: false,
    textStyle: {
      fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif",
      color: '#1c322d',
      fontSize: 13,
    },
    grid: { left: 50, right: 20, top: 16, bottom: 28 },
    tooltip: { trigger: 'axis', valueFormatter: (v: unknown) => `${Number(v).toFixed(1)} %` },
    xAxis: { type: 'time', min: first, max: day(until) },
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
