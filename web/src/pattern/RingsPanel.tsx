import { outlineOf, ringPlace, type CaptiveRing, type Dimension } from '@compas/core';
import { Button, Input } from 'antd';
import { Length } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';
import { addRing, changeRings } from './hollowsAndRings.js';
import { useEditor } from './editor.js';

/** Rings that are turned out of the same wood, round the shaft they stay on. */
export function RingsPanel() {
  const { body, part, change } = useEditor();
  return (
    <div className="column">
      <div className="row">
        <h2>Loose rings</h2>
        <Button size="small" onClick={() => change(addRing(body, part.id))}>
          + add a ring
        </Button>
      </div>
      {(part.rings ?? []).map((ring) => (
        <RingRow key={ring.id} ring={ring} />
      ))}
    </div>
  );
}

const SIZES: [keyof CaptiveRing & ('at' | 'width' | 'across' | 'play'), string][] = [
  ['at', 'middle at'],
  ['width', 'wide'],
  ['across', 'across'],
  ['play', 'play round the shaft'],
];

function RingRow({ ring }: { ring: CaptiveRing }) {
  const { body, part, change } = useEditor();
  const put = (changed: CaptiveRing) =>
    change(changeRings(body, part.id, (all) => all.map((r) => (r.id === ring.id ? changed : r))));
  const { inside } = ringPlace(ring, outlineOf(part.turnings[0]));
  return (
    <div className="row hole-row">
      <Input
        aria-label="Name of the ring"
        value={ring.name}
        maxLength={60}
        className="w-word"
        onChange={(e) => put({ ...ring, name: e.target.value || 'ring' })}
      />
      {SIZES.map(([key, words]) => (
        <LengthInput
          key={key}
          label={`${ring.name}, ${words}`}
          showLabel
          value={ring[key]}
          onChange={(value: Dimension) => put({ ...ring, [key]: value })}
        />
      ))}
      <span className="soft">
        <Length mm={inside} /> inside
      </span>
      <Button
        size="small"
        type="text"
        aria-label={`Take ${ring.name} away`}
        onClick={() => change(changeRings(body, part.id, (all) => all.filter((r) => r.id !== ring.id)))}
      >
        ✕
      </Button>
    </div>
  );
}
