import { LineChart, ScatterChart } from 'echarts/charts';
import {
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  MarkPointComponent,
  TooltipComponent,
} from 'echarts/components';
import { init, use as withParts, type EChartsCoreOption } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

withParts([
  LineChart,
  ScatterChart,
  GridComponent,
  TooltipComponent,
  MarkAreaComponent,
  MarkLineComponent,
  MarkPointComponent,
  SVGRenderer,
]);

const FACE = { fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif", color: '#1c322d' };

interface ChartProps {
  /** what is drawn; kept the same object while nothing changes */
  option: EChartsCoreOption;
  /** what is seen, in words */
  label: string;
  size: 'low' | 'middling' | 'tall';
}

/** A chart in our face and without movement, that follows the width it is given. */
export function Chart({ option, label, size }: ChartProps) {
  const ref = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!ref.current) return;
    const chart = init(ref.current, null, { renderer: 'svg' });
    chart.setOption({ animation: false, textStyle: FACE, ...option });
    const observer = new ResizeObserver(() => chart.resize());
    observer.observe(ref.current);
    return () => {
      observer.disconnect();
      chart.dispose();
    };
  }, [option]);
  return <div ref={ref} className="chart" data-size={size} role="img" aria-label={label} />;
}
