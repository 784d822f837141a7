import {
  DESIGN_ORIGINS,
  type DesignSource,
  dim,
  type MatingOutline,
  meetingOf,
  outlineOf,
  PART_ENDS,
  type PartEnd,
  type PatternBody,
} from '@compas/core';
import { Button, Input, Select } from 'antd';
import { Length } from '../ui/Length.js';
import { LengthInput } from '../ui/LengthInput.js';
import { withNew } from './editing.js';
import { useEditor } from './editor.js';
import { ImportFile } from './ImportFile.js';
import { choicesOf } from '../ui/choices.js';

/** Where the design comes from and what its owner allows; and the things it must meet. */
export function SourcePanel() {
  const { body, part, change } = useEditor();
  const source = body.source ?? { from: 'own', words: '', allows: '' };
  const put = (changed: Partial<DesignSource>, tag?: string) =>
    change({ ...body, source: { ...source, ...changed } }, tag);
  const add = (name: string, points: MatingOutline['points']) =>
    change(
      withNew(body, 'mate', (id, b) => ({
        ...b,
        mates: [...(b.mates ?? []), { id, name, partId: part.id, end: 'reference', points }],
      })),
    );
  const plain = part.turnings[0].startDiameter;
  return (
    <div className="column">
      <h2>Whose design it is</h2>
      <div className="row">
        <Select
          aria-label="Where the design comes from"
          className="w-name"
          value={source.from}
          options={choicesOf(DESIGN_ORIGINS)}
          onChange={(from) => put({ from })}
        />
        <Input
          aria-label="More about its source"
          placeholder="who, when, which piece"
          className="w-line"
          maxLength={300}
          value={source.words}
          onChange={(e) => put({ words: e.target.value }, 'source words')}
        />
        <Input
          aria-label="What its owner allows"
          placeholder="what its owner allows"
          className="w-line"
          maxLength={300}
          value={source.allows}
          onChange={(e) => put({ allows: e.target.value }, 'source allows')}
        />
      </div>
      <div className="row">
        <h2>What it must meet</h2>
        <Button
          size="small"
          onClick={() =>
            add('bottle neck', [
              { at: dim(0), diameter: plain },
              { at: dim(10), diameter: plain },
            ])
          }
        >
          + draw it by diameters
        </Button>
        <ImportFile
          words="+ read it from a file"
          size="small"
          onImported={(read) => add(read.name.slice(0, 60), pointsOn(read.body))}
        />
      </div>
      <p className="soft">
        The bottle neck, the hardware, a customer’s piece: a few diameters, measured from where they touch
        outwards.
      </p>
      {(body.mates ?? [])
        .filter((m) => m.partId === part.id)
        .map((mate) => (
          <MateRow key={mate.id} mate={mate} />
        ))}
    </div>
  );
}

/** Diameters of an outline at its transitions, from its reference end: that is where it touches. */
function pointsOn(body: PatternBody): MatingOutline['points'] {
  const { spans } = outlineOf(body.parts[0].turnings[0]);
  const start = { at: dim(0), diameter: dim(spans[0]?.startDiameter ?? 0) };
  return [start, ...spans.map((s) => ({ at: dim(s.x1), diameter: dim(s.endDiameter) }))].slice(0, 200);
}

function MateRow({ mate }: { mate: MatingOutline }) {
  const { body, part, change } = useEditor();
  const put = (changed: MatingOutline) =>
    change({ ...body, mates: body.mates?.map((m) => (m.id === mate.id ? changed : m)) });
  const meeting = meetingOf(outlineOf(part.turnings[0]), mate);
  const last = mate.points.at(-1);
  return (
    <div className="row hole-row">
      <Input
        aria-label="Name of what it meets"
        className="w-word"
        maxLength={60}
        value={mate.name}
        onChange={(e) => put({ ...mate, name: e.target.value || 'thing' })}
      />
      <Select<PartEnd>
        aria-label="At which end"
        className="w-name"
        value={mate.end}
        onChange={(end) => put({ ...mate, end })}
        options={PART_ENDS.map((end) => ({ value: end, label: `at the ${end} end` }))}
      />
      <span className="soft">at, diameter</span>
      {mate.points.map((point, i) => (
        <span key={i} className="held-input">
          <LengthInput
            label={`${mate.name}, place ${i + 1}`}
            value={point.at}
            onChange={(at) =>
              put({ ...mate, points: mate.points.map((p, j) => (j === i ? { ...p, at } : p)) })
            }
          />
          <LengthInput
            label={`${mate.name}, diameter ${i + 1}`}
            value={point.diameter}
            onChange={(diameter) =>
              put({ ...mate, points: mate.points.map((p, j) => (j === i ? { ...p, diameter } : p)) })
            }
          />
        </span>
      ))}
      <Button
        size="small"
        onClick={() =>
          last &&
          put({ ...mate, points: [...mate.points, { at: dim(last.at.mm + 10), diameter: last.diameter }] })
        }
      >
        + diameter
      </Button>
      {meeting && (
        <span>
          {Math.abs(meeting.step) < 0.05 ? (
            'flush'
          ) : (
            <>
              a step of <Length mm={Math.abs(meeting.step)} />
            </>
          )}
          , the line turns by {Math.round(meeting.kink)}°
        </span>
      )}
      <Button
        size="small"
        type="text"
        aria-label={`Take ${mate.name} away`}
        onClick={() => change({ ...body, mates: body.mates?.filter((m) => m.id !== mate.id) })}
      >
        ✕
      </Button>
    </div>
  );
}
