import {
  dim,
  JOIN_KINDS,
  type Kit,
  PART_ENDS,
  type PartEnd,
  type PartJoin,
  type PartJoinKind,
  type PatternBody,
} from '@compas/core';
import { Button, Select } from 'antd';
import { LengthInput } from '../ui/LengthInput.js';
import { withNew } from './editing.js';
import { useEditor } from './editor.js';
import { choicesFrom } from '../ui/choices.js';

const ENDS = PART_ENDS.map((end) => ({ value: end, label: `${end} end` }));

/** How the parts of the item meet, and all its hardware. */
export function JoinsPanel({ kits }: { kits: Kit[] }) {
  const { body, change } = useEditor();
  const names = kitNames(body, kits);
  const holes = body.parts.flatMap((p) => p.holes.map((h) => ({ part: p, hole: h })));
  const add = () => {
    const target = holes[0];
    const inner = body.parts.find((p) => p.id !== target?.part.id);
    if (!target || !inner) return;
    change(
      withNew(body, 'join', (id, b) => ({
        ...b,
        joins: [
          ...(b.joins ?? []),
          {
            id,
            kind: 'pin in hole',
            inner: { partId: inner.id, end: 'reference' },
            outer: { partId: target.part.id, holeId: target.hole.id },
            depth: dim(10),
          },
        ],
      })),
    );
  };
  const possible = body.parts.length > 1 && holes.length > 0;
  return (
    <div className="column">
      <div className="row">
        <h2>Joins</h2>
        <Button size="small" onClick={add} disabled={!possible}>
          + add a join
        </Button>
      </div>
      {!possible && (
        <p className="soft">
          A join needs two parts, and a hole in one of them. Add a part, then a hole, then come back.
        </p>
      )}
      {(body.joins ?? []).map((join) => (
        <JoinRow key={join.id} join={join} />
      ))}
      <h2>Hardware of the item</h2>
      {names.length === 0 ? (
        <p className="soft">None.</p>
      ) : (
        <ul className="flush">
          {names.map((name) => (
            <li key={name}>{name}</li>
          ))}
        </ul>
      )}
    </div>
  );
}

const kitNames = (body: PatternBody, kits: Kit[]): string[] =>
  body.hardware.map((h) => {
    const part = body.parts.find((p) => p.id === h.partId)?.name ?? '';
    return `${kits.find((k) => k.id === h.kitId)?.name ?? 'a kit that has gone'}, at the ${h.end} end of the ${part}`;
  });

function JoinRow({ join }: { join: PartJoin }) {
  const { body, change } = useEditor();
  const put = (changed: PartJoin) =>
    change({ ...body, joins: body.joins?.map((j) => (j.id === join.id ? changed : j)) });
  const carries = join.kind === 'ring on shaft' || join.kind === 'cord through';
  const parts = body.parts.map((p) => ({ value: p.id, label: p.name }));
  const holes = body.parts
    .filter((p) => p.id !== join.inner.partId)
    .flatMap((p) => p.holes.map((h) => ({ value: `${p.id} ${h.id}`, label: `${h.name} of the ${p.name}` })));
  return (
    <div className="row hole-row">
      <Select<PartJoinKind>
        aria-label="How they join"
        className="w-word"
        value={join.kind}
        onChange={(kind) =>
          put({ ...join, kind, at: kind === 'ring on shaft' ? (join.at ?? dim(20)) : join.at })
        }
        options={choicesFrom(JOIN_KINDS)}
      />
      <Select
        aria-label="Part that enters"
        className="w-word"
        value={join.inner.partId}
        onChange={(partId) => put({ ...join, inner: { ...join.inner, partId } })}
        options={parts}
      />
      {!carries && (
        <Select<PartEnd>
          aria-label="Its end"
          className="w-word"
          value={join.inner.end}
          onChange={(end) => put({ ...join, inner: { ...join.inner, end } })}
          options={ENDS}
        />
      )}
      <span className="soft">{carries ? 'carries' : 'enters'}</span>
      <Select
        aria-label="Hole it goes in"
        className="w-phrase"
        value={`${join.outer.partId} ${join.outer.holeId}`}
        onChange={(value) => {
          const [partId = '', holeId = ''] = value.split(' ');
          put({ ...join, outer: { partId, holeId } });
        }}
        options={holes}
      />
      {carries ? (
        <LengthInput
          label="Sits at"
          showLabel
          value={join.at ?? dim(20)}
          onChange={(at) => put({ ...join, at })}
        />
      ) : (
        <LengthInput
          label="Enters by"
          showLabel
          value={join.depth}
          onChange={(depth) => put({ ...join, depth })}
        />
      )}
      <Button
        size="small"
        type="text"
        aria-label="Take the join away"
        onClick={() => change({ ...body, joins: body.joins?.filter((j) => j.id !== join.id) })}
      >
        ✕
      </Button>
    </div>
  );
}
