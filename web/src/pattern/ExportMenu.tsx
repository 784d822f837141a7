import {
  latheMesh,
  outlineOf,
  profileCsv,
  profileDxf,
  profileSvg,
  stlOf,
  writePattern,
  type Part,
  type PatternBody,
} from '@compas/core';
import { App, Button, Dropdown } from 'antd';
import { useUnits } from '../ui/units.js';

interface ExportMenuProps {
  patternId: string;
  name: string;
  body: PatternBody;
  part: Part;
}

/** Chords of a printed surface stay this near to the true one, mm. */
const CHORD_ERRORS = [0.1, 0.02, 0.005];

/** The profile and the pattern in open formats, and the dimensioned drawing. */
export function ExportMenu({ patternId, name, body, part }: ExportMenuProps) {
  const { units } = useUnits();
  const { message } = App.useApp();
  const outline = () => outlineOf(part.turnings[0]);
  const file = `${name}${body.parts.length > 1 ? `, ${part.name}` : ''}`;
  const making: Record<string, () => void> = {
    json: () => download(`${name}.compas.json`, 'application/json', writePattern(name, body)),
    svg: () => download(`${file}.svg`, 'image/svg+xml', profileSvg(outline(), file)),
    dxf: () => download(`${file}.dxf`, 'image/vnd.dxf', profileDxf(outline())),
    csv: () => download(`${file}.csv`, 'text/csv', profileCsv(outline())),
    pdf: () => {
      window.open(`/api/patterns/${patternId}/drawing.pdf?paper=A4&units=${units}`, '_blank', 'noopener');
    },
  };
  for (const error of CHORD_ERRORS)
    making[`stl ${error}`] = () => {
      download(`${file}.stl`, 'model/stl', stlOf([latheMesh(outline(), part.holes, error)]));
      if ((part.crossHoles ?? []).length > 0)
        void message.info(
          'The surface is closed and has its holes along the axis; cross holes are not cut in it.',
        );
    };
  return (
    <Dropdown
      trigger={['click']}
      menu={{
        items: [
          { key: 'pdf', label: 'Dimensioned drawing, PDF (as saved)' },
          { key: 'svg', label: 'Profile, SVG' },
          { key: 'dxf', label: 'Profile, DXF' },
          { key: 'csv', label: 'Profile, CSV' },
          ...CHORD_ERRORS.map((e) => ({ key: `stl ${e}`, label: `Surface, STL, within ${e} mm` })),
          { key: 'json', label: 'The whole pattern, to take it elsewhere' },
        ],
        onClick: ({ key }) => making[key]?.(),
      }}
    >
      <Button>Give out</Button>
    </Dropdown>
  );
}

function download(name: string, type: string, content: string | Uint8Array): void {
  const url = URL.createObjectURL(new Blob([content as BlobPart], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name.replace(/[\\/:*?"<>|]/g, ' ');
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
