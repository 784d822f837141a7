import { dim, outlineOf, wallOf, type Hollow, type Opening, OPENINGS } from '@compas/core';
import { Button, Input, InputNumber, Select } from 'antd';
import { choicesOf } from '../ui/choices.js';
import { Length } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';
import { addHollow, changeHollows } from './hollowsAndRings.js';
import { useEditor } from './editor.js';

/** Bowls, recesses and undercuts: each has a profile of its own, from its rim into the wood. */
export function HollowsPanel({ onProfile }: { onProfile: () => void }) {
  const { body, part, change, goTo, select } = useEditor();
  const add = () => change(addHollow(body, part.id));
  return (
    <div className="column">
      <div className="row">
        <h2>Hollows</h2>
        <Button size="small" onClick={add}>
          + add a hollow
        </Button>
      </div>
      {(part.hollows ?? []).map((hollow) => (
        <HollowRow
          key={hollow.id}
          hollow={hollow}
          onProfile={() => {
            select(null);
            goTo({ partId: part.id, turningId: hollow.id });
            onProfile();
          }}
        />
      ))}
    </div>
  );
}

function HollowRow({ hollow, onProfile }: { hollow: Hollow; onProfile: () => void }) {
  const { body, part, spot, change, goTo } = useEditor();
  const { name, axis, rim } = hollow;
  const put = (changed: Hollow) =>
    change(changeHollows(body, part.id, (all) => all.map((h) => (h.id === hollow.id ? changed : h))));
  const remove = () => {
    change(changeHollows(body, part.id, (all) => all.filter((h) => h.id !== hollow.id)));
    if (spot.turningId === hollow.id) goTo({ partId: part.id, turningId: part.turnings[0].id });
  };
  return (
    <div className="row hole-row">
      <Input
        aria-label="Name of the hollow"
        value={name}
        maxLength={60}
        className="w-word"
        onChange={(e) => put({ ...hollow, name: e.target.value || 'hollow' })}
      />
      <Select<Opening>
        aria-label={`${name}, opens`}
        value={hollow.opens}
        className="w-phrase"
        onChange={(opens) => put(opening(hollow, opens, outlineOf(part.turnings[0]).length))}
        options={choicesOf(OPENINGS)}
      />
      {hollow.opens === 'side' && axis && (
        <>
          <LengthInput
            label={`${name}, middle at`}
            showLabel
            value={axis.along ?? dim(0)}
            onChange={(along) => put({ ...hollow, axis: { ...axis, along } })}
          />
          <label className="column gap-hair">
            round the axis, °
            <InputNumber
              aria-label={`${name}, direction`}
              className="w-figure"
              min={-360}
              max={360}
              step={15}
              value={axis.direction}
              onChange={(direction) => put({ ...hollow, axis: { ...axis, direction: direction ?? 0 } })}
            />
          </label>
          <LengthInput
            label={`${name}, rim above the axis`}
            showLabel
            value={rim ?? dim(0)}
            onChange={(value) => put({ ...hollow, rim: value })}
          />
        </>
      )}
      <LengthInput
        label={`${name}, across its rim`}
        showLabel
        value={hollow.startDiameter}
        onChange={(startDiameter) => put({ ...hollow, startDiameter })}
      />
      <span className="soft">
        <Length mm={wallOf(hollow).length} /> deep
      </span>
      <Button size="small" onClick={onProfile}>
        Its profile
      </Button>
      <Button size="small" type="text" aria-label={`Take ${name} away`} onClick={remove}>
        ✕
      </Button>
    </div>
  );
}

/** One in a side needs to know where; one in an end lies on the axis of the part. */
function opening(hollow: Hollow, opens: Opening, length: number): Hollow {
  const { axis, rim, ...rest } = hollow;
  if (opens !== 'side') return { ...rest, opens };
  return {
    ...rest,
    opens,
    axis: axis ?? { shift: dim(0), direction: 0, tilt: 90, along: dim(Math.round(length * 5) / 10) },
    rim: rim ?? dim(0),
  };
}
