import { latheMesh, outlineOf, profileCsv, profileDxf, profileSvg, stlOf, writePattern } from '@compas/core';
import { App, Button, Dropdown } from 'antd';
import { memo } from 'react';
import { download } from '../ui/download.js';
import { useUnits } from '../ui/units.js';
import { partAt, turningAt } from './editing.js';
import { useEditorActions } from './editor.js';

interface ExportMenuProps {
  patternId: string;
  name: string;
}

/** Chords of a printed surface stay this near to the true one, mm. */
const CHORD_ERRORS = [0.1, 0.02, 0.005];

/** The profile and the pattern in open formats, and the dimensioned drawing. */
export const ExportMenu = memo(function ExportMenu({ patternId, name }: ExportMenuProps) {
  const { units } = useUnits();
  const { message } = App.useApp();
  const { spot, read } = useEditorActions();
  const part = () => partAt(read(), spot);
  // a profile goes out as it is edited: of the first axis, of a further one, of a hollow
  const outline = () => outlineOf(turningAt(read(), spot));
  const called = () => `${name}${read().parts.length > 1 ? `, ${part().name}` : ''}`;
  const making: Record<string, () => void> = {
    json: () => download(`${name}.compas.json`, 'application/json', writePattern(name, read())),
    svg: () => download(`${called()}.svg`, 'image/svg+xml', profileSvg(outline(), called())),
    dxf: () => download(`${called()}.dxf`, 'image/vnd.dxf', profileDxf(outline())),
    csv: () => download(`${called()}.csv`, 'text/csv', profileCsv(outline())),
    pdf: () => {
      window.open(`/api/patterns/${patternId}/drawing.pdf?paper=A4&units=${units}`, '_blank', 'noopener');
    },
  };
  for (const error of CHORD_ERRORS)
    making[`stl ${error}`] = () => {
      download(
        `${called()}.stl`,
        'model/stl',
        stlOf([latheMesh(outlineOf(part().turnings[0]), part().holes, error)]),
      );
      if ((part().crossHoles ?? []).length + (part().hollows ?? []).length > 0)
        void message.info(
          'The surface is closed and has its holes along the axis; cross holes and hollows are not cut in it.',
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
});
