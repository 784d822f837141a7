import {
  bitChanges,
  bitWords,
  driftWords,
  DRILL_MOMENTS,
  MOMENT_WORDS,
  SETUP_WORDS,
  setupsAt,
  wholeHole,
  type BoredHole,
  type CrossOperation,
  type DrillMoment,
  type DrillOperation,
  type DrillSetup,
  type PartPlan,
  type PlanInputs,
} from '@compas/core';
import { Select } from 'antd';
import { Length, Say } from '../ui/Length.js';
import { drillChoices, withDrillChoice, type Choose } from './draft.js';
import { FittingWays } from './FittingWays.js';
import { AlwaysSo } from './own/AlwaysSo.js';
import { PATTERN_ONLY } from './own/deciding.js';
import { BoreChoice } from './own/BoreChoice.js';
import { OwnList } from './own/OwnList.js';

interface DrillStageProps {
  part: PartPlan;
  inputs: PlanInputs;
  choose?: Choose;
}

/** Every hole with its bit, depth, tape, withdrawals and speed, in the order that changes bits least. */
export function DrillStage({ part, inputs, choose }: DrillStageProps) {
  const { crossDrilling = [], drilling } = part;
  const all: BoredHole[] = [...crossDrilling, ...drilling];
  if (all.length === 0)
    return (
      <div className="column">
        <p className="sheet">Nothing is drilled in this piece.</p>
        <FittingWays part={part} inputs={inputs} choose={choose} />
      </div>
    );
  return (
    <div className="column">
      <h2>
        {all.length} {all.length === 1 ? 'bore' : 'bores'} in each of {part.pieces}, the bit is changed{' '}
        {bitChanges(all)}×
      </h2>
      <OwnList part={part} workshop={inputs.workshop} kinds={['bit', 'depth']} />
      <ol className="bores">
        {crossDrilling.map((o, i) => (
          <Bore key={o.id} n={i + 1} bore={o} cross={o} part={part} inputs={inputs} choose={choose} first />
        ))}
        {drilling.map((o, i) => (
          <Bore
            key={o.id}
            n={crossDrilling.length + i + 1}
            bore={o}
            part={part}
            inputs={inputs}
            choose={choose}
            first={drilling.findIndex((d) => wholeHole(d.id) === wholeHole(o.id)) === i}
          />
        ))}
      </ol>
      <Walls part={part} />
      <FittingWays part={part} inputs={inputs} choose={choose} />
    </div>
  );
}

/** What a hole across has beside its bit: where it lies and whether it goes through. */
type Across = Pick<CrossOperation, 'x' | 'angle' | 'through' | 'fromEdge'>;

interface BoreProps {
  n: number;
  bore: BoredHole & Partial<Pick<DrillOperation, 'hole' | 'after' | 'room' | 'engagement'>>;
  cross?: Across;
  part: PartPlan;
  inputs: PlanInputs;
  choose?: Choose;
  /** the first bore of its hole: its moment and set-up are chosen there */
  first: boolean;
}

function Bore({ n, bore: o, cross, part, inputs, choose, first }: BoreProps) {
  return (
    <li className="bore">
      <span className="bore-n">{n}</span>
      <div>
        <h3>
          {o.bit ? <Say text={bitWords(o.bit)} /> : 'no bit'} · {o.name}
        </h3>
        <dl className="bore-figures">
          <div className="lead">
            <dt>tape, from the point</dt>
            <dd>
              <Length mm={o.tapeAt} />
            </dd>
          </div>
          <div>
            <dt>{cross ? 'face to shoulder' : 'to the shoulder'}</dt>
            <dd>
              <Length mm={o.toShoulder} />
            </dd>
          </div>
          <div>
            <dt>to the point</dt>
            <dd>
              <Length mm={o.toPoint} />
            </dd>
          </div>
          {o.room !== undefined && (
            <div>
              <dt>room below</dt>
              <dd>
                <Length mm={o.room} />
              </dd>
            </div>
          )}
          {o.engagement !== undefined && (
            <div>
              <dt>thread holds over</dt>
              <dd className="figures">{o.engagement.toFixed(1)} diameters</dd>
            </div>
          )}
          {cross && (
            <div>
              <dt>centre, from the reference end</dt>
              <dd>
                <Length mm={cross.x} />
              </dd>
            </div>
          )}
          {cross?.fromEdge !== undefined && (
            <div>
              <dt>from the edge, side {sideOf(cross.angle)}</dt>
              <dd>
                <Length mm={cross.fromEdge} />
              </dd>
            </div>
          )}
          <div>
            <dt>speed</dt>
            <dd className="figures">{o.rpm} rpm</dd>
          </div>
        </dl>
        <p>
          <Say text={o.choice.consequence} /> <span className="soft">{o.order}</span>
        </p>
        {o.after !== undefined && (
          <p>
            <b>
              <Say text={o.after} />
            </b>
          </p>
        )}
        <p className="soft">
          {o.pecks.length === 0 ? 'In one go, then clear the chips.' : 'Withdraw and clear at '}
          <Say text={o.pecks.map((p) => `⟦${p}⟧`).join(', ')} />
          {o.pecks.length > 0 && '.'}
          {o.lubricant !== 'none' && ` Lubricant: ${o.lubricant}.`}
          {cross?.through && o.moment === 'square blank' && ' Through, into a board behind.'}
          {o.drift && (
            <>
              {' '}
              <Say text={driftWords(o.drift)} />
            </>
          )}
        </p>
        <BoreChoice
          bore={o}
          bits={inputs.workshop.bits}
          blind={cross === undefined && o.hole?.through !== true}
        />
        {first && o.moment && o.setup && (
          <MomentAndSetup bore={o} across={cross !== undefined} part={part} inputs={inputs} choose={choose} />
        )}
      </div>
    </li>
  );
}

interface MomentProps {
  bore: BoredHole;
  across: boolean;
  part: PartPlan;
  inputs: PlanInputs;
  choose?: Choose;
}

/** When and with what set-up a hole is drilled; each way says what it risks and leaves. */
function MomentAndSetup({ bore, across, part, inputs, choose }: MomentProps) {
  const { moment = 'square blank', setup = 'drill press' } = bore;
  const holeId = wholeHole(bore.id);
  const take = (change: { moment?: DrillMoment; setup?: DrillSetup }) =>
    choose?.('holes', (chosen) =>
      withDrillChoice(drillChoices(chosen), { holeId, moment, setup, ...change }),
    );
  return (
    <div className="bore-way">
      {choose ? (
        <>
          <Select
            aria-label={`When to drill: ${bore.name}`}
            size="small"
            value={moment}
            className="w-word"
            onChange={(wanted) => take({ moment: wanted, setup: setupsAt(wanted, across)[0] })}
            options={DRILL_MOMENTS.map((m) => ({ value: m, label: m }))}
          />
          <Select
            aria-label={`Set-up for: ${bore.name}`}
            size="small"
            value={setup}
            className="w-word"
            onChange={(wanted) => take({ setup: wanted })}
            options={setupsAt(moment, across).map((s) => ({
              value: s,
              label: s === 'drill press' ? s : `bit in the ${s}`,
            }))}
          />
        </>
      ) : (
        <b>
          {moment}, {setup === 'drill press' ? setup : `bit in the ${setup}`}
        </b>
      )}
      <span className="soft">
        Risk: {MOMENT_WORDS[moment].risk} {SETUP_WORDS[setup].leaves}
      </span>
      <AlwaysSo
        part={part}
        inputs={inputs}
        decides={{ kind: 'drill', holeId, moment, setup }}
        label={`Drill the ${bore.name} so always`}
        scopes={PATTERN_ONLY}
      />
    </div>
  );
}

function Walls({ part: { leastWall, crossWall } }: { part: PartPlan }) {
  return (
    <>
      {leastWall && (
        <p>
          Least wood left round the hole: <Length mm={leastWall.wall} />, <Length mm={leastWall.x} /> from the
          reference end.
        </p>
      )}
      {crossWall && crossWall.wall >= 0 && (
        <p>
          Least wood left at the cross holes: <Length mm={crossWall.wall} />.
        </p>
      )}
    </>
  );
}

/** Sides of the square blank are counted from the one that faces the turner; between them in degrees. */
const sideOf = (angle: number): string =>
  angle % 90 === 0 ? String(((((angle / 90) % 4) + 4) % 4) + 1) : `at ${angle}°`;
