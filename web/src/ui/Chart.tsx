import { LineChart, ScatterChart } from 'echarts/charts';
import {
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  MarkPointComponent,
  TooltipComponent,
} from 'echarts/components';
import { init, use as withParts, type EChartsCoreOption } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

withParts([
  LineChart,
  ScatterChart,
  GridComponent,
  TooltipComponent,
  MarkAreaComponent,
  MarkLineComponent,
  MarkPointComponent,
  CanvasRenderer,
]);

const FACE = { fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif", color: '#1c322d' };

interface ChartProps {
  /** what is drawn; kept the same object while nothing changes */
  option: EChartsCoreOption & { tooltip?: object };
  /** what is seen, in words */
  label: string;
  size: 'low' | 'middling' | 'tall';
}

/** A chart in our face and without movement, that follows the width it is given. */
export function Chart({ option, label, size }: ChartProps) {
  const ref = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!ref.current) return;
    // on canvas: what ECharts writes as SVG or HTML carries its style in it, which a page of ours does not take
    const chart = init(ref.current);
    const tooltip = option.tooltip && { ...option.tooltip, renderMode: 'richText', textStyle: FACE };
    chart.setOption({ animation: false, textStyle: FACE, ...option, tooltip });
    const observer = new ResizeObserver(() => chart.resize());
    observer.observe(ref.current);
    return () => {
      observer.disconnect();
      chart.dispose();
    };
  }, [option]);
  return <div ref={ref} className="chart" data-size={size} role="img" aria-label={label} />;
}
