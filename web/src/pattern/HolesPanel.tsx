import { type CrossHole, dim, type Hole, type HoleStep, PART_ENDS } from '@compas/core';
import { Button, Checkbox, Input, InputNumber, Select } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';
import { changeCrossHoles, changeHoles, withNew } from './editing.js';
import { useEditor } from './editor.js';

const ENDS = PART_ENDS.map((end) => ({ value: end, label: `from the ${end} end` }));

/** Holes that the pattern itself asks for, besides those of its hardware. */
export function HolesPanel() {
  const { body, part, change } = useEditor();
  const add = () =>
    change(
      withNew(body, 'hole', (id, b) =>
        changeHoles(b, part.id, (all) => [
          ...all,
          {
            id,
            name: 'hole',
            from: 'reference',
            through: false,
            pointAngle: 118,
            steps: [{ diameter: dim(6), depth: dim(20) }],
          },
        ]),
      ),
    );
  const addCross = () =>
    change(
      withNew(body, 'cross', (id, b) =>
        changeCrossHoles(b, part.id, (all) => [
          ...all,
          {
            id,
            name: all.length === 0 ? 'cross hole' : `cross hole ${all.length + 1}`,
            from: all[0]?.from ?? 'reference',
            at: dim(12),
            angle: all.length === 0 ? 0 : ((all.at(-1)?.angle ?? 0) + 90) % 360,
            diameter: dim(5),
            through: true,
          },
        ]),
      ),
    );
  return (
    <div className="column">
      <div className="row">
        <h2>Holes along the axis</h2>
        <Button size="small" onClick={add}>
          + add a hole
        </Button>
      </div>
      {part.holes.length === 0 && <p className="soft">None of its own. Those of its hardware are drawn.</p>}
      {part.holes.map((hole) => (
        <HoleRow key={hole.id} hole={hole} />
      ))}
      <div className="row">
        <h2>Holes across it</h2>
        <Button size="small" onClick={addCross}>
          + add a cross hole
        </Button>
      </div>
      {(part.crossHoles ?? []).map((hole) => (
        <CrossRow key={hole.id} hole={hole} />
      ))}
    </div>
  );
}

function HoleRow({ hole }: { hole: Hole }) {
  const { body, part, change } = useEditor();
  const put = (changed: Hole) =>
    change(changeHoles(body, part.id, (all) => all.map((h) => (h.id === hole.id ? changed : h))));
  const step = (i: number, changed: Partial<HoleStep>) =>
    put({ ...hole, steps: hole.steps.map((s, j) => (j === i ? { ...s, ...changed } : s)) });
  const last = hole.steps.at(-1);
  return (
    <div className="row hole-row">
      <Input
        aria-label="Name of the hole"
        value={hole.name}
        maxLength={60}
        className="w-word"
        onChange={(e) => put({ ...hole, name: e.target.value || 'hole' })}
      />
      <Select
        aria-label={`${hole.name}, from`}
        value={hole.from}
        className="w-phrase"
        onChange={(from) => put({ ...hole, from })}
        options={ENDS}
      />
      {hole.steps.map((s, i) => (
        <span key={i} className="row at-foot gap-close">
          <LengthInput
            label={`${hole.name}, diameter ${i + 1}`}
            showLabel
            value={s.diameter}
            onChange={(diameter) => step(i, { diameter })}
          />
          {!hole.through && (
            <LengthInput
              label={`${hole.name}, depth ${i + 1}`}
              showLabel
              value={s.depth}
              onChange={(depth) => step(i, { depth })}
            />
          )}
          {s.endDiameter ? (
            <span className="held-input">
              <LengthInput
                label={`${hole.name}, tapers to ${i + 1}`}
                showLabel
                value={s.endDiameter}
                onChange={(endDiameter) => step(i, { endDiameter })}
              />
              <button
                type="button"
                className="hold"
                aria-label={`Step ${i + 1} of ${hole.name} straight again`}
                onClick={() => step(i, { endDiameter: undefined })}
              >
                ✕
              </button>
            </span>
          ) : (
            <Button
              size="small"
              type="text"
              onClick={() => step(i, { endDiameter: dim(s.diameter.mm * 0.8) })}
              aria-label={`Taper step ${i + 1} of ${hole.name}`}
            >
              taper
            </Button>
          )}
        </span>
      ))}
      <Checkbox checked={hole.through} onChange={(e) => put({ ...hole, through: e.target.checked })}>
        through
      </Checkbox>
      <Button
        size="small"
        disabled={hole.through}
        onClick={() =>
          last &&
          put({
            ...hole,
            steps: [
              ...hole.steps,
              { diameter: dim((last.endDiameter ?? last.diameter).mm * 0.7), depth: dim(last.depth.mm + 10) },
            ],
          })
        }
      >
        + step
      </Button>
      <Button
        size="small"
        type="text"
        aria-label={`Take ${hole.name} away`}
        onClick={() => change(changeHoles(body, part.id, (all) => all.filter((h) => h.id !== hole.id)))}
      >
        ✕
      </Button>
    </div>
  );
}

function CrossRow({ hole }: { hole: CrossHole }) {
  const { body, part, change } = useEditor();
  const put = (changed: CrossHole) =>
    change(changeCrossHoles(body, part.id, (all) => all.map((h) => (h.id === hole.id ? changed : h))));
  return (
    <div className="row hole-row">
      <Input
        aria-label="Name of the cross hole"
        value={hole.name}
        maxLength={60}
        className="w-word"
        onChange={(e) => put({ ...hole, name: e.target.value || 'cross hole' })}
      />
      <Select
        aria-label={`${hole.name}, from`}
        value={hole.from}
        className="w-phrase"
        onChange={(from) => put({ ...hole, from })}
        options={ENDS}
      />
      <LengthInput
        label={`${hole.name}, at`}
        showLabel
        value={hole.at}
        onChange={(at) => put({ ...hole, at })}
      />
      <LengthInput
        label={`${hole.name}, diameter`}
        showLabel
        value={hole.diameter}
        onChange={(diameter) => put({ ...hole, diameter })}
      />
      <label className="column gap-hair">
        round the axis, °
        <InputNumber
          aria-label={`${hole.name}, angle`}
          className="w-figure"
          min={-360}
          max={360}
          step={15}
          value={hole.angle}
          onChange={(angle) => put({ ...hole, angle: angle ?? 0 })}
        />
      </label>
      <Checkbox
        checked={hole.through}
        onChange={(e) =>
          put({ ...hole, through: e.target.checked, depth: e.target.checked ? undefined : dim(10) })
        }
      >
        through
      </Checkbox>
      {!hole.through && (
        <LengthInput
          label={`${hole.name}, depth`}
          showLabel
          value={hole.depth ?? dim(0)}
          onChange={(depth) => put({ ...hole, depth })}
        />
      )}
      <Button
        size="small"
        type="text"
        aria-label={`Take ${hole.name} away`}
        onClick={() => change(changeCrossHoles(body, part.id, (all) => all.filter((h) => h.id !== hole.id)))}
      >
        ✕
      </Button>
    </div>
  );
}
