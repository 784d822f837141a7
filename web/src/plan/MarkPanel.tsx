import {
  asTolerance,
  formatLength,
  withoutShade,
  threeUnits,
  type Mark,
  type PartPlan,
  type PlanInputs,
  type Units,
} from '@compas/core';
import { Worked } from '../ui/Worked.js';
import { Length, Say } from '../ui/Length.js';
import { useUnits } from '../ui/units.js';
import type { Choose } from './draft.js';
import { AlwaysSo } from './own/AlwaysSo.js';
import { PATTERN_ONLY } from './own/deciding.js';
import { MarksChoice } from './own/MarksChoice.js';
import { OwnList } from './own/OwnList.js';
import { Print1to1 } from './Paper.js';

/** The sign of what happens at a mark, as it stands on the stick. */
const SIGN: Record<NonNullable<Mark['does']>, { sign: string; words: string }> = {
  end: { sign: '‖', words: 'end' },
  change: { sign: '│', words: 'the shape changes' },
  shoulder: { sign: '┘', words: 'shoulder, cut square' },
  groove: { sign: '∨', words: 'groove, point of the skew' },
  hole: { sign: '○', words: 'cross hole' },
  size: { sign: '┼', words: 'crown or bottom, sized' },
};

interface MarkPanelProps {
  part: PartPlan;
  inputs: PlanInputs;
  choose?: Choose;
  batchId?: string;
}

/** Sizing cuts, and the story stick with all its marks from one datum. */
export function MarkPanel({ part, inputs, choose, batchId }: MarkPanelProps) {
  const { layout } = part;
  const { datum } = layout;
  return (
    <>
      <h2>
        Size {layout.sizing.length} places, marks from the {datum?.label ?? 'reference end'}
      </h2>
      {datum && (
        <AlwaysSo
          part={part}
          inputs={inputs}
          decides={{ kind: 'datum', markId: datum.id }}
          label="Mark from there always"
          scopes={PATTERN_ONLY}
        />
      )}
      <table className="table">
        <thead>
          <tr>
            <th>Place</th>
            <th className="number">At</th>
            <th className="number">Cut to</th>
            <th className="number">Finished</th>
            <th className="number">±</th>
            <th>Gauge</th>
          </tr>
        </thead>
        <tbody>
          {layout.sizing.map((cut) => (
            <tr key={cut.id}>
              <td>{cut.label}</td>
              <td className="number">
                <Length mm={cut.from ?? cut.x} />
              </td>
              <td className="number">
                <Worked figure={layout.figures.find((f) => f.id === `size.${cut.id}`)}>
                  <b>
                    <Length mm={cut.cutTo} />
                  </b>
                </Worked>
              </td>
              <td className="number">
                <Length mm={cut.finished} />
              </td>
              <td className="number">
                <Say text={asTolerance(cut.tolerance)} />
              </td>
              <td>
                <Say text={cut.gauge.words} />
                {cut.transfer && (
                  <>
                    <br />
                    <span className="transfer">
                      <Say text={cut.transfer} />
                    </span>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2>Story stick</h2>
      <OwnList part={part} workshop={inputs.workshop} kinds={['unmarked']} />
      <MarksChoice layout={layout} />
      <div className="prints">
        <Print1to1 batchId={batchId} print="stick" />
        {batchId !== undefined && <Print1to1 batchId={batchId} print="bench" />}
        {batchId !== undefined && (
          <>
            <Print1to1 batchId={batchId} print="wrap" />
            <Print1to1 batchId={batchId} print="card" />
          </>
        )}
      </div>
      <table className="table" aria-label="Marks of the story stick">
        <thead>
          <tr>
            <th aria-label="What happens" />
            <th>Mark</th>
            <th className="number">At</th>
            <th className="number">Diameter</th>
            {choose && <th aria-label="Datum" />}
          </tr>
        </thead>
        <tbody>
          {layout.marks.map((mark) => (
            <MarkRow key={mark.id} mark={mark} isDatum={mark.id === (datum?.id ?? 'start')} choose={choose} />
          ))}
        </tbody>
      </table>
    </>
  );
}

/** The same length in the units that are not read just now: all of them are on the stick. */
const otherUnits = (mm: number, read: Units): string =>
  (['mm', 'decimal-inch', 'inch'] as const)
    .filter((u) => u !== read)
    .map((u) => withoutShade(formatLength(mm, u)))
    .join(' · ');

function MarkRow({ mark, isDatum, choose }: { mark: Mark; isDatum: boolean; choose?: Choose }) {
  const { sign, words } = SIGN[mark.does ?? 'change'];
  const at = mark.from ?? mark.x;
  const { units } = useUnits();
  return (
    <tr>
      <td>
        <span role="img" aria-label={words} title={words}>
          {sign}
        </span>
      </td>
      <td>{mark.label}</td>
      <td className="number">
        <Length mm={at} />
        <br />
        <span className="soft small">{otherUnits(at, units)}</span>
      </td>
      <td className="number">
        {mark.before !== mark.after && mark.before > 0 && (
          <>
            <Length mm={mark.before} /> |{' '}
          </>
        )}
        <Length mm={mark.after} />
      </td>
      {choose && (
        <td>
          {isDatum ? (
            <b>all from here</b>
          ) : (
            <button
              type="button"
              className="more"
              aria-label={`Measure from ${mark.label}, ${threeUnits(at)}`}
              onClick={() => choose('datum', mark.id === 'start' ? null : mark.id)}
            >
              from here
            </button>
          )}
        </td>
      )}
    </tr>
  );
}
