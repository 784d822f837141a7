import { DxfWriter, point2d, Units } from '@tarikjabiri/dxf';
import type { Ink, Page } from '../page.js';
import { xmlText } from '../xmlText.js';

const mm = (value: number): string => String(Number(value.toFixed(4)));
/** A page as SVG at its true size; what is cut stands in the group “cut”, all else in “marks”. */
export function pageSvg({ width, height, ink }: Page, title: string): string {
  const group = (id: string, some: readonly Ink[]) =>
    `<g id="${id}" fill="none" stroke="black">${some.map(svgOf).join('')}</g>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(height)}mm" viewBox="0 0 ${mm(width)} ${mm(height)}">`,
    `<title>${xmlText(title)}</title>`,
    group('cut', ink.filter(isCut)),
    group(
      'marks',
      ink.filter((i) => !isCut(i)),
    ),
    '</svg>\n',
  ].join('\n');
}

const isCut = (ink: Ink): boolean => ink.kind !== 'text' && ink.cut === true;

function svgOf(ink: Ink): string {
  switch (ink.kind) {
    case 'line': {
      const dash = ink.dashed ? ' stroke-dasharray="1.5 1"' : '';
      return `<path d="M${mm(ink.x0)} ${mm(ink.y0)}L${mm(ink.x1)} ${mm(ink.y1)}" stroke-width="${mm(ink.weight)}"${dash}/>`;
    }
    case 'polyline': {
      const d = ink.points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${mm(x)} ${mm(y)}`).join('');
      return `<path d="${d}" stroke-width="${mm(ink.weight)}"${ink.filled ? ' fill="black"' : ''}/>`;
    }
    case 'text': {
      const anchor = { left: 'start', centre: 'middle', right: 'end' }[ink.align ?? 'left'];
      return `<text x="${mm(ink.x)}" y="${mm(ink.y)}" font-size="${mm(ink.size)}" font-family="sans-serif" text-anchor="${anchor}" fill="black" stroke="none">${xmlText(ink.text)}</text>`;
    }
  }
}

/** A page as DXF in mm, its lower left corner at the origin; layers CUT and MARK, words on NOTE. */
export function pageDxf({ height, ink }: Page): string {
  const writer = new DxfWriter();
  writer.setUnits(Units.Millimeters);
  writer.addLayer('CUT', 1, 'Continuous');
  writer.addLayer('MARK', 5, 'Continuous');
  writer.addLayer('NOTE', 8, 'Continuous');
  const up = (y: number) => height - y;
  for (const i of ink) {
    if (i.kind === 'text') {
      const plain = i.text.replace(/[^\x20-\x7e]/g, (c) => ({ '·': '|', '⌀': 'dia', '°': ' deg' })[c] ?? '');
      writer.addText({ x: i.x, y: up(i.y), z: 0 }, i.size, plain, { layerName: 'NOTE' });
      continue;
    }
    const layerName = i.cut ? 'CUT' : 'MARK';
    const points: readonly [number, number][] =
      i.kind === 'line'
        ? [
            [i.x0, i.y0],
            [i.x1, i.y1],
          ]
        : i.points;
    writer.addLWPolyline(
      points.map(([x, y]) => ({ point: point2d(x, up(y)) })),
      { layerName },
    );
  }
  return writer.stringify();
}
